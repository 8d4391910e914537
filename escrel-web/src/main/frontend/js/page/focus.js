// What had the focus before a part of the page was swapped has it after, if it is still there; and the rung at hand stays in
// sight.

/** How an element is found again among those that take its place; nothing for one without a mark. */
export function mark(element) {
  if (!element?.getAttribute) return null;
  for (const name of ["id", "data-key", "data-part", "href", "name"]) {
    const value = element.getAttribute(name);
    if (value) return `[${name}="${CSS.escape(value)}"]`;
  }
  return null;
}

export function startFocus(document) {
  let had = null;
  function showSelected() {
    document.querySelector(".rung.selected")?.scrollIntoView({ block: "nearest" });
  }
  document.addEventListener("htmx:beforeSwap", () => {
    had = mark(document.activeElement);
  });
  document.addEventListener("htmx:afterSwap", () => {
    showSelected();
    // a panel's field is ready to type in
    const say = document.getElementById("say");
    if (say) say.focus();
    else if (had && document.activeElement === document.body) {
      // what had it may be gone, a panel's line for one: then what the card asks first
      const next = document.querySelector(had) ?? document.querySelector("#bench .card .panel-item, #bench .card .button");
      next?.focus({ preventScroll: true });
    }
    had = null;
  });
  showSelected();
  // past the rooms, to what the page is about
  document.addEventListener("click", (event) => {
    if (!event.target.closest("[data-skip]")) return;
    event.preventDefault();
    const main = document.querySelector("main");
    main.tabIndex = -1;
    main.focus();
  });
}
