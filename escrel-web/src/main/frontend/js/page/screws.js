// The keypad for the screws of the part at hand. What is said is kept as text in one field of the form, such as
// "MISSING:2,LOOSE:2", or "MISSING:1:LONG:LEFT" where the part has several kinds; the server reads the same text.

// found over all that are there, as a rule: the first press means all the rest, further presses count up from one
const ALL_AT_FIRST = ["LOOSE", "BURRED", "GLUED"];
// of these the hole is empty, and what is not there can be nothing else
const EMPTIES = ["MISSING", "BROKEN"];
export const FACTORY = "AS_FACTORY_LEFT";

export function read(text) {
  if (text === "" || text === FACTORY) return [];
  return text.split(",").map((entry) => {
    const [state, count, ...of] = entry.split(":");
    return { state, count: Number(count), of: of.join(":") };
  });
}

export function write(odd) {
  return odd.filter((o) => o.count > 0).map((o) => [o.state, o.count, ...(o.of ? [o.of] : [])].join(":")).join(",");
}

function countOf(odd, state, of) {
  return odd.find((o) => o.state === state && o.of === of)?.count ?? 0;
}

/** How many screws of a kind can be in this state: what is missing or broken is in no other. */
function room(odd, state, of, total) {
  const gone = EMPTIES.filter((s) => s !== state).reduce((sum, s) => sum + countOf(odd, s, of), 0);
  return Math.max(0, total - gone);
}

/** What one more press of a state's key makes of the number. */
export function nextCount(count, state, most) {
  if (!ALL_AT_FIRST.includes(state)) return count >= most ? 0 : count + 1;
  if (count === 0) return most;
  if (count === most) return most > 1 ? 1 : 0;
  return count + 1 === most ? 0 : count + 1;
}

/** The text after a key: a state of the screws of one kind, of which there are so many, or a word for them all. */
export function pressed(text, state, of, total) {
  if (state === "" || state === FACTORY) return state;
  const odd = read(text);
  const most = room(odd, state, of, total);
  const next = nextCount(countOf(odd, state, of), state, most);
  const rest = odd.filter((o) => o.state !== state || o.of !== of);
  const all = [...rest, { state, count: next, of }];
  // what the new number leaves no room for shrinks with it
  return write(all.map((o) => (o.of === of ? { ...o, count: Math.min(o.count, room(all, o.state, of, total)) } : o)));
}

export function inWords(text) {
  if (text === "") return "screws as on the sheet";
  if (text === FACTORY) return "as the factory left them";
  return read(text)
    .map((o) => `${o.count} ${o.of ? o.of.split(":")[0].toLowerCase().replace("_", " ") + " " : ""}${o.state.toLowerCase()}`)
    .join(", ");
}

function kindAtHand(pad) {
  return pad.querySelector("[data-screw-kind][aria-current]") ?? pad.querySelector("[data-screw-kind]");
}

function show(pad) {
  const text = pad.querySelector("input[name=screws]").value;
  const { of } = kindAtHand(pad).dataset;
  pad.querySelector("[data-screw-words]").textContent = inWords(text);
  for (const key of pad.querySelectorAll("[data-screw]")) {
    const { screw } = key.dataset;
    const count = screw === "" || screw === FACTORY ? Number(text === screw) : countOf(read(text), screw, of);
    key.setAttribute("aria-pressed", String(count > 0));
    const place = key.querySelector("[data-screw-count]");
    if (place) place.textContent = count > 0 ? String(count) : "";
  }
}

function open(pad, is) {
  pad.querySelector("#screw-keys").hidden = !is;
  pad.querySelector("[data-screw-open]").setAttribute("aria-expanded", String(is));
  if (is) show(pad);
}

function act(pad, key) {
  const field = pad.querySelector("input[name=screws]");
  const kind = kindAtHand(pad);
  if (key.matches("[data-screw-open]")) open(pad, pad.querySelector("#screw-keys").hidden);
  else if (key.matches("[data-screw-close]")) {
    open(pad, false);
    pad.querySelector("[data-screw-open]").focus();
  } else if (key.matches("[data-screw-next]")) {
    const kinds = [...pad.querySelectorAll("[data-screw-kind]")];
    kind.removeAttribute("aria-current");
    kinds[(kinds.indexOf(kind) + 1) % kinds.length].setAttribute("aria-current", "true");
    show(pad);
  } else {
    field.value = pressed(field.value, key.dataset.screw, kind.dataset.of, Number(kind.dataset.total));
    show(pad);
  }
}

export function startScrews(document) {
  document.addEventListener("click", (event) => {
    const key = event.target.closest("[data-screw], [data-screw-open], [data-screw-close], [data-screw-next]");
    const pad = key?.closest("[data-screw-pad]");
    if (pad) act(pad, key);
  });
}
