// The averaged beat: tick above, tock below, with the sounds that were found.
import { element } from "./svg.js";

const SHAPES = {
  unlocking: (x) => `M${x - 6} 12h12l-6 -11z`,
  impulse: (x) => `M${x} 0l6 6.5l-6 6.5l-6 -6.5z`,
  drop: (x) => `M${x - 6} 1h12l-6 11z`,
};

export function drawBeat(picture, heard) {
  const parts = [];
  ["tick", "tock"].forEach((half, row) => {
    const group = element("g", { transform: `translate(0 ${4 + row * 100})` });
    group.append(element("path", { class: "wave", d: heard[`${half}Path`] }));
    for (const mark of heard.marks.filter((m) => m.half === half)) {
      group.append(element("line", { class: `wave-mark ${mark.name}`, x1: mark.x, x2: mark.x, y1: 12, y2: 92 }));
      group.append(element("path", { class: `wave-sign ${mark.name}`, d: SHAPES[mark.name](mark.x) }));
    }
    parts.push(group);
  });
  picture.replaceChildren(...parts);
}
