// Arrows on a photo: drawn by pressing at the tail and letting go at the tip, or by keys; they travel as text.
import { aimed } from "./pairs.js";

const SHORTEST = 0.02;
const MOST = 12;

/** Arrows as they travel, "0.1,0.2,0.5,0.6 …", with one more; one too short, or one too many, adds nothing. */
export function withArrow(text, [x, y], [toX, toY]) {
  const arrows = text.split(" ").filter((a) => a !== "");
  if (Math.hypot(toX - x, toY - y) < SHORTEST || arrows.length >= MOST) return text;
  return [...arrows, [x, y, toX, toY].map((n) => Math.min(1, Math.max(0, n)).toFixed(4)).join(",")].join(" ");
}

/** The same without the last. */
export function withoutLast(text) {
  return text.split(" ").filter((a) => a !== "").slice(0, -1).join(" ");
}

/** The path of an arrow on a picture so many units wide and high. */
export function drawn(arrow, width, height) {
  const [x, y, toX, toY] = arrow.split(",").map((n, i) => Number(n) * (i % 2 === 0 ? width : height));
  const angle = Math.atan2(toY - y, toX - x);
  const at = (across, down) => `${across.toFixed(1)} ${down.toFixed(1)}`;
  const barb = (side) => `M${at(toX, toY)}L${at(toX - 55 * Math.cos(angle + side), toY - 55 * Math.sin(angle + side))}`;
  return `M${at(x, y)}L${at(toX, toY)}${barb(-0.5)}${barb(0.5)}`;
}

export function startArrows(document) {
  const form = document.querySelector("[data-arrows-of]");
  if (!form) return;
  const svg = document.querySelector("[data-arrow-picture]");
  const field = form.elements.arrows;
  const { width, height } = svg.viewBox.baseVal;
  let tail = null;
  let aim = [0.5, 0.5];

  function show(to) {
    const all = field.value.split(" ").filter((a) => a !== "");
    const path = (style) => all.map((a) => `<path class="${style}" d="${drawn(a, width, height)}"></path>`).join("");
    const coming = tail && to ? `<path class="arrow-shaft" d="${drawn([...tail, ...to].join(","), width, height)}"></path>` : "";
    svg.querySelector(".arrows-drawn").innerHTML = path("arrow-edge") + path("arrow-shaft") + coming;
  }

  function cross() {
    svg.querySelector(".pair-aim").setAttribute("d", `M${aim[0] * width - 40} ${aim[1] * height}h80M${aim[0] * width} ${aim[1] * height - 40}v80`);
  }

  function at(event) {
    // the picture may be narrower or lower than its frame
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    return [point.x / width, point.y / height];
  }

  function finish(to) {
    field.value = withArrow(field.value, tail, to);
    tail = null;
    show();
  }

  svg.addEventListener("pointerdown", (event) => {
    tail = at(event);
    svg.setPointerCapture(event.pointerId);
    // no picture is dragged away, and keys go on from here
    event.preventDefault();
    svg.focus();
  });
  svg.addEventListener("pointermove", (event) => tail && show(at(event)));
  svg.addEventListener("pointerup", (event) => tail && finish(at(event)));
  svg.addEventListener("focus", cross);
  svg.addEventListener("keydown", (event) => {
    const next = aimed(aim, event.key, 1, event.shiftKey);
    if (next) {
      aim = next;
      cross();
      if (tail) show(aim);
    } else if (event.key === "Enter" && tail) finish(aim);
    else if (event.key === "Enter") tail = [...aim];
    else return;
    event.preventDefault();
    event.stopPropagation();
  });
  document.addEventListener("click", (event) => {
    if (!event.target.closest("[data-arrow-back]")) return;
    field.value = withoutLast(field.value);
    show();
  });
  show();
}
