// What the sound desk draws: the drift strip and the averaged beat, as SVG.
(() => {
  "use strict";

  const SVG = "http://www.w3.org/2000/svg";

  function element(name, attributes, text) {
    const made = document.createElementNS(SVG, name);
    for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
    if (text) made.textContent = text;
    return made;
  }

  // 60 s across; up is ahead. The scale follows the beats in steps, so that a slope can be compared by eye.
  function drawStrip(strip, points) {
    if (!points.length) return;
    const WIDTH = strip.clientWidth;
    const HEIGHT = strip.clientHeight;
    strip.setAttribute("viewBox", `0 0 ${WIDTH} ${HEIGHT}`);
    const last = points[points.length - 3];
    const first = Math.max(points[0], last - 60);
    const span = Math.max(20, Math.ceil((last - first) / 10) * 10);
    let low = Infinity;
    let high = -Infinity;
    for (let i = 0; i < points.length; i += 3) {
      low = Math.min(low, points[i + 1]);
      high = Math.max(high, points[i + 1]);
    }
    const middle = (low + high) / 2;
    const tall = [4, 8, 16, 32, 64, 128, 256, 512, 1024].find((t) => t > (high - low) * 1.3) || (high - low) * 1.3;
    const x = (t) => ((t - first) / span) * WIDTH;
    const y = (ms) => HEIGHT / 2 - ((ms - middle) / tall) * HEIGHT;
    const parts = [];
    // lines of equal rate, 10 s/d apart: ten seconds a day are 0.1157 ms a second
    for (let rate = -100; rate <= 100; rate += 10) {
      const rise = (rate / 86.4) * span;
      if (Math.abs(rise) > tall * 1.2) continue;
      parts.push(element("line", { class: rate === 0 ? "fan zero" : "fan", x1: 0, y1: y(middle - rise / 2), x2: WIDTH, y2: y(middle + rise / 2) }));
      if (Math.abs(rise / 2) < tall * 0.47) {
        parts.push(element("text", { class: "fan-words", x: WIDTH - 6, y: y(middle + rise / 2) - 4, "text-anchor": "end" }, `${rate > 0 ? "+" : rate < 0 ? "−" : ""}${Math.abs(rate)}`));
      }
    }
    const dots = ["", ""];
    for (let i = 0; i < points.length; i += 3) dots[points[i + 2]] += `M${x(points[i]).toFixed(1)} ${y(points[i + 1]).toFixed(1)}h.01`;
    parts.push(element("path", { class: "dots tick", d: dots[0] || "M0 0" }), element("path", { class: "dots tock", d: dots[1] || "M0 0" }));
    parts.push(element("text", { class: "fan-words", x: 6, y: 18 }, `${tall} ms tall, ${span} s wide`));
    strip.replaceChildren(...parts);
  }

  const SHAPES = {
    unlocking: (x) => `M${x - 6} 12h12l-6 -11z`,
    impulse: (x) => `M${x} 0l6 6.5l-6 6.5l-6 -6.5z`,
    drop: (x) => `M${x - 6} 1h12l-6 11z`,
  };
  function drawBeat(picture, heard) {
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

  window.escrelDrawing = { drawStrip, drawBeat };
})();
