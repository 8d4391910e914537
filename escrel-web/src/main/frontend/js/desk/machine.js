// The desk as a machine: where it is, what may happen there, and what is to be done then. It touches neither page nor
// network, so that every course can be tried.
//
//   idle → asking → lay → listening → taking → lay … → idle
//
// asking: the computer is asked for its sound, which may take a question to the person. refused: a reading could not be
// taken; it listens on, and what was refused stands there until the person does something about it.

export const IDLE = Object.freeze({ phase: "idle", plan: [], at: -1, trouble: "" });

const stay = (state) => [state, []];

function layAt(state, at) {
  if (at >= state.plan.length) return [{ ...IDLE }, ["close", "sayFinished"]];
  return [{ ...state, phase: "lay", at, trouble: "" }, ["sayLay"]];
}

function halted(state, trouble, ...effects) {
  return [{ ...IDLE, trouble }, ["close", ...effects]];
}

const COURSES = {
  // begin, or: it lies as drawn, listen; or listen again
  go(state) {
    if (state.phase === "idle") return [{ ...IDLE, phase: "asking" }, ["open"]];
    if (["lay", "listening", "refused"].includes(state.phase)) return [{ ...state, phase: "listening", trouble: "" }, ["listen"]];
    return stay(state);
  },
  opened(state, { plan }) {
    // it was stopped while the person was asked
    if (state.phase !== "asking") return [state, ["close"]];
    return layAt({ ...state, plan }, 0);
  },
  notOpened(state, { words }) {
    return state.phase === "asking" ? halted(state, words, "sayNoSound") : stay(state);
  },
  heard(state, { settled }) {
    if (state.phase === "refused") return [state, ["show"]];
    if (state.phase !== "listening") return stay(state);
    return settled ? [{ ...state, phase: "taking" }, ["show", "take"]] : [state, ["show", "sayListening"]];
  },
  take(state) {
    return ["listening", "refused"].includes(state.phase) ? [{ ...state, phase: "taking", trouble: "" }, ["take"]] : stay(state);
  },
  taken(state) {
    return state.phase === "taking" ? layAt(state, state.at + 1) : stay(state);
  },
  notTaken(state, { words }) {
    return state.phase === "taking" ? [{ ...state, phase: "refused", trouble: words }, ["sayNotTaken"]] : stay(state);
  },
  // the server hears nothing any more: what was taken is kept
  lost(state, { words }) {
    return state.phase === "idle" ? stay(state) : halted(state, words, "sayLost");
  },
  back(state) {
    return state.at > 0 && state.phase !== "taking" ? layAt(state, state.at - 1) : stay(state);
  },
  skip(state) {
    return state.at >= 0 && state.phase !== "taking" ? layAt(state, state.at + 1) : stay(state);
  },
  stop(state) {
    return state.phase === "idle" ? stay(state) : halted(state, "", "sayStopped");
  },
};

/** What follows from an event: the next state, and what is to be done, in order. */
export function next(state, event) {
  return COURSES[event.type](state, event);
}

/** Whether pieces of sound are wanted. */
export function listens(state) {
  return state.phase === "listening" || state.phase === "refused";
}
