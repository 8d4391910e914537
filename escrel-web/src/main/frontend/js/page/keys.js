// Any element with data-key is pressed by that key while nothing is being typed and no dialog is open. Whoever speaks to the
// computer, or rests a sleeve on the keyboard, switches single keys off; buttons and links stay.

const PAD = { NumpadAdd: "+", NumpadSubtract: "-", NumpadMultiply: "*", NumpadDivide: "/", NumpadDecimal: "." };
const KEPT = "escrel.keys";

/** The key as it is written on the page. Without number lock the pad sends arrows: its keys still mean their digits. */
export function keyOf(event) {
  if (event.code in PAD) return PAD[event.code];
  const digit = /^Numpad([0-9])$/.exec(event.code);
  return digit ? digit[1] : event.key;
}

/** Whether a key belongs to the field that has the focus. Choices of the desk leave the keypad to it. */
export function isTyping(element, code = "") {
  if (code.startsWith("Numpad") && element.matches("[data-keypad] select")) return false;
  return element.matches("textarea, select, input:not([type=radio]):not([type=checkbox]):not([type=file])");
}

/** What a key means here and now: "leave" a field, "help", "none", or the key to look for on the page. */
export function meaning(event, { typing, dialog, on }) {
  if (event.ctrlKey || event.altKey || event.metaKey) return { act: "none" };
  if (typing) return { act: event.key === "Escape" ? "leave" : "none" };
  // the dialog closes itself by Escape; nothing else on the page behind it may be pressed
  if (dialog) return { act: on && event.key === "?" ? "help" : "none" };
  if (!on) return { act: "none" };
  if (event.key === "?") return { act: "help" };
  return event.key === "Escape" || event.key === "Tab" ? { act: "none" } : { act: "key", key: keyOf(event) };
}

export function areOn(storage) {
  try {
    return storage.getItem(KEPT) !== "off";
  } catch {
    return true;
  }
}

export function turn(storage, root, on) {
  try {
    storage.setItem(KEPT, on ? "on" : "off");
  } catch {
    // a browser that keeps nothing: it holds for this page
  }
  root.dataset.keys = on ? "on" : "off";
}

function visible(element) {
  return !element.disabled && element.getClientRects().length > 0;
}

/** Does what an element stands for: a control elsewhere on the page, a field to type in, or itself. */
export function press(document, element) {
  if (element.dataset.focus) {
    const field = document.getElementById(element.dataset.focus);
    // what is folded away is opened first: a hidden field takes no focus
    const folded = field?.closest("details");
    if (folded) folded.open = true;
    field?.focus();
  }
  else if (element.dataset.press) document.getElementById(element.dataset.press)?.click();
  else element.click();
}

export function startKeys(document) {
  const root = document.documentElement;
  const storage = document.defaultView.localStorage;
  root.dataset.keys = areOn(storage) ? "on" : "off";
  document.addEventListener("keydown", (event) => {
    const here = { typing: isTyping(event.target, event.code), dialog: document.querySelector("dialog[open]") !== null, on: root.dataset.keys === "on" };
    const meant = meaning(event, here);
    if (meant.act === "leave") event.target.blur();
    if (meant.act === "help") {
      document.querySelector("[data-help]")?.click();
      event.preventDefault();
    }
    if (meant.act !== "key") return;
    const found = [...document.querySelectorAll(`[data-key="${CSS.escape(meant.key)}"]`)].find(visible);
    if (!found) return;
    event.preventDefault();
    if (event.repeat && !found.hasAttribute("data-repeats")) return;
    press(document, found);
  });
  document.addEventListener("click", (event) => {
    // buttons of the key line stand for controls inside the part of the page that is swapped
    const element = event.target.closest("[data-press], [data-focus]");
    if (element) press(document, element);
    if (event.target.closest("[data-print]")) document.defaultView.print();
  });
}
