// Two photos as a pair: two marks on each by click or by keys, the later swept over the earlier.

/** Marks as they travel, "0.1,0.2 0.8,0.7", with a point more; the third begins anew. */
export function marked(text, x, y) {
  const marks = text.split(" ").filter((m) => m !== "");
  const kept = marks.length >= 2 ? [] : marks;
  return [...kept, `${x.toFixed(4)},${y.toFixed(4)}`].join(" ");
}

/** The points of such a text, in thousandths of the width. */
export function points(text) {
  return text
    .split(" ")
    .filter((m) => m !== "")
    .map((m) => m.split(",").map((n) => 1000 * Number(n)));
}

const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** Where the cross of a picture, tall times as high as wide, stands after an arrow; null for any other key. */
export function aimed([x, y], key, tall, fine) {
  const way = ARROWS[key];
  if (!way) return null;
  const step = fine ? 0.005 : 0.04;
  const kept = (value, most) => Math.min(most, Math.max(0, value));
  return [kept(x + step * way[0], 1), kept(y + step * way[1], tall)];
}

export function startPairs(document) {
  const form = document.querySelector("[data-pair]");
  if (!form) return;
  const range = form.querySelector("#sweep");

  const aims = new Map();

  function show() {
    for (const svg of form.querySelectorAll("[data-marks]")) {
      const marks = points(form.elements[svg.dataset.marks].value);
      svg.querySelector(".pair-marks").innerHTML = marks
        .map(([x, y], i) => `<circle cx="${x}" cy="${y}" r="22"></circle><text x="${x + 34}" y="${y + 14}">${i + 1}</text>`)
        .join("");
    }
  }

  function tallness(svg) {
    return svg.viewBox.baseVal.height / svg.viewBox.baseVal.width;
  }

  function aim(svg) {
    const [x, y] = (aims.get(svg) ?? [0.5, tallness(svg) / 2]).map((n) => 1000 * n);
    svg.querySelector(".pair-aim").setAttribute("d", `M${x - 40} ${y}h80M${x} ${y - 40}v80`);
  }

  function mark(svg, x, y) {
    const field = form.elements[svg.dataset.marks];
    field.value = marked(field.value, x, y);
    show();
  }

  function sweep() {
    form.querySelector("#swept rect").setAttribute("width", range.value);
    const edge = form.querySelector(".pair-edge");
    edge.setAttribute("x1", range.value);
    edge.setAttribute("x2", range.value);
  }

  form.addEventListener("click", (event) => {
    const svg = event.target.closest("[data-marks]");
    if (!svg) return;
    const box = svg.getBoundingClientRect();
    const [, , width, height] = svg.getAttribute("viewBox").split(" ").map(Number);
    // the picture fills the frame by its smaller side
    const scale = Math.min(box.width / width, box.height / height);
    const x = (event.clientX - box.left - (box.width - scale * width) / 2) / scale / 1000;
    const y = (event.clientY - box.top - (box.height - scale * height) / 2) / scale / 1000;
    if (x < 0 || x > 1 || y < 0 || y > height / 1000) return;
    mark(svg, x, y);
  });
  form.addEventListener("keydown", (event) => {
    const svg = event.target.closest("[data-marks]");
    if (!svg) return;
    const at = aims.get(svg) ?? [0.5, tallness(svg) / 2];
    const next = aimed(at, event.key, tallness(svg), event.shiftKey);
    if (next) {
      aims.set(svg, next);
      aim(svg);
    } else if (event.key === "Enter") mark(svg, ...at);
    else return;
    event.preventDefault();
    event.stopPropagation();
  });
  form.addEventListener("focusin", (event) => {
    if (event.target.matches("[data-marks]")) aim(event.target);
  });
  range.addEventListener("input", sweep);
  document.addEventListener("click", (event) => {
    const way = event.target.closest("[data-sweep]");
    if (way) {
      range.value = Number(range.value) + 100 * Number(way.dataset.sweep);
      sweep();
    }
    if (event.target.closest("[data-unmark]")) {
      form.elements.beforeMarks.value = "";
      form.elements.afterMarks.value = "";
      show();
    }
  });
  show();
}
