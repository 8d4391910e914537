import assert from "node:assert/strict";
import { test } from "node:test";
import { IDLE, listens, next } from "../js/desk/machine.js";

const PLAN = ["DIAL_UP", "DIAL_DOWN", "CROWN_UP"];
const EVENTS = ["go", "opened", "notOpened", "heard", "take", "taken", "notTaken", "lost", "back", "skip", "stop"];

/** Runs events one after the other; what was to be done, in order. */
function course(...events) {
  let state = IDLE;
  const done = [];
  for (const event of events) {
    const [after, effects] = next(state, typeof event === "string" ? { type: event, plan: PLAN, words: event } : event);
    state = after;
    done.push(...effects);
  }
  return { state, done };
}

test("six presses in a row take one position after the other", () => {
  const settled = { type: "heard", settled: true };
  const { state, done } = course("go", "opened", "go", settled, "taken", "go", settled, "taken", "go", settled, "taken");
  assert.equal(state.phase, "idle");
  assert.equal(done.filter((d) => d === "take").length, 3);
  assert.equal(done.filter((d) => d === "open").length, 1);
  assert.deepEqual(done.slice(-2), ["close", "sayFinished"]);
});

test("a second press while the computer asks for permission opens no second feed", () => {
  assert.deepEqual(course("go", "go", "go").done, ["open"]);
});

test("stopped while the computer asks: what is opened late is closed again", () => {
  const { state, done } = course("go", "stop", "opened");
  assert.equal(state.phase, "idle");
  assert.deepEqual(done.slice(-1), ["close"]);
});

test("a refused reading stays said until something is done about it", () => {
  const refused = course("go", "opened", "go", "take", "notTaken", "heard", "heard");
  assert.equal(refused.state.phase, "refused");
  assert.equal(refused.state.trouble, "notTaken");
  assert.ok(listens(refused.state));
  assert.equal(course("go", "opened", "go", "take", "notTaken", "go").state.trouble, "");
});

test("a refused reading is not tried again by itself", () => {
  const settled = { type: "heard", settled: true };
  const { done } = course("go", "opened", "go", settled, "notTaken", settled, settled);
  assert.equal(done.filter((d) => d === "take").length, 1);
});

test("a broken sound keeps what it was broken by, and can be begun again", () => {
  const { state } = course("go", "opened", "go", "lost");
  assert.equal(state.phase, "idle");
  assert.equal(state.trouble, "lost");
  assert.equal(course("go", "opened", "go", "lost", "go").state.phase, "asking");
});

test("repeating goes one position back and never before the first", () => {
  assert.equal(course("go", "opened", "skip", "back").state.at, 0);
  assert.equal(course("go", "opened", "back").state.at, 0);
  assert.equal(course("back").state, IDLE);
});

test("over random courses: one feed at a time, none left open, no place beyond the plan", () => {
  let seed = 7;
  const random = (n) => (seed = (seed * 48271) % 2147483647) % n;
  for (let run = 0; run < 2000; run++) {
    let state = IDLE;
    let opening = 0;
    for (let i = 0; i < 30; i++) {
      const type = EVENTS[random(EVENTS.length)];
      // the computer answers only when it was asked
      if ((type === "opened" || type === "notOpened") && opening === 0) continue;
      if (type === "opened" || type === "notOpened") opening--;
      const [after, effects] = next(state, { type, plan: PLAN, words: "no", settled: random(2) === 0 });
      opening += effects.filter((e) => e === "open").length;
      if (effects.includes("listen") || effects.includes("take")) assert.ok(after.at >= 0 && after.at < PLAN.length, `${type} in ${state.phase}`);
      if (after.phase === "idle" && state.phase !== "idle") assert.ok(effects.includes("close"), `${type} in ${state.phase}`);
      if (effects.includes("open")) assert.equal(state.phase, "idle");
      state = after;
    }
  }
});
