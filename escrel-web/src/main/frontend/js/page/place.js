// A place on a sheet's plan is pointed at: a button asks for it, a click or arrows and Enter give it, and its form goes with it.
import { aimed } from "./pairs.js";

/** Millimetres from the movement's centre, towards 3 and 12, of a place in the drawing; the train side is seen mirrored. */
export function millimetres([x, y], perUnit, mirrored) {
  const round = (n) => Math.round(n * perUnit * 1000) / 1000 || 0;
  return [round(mirrored ? -x : x), round(-y)];
}

export function startPlace(document) {
  const svg = document.getElementById("sheet-plan");
  if (!svg) return;
  const box = svg.viewBox.baseVal;
  let form = null;
  let at = [0.5, 0.5];

  const drawn = () => [box.x + at[0] * box.width, box.y + at[1] * box.height];

  function show() {
    const [x, y] = drawn();
    svg.querySelector(".plan-aim").setAttribute("d", form ? `M${x - 0.7} ${y}h1.4M${x} ${y - 0.7}v1.4` : "");
    svg.classList.toggle("is-asked", form !== null);
  }

  function give(place) {
    const [x, y] = millimetres(place, Number(svg.dataset.mm), svg.dataset.mirrored === "true");
    form.elements.x.value = x;
    form.elements.y.value = y;
    form.requestSubmit();
  }

  document.addEventListener("click", (event) => {
    const asks = event.target.closest("[data-place]");
    if (asks) {
      form = asks.form;
      const said = document.querySelector("[data-place-said]");
      if (said) said.textContent = "Point at the place: a click, or arrows and Enter; Esc leaves it.";
      svg.setAttribute("tabindex", "0");
      svg.focus();
      show();
    }
  });
  // before the plan takes the click for a choice
  svg.addEventListener("click", (event) => {
    if (!form) return;
    event.stopPropagation();
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    give([point.x, point.y]);
  }, true);
  svg.addEventListener("keydown", (event) => {
    if (!form) return;
    const next = aimed(at, event.key, 1, event.shiftKey);
    if (next) at = next;
    else if (event.key === "Enter") give(drawn());
    else if (event.key === "Escape") form = null;
    else return;
    event.preventDefault();
    event.stopPropagation();
    show();
  });
}
