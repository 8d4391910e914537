// The drift ribbon: how far the watch is ahead of an exact one, over the last minute. Its middle line is the rate; its width
// is the beat error, since tick and tock part from the middle by it; the paler band is what the rate may also be, two
// standard errors to either side. Single beats are only its grain.
import { element } from "./svg.js";

const SECONDS = 60;
const STEP = 1.5;
const TALL = [2, 4, 8, 16, 32, 64, 128, 256, 512, 1024];
/** One second a day is so many milliseconds a second. */
export const MILLIS_PER_RATE = 1 / 86.4;

function median(values) {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
}

/**
 * The ribbon out of single beats: for each short stretch where its middle lies and by how much ticks and tocks part.
 *
 * @param points time in s, how far ahead in ms, 0 for a tick and 1 for a tock, one after the other
 */
export function ribbonOf(points) {
  const stretches = new Map();
  for (let i = 0; i < points.length; i += 3) {
    const at = Math.floor(points[i] / STEP);
    if (!stretches.has(at)) stretches.set(at, [[], []]);
    stretches.get(at)[points[i + 2]].push(points[i + 1]);
  }
  return [...stretches.entries()]
    .sort((a, b) => a[0] - b[0])
    .filter(([, [ticks, tocks]]) => ticks.length && tocks.length)
    .map(([at, [ticks, tocks]]) => {
      const tick = median(ticks);
      const tock = median(tocks);
      return { seconds: (at + 0.5) * STEP, middle: (tick + tock) / 2, half: Math.abs(tick - tock) / 2 };
    });
}

/** How far the middle may lie elsewhere for a doubt of the rate, at a distance from where it is best known. */
export function wedge(seconds, centre, rateDoubt) {
  return 2 * rateDoubt * MILLIS_PER_RATE * Math.abs(seconds - centre);
}

/** The straight line through the middle of a ribbon. */
export function lineThrough(ribbon) {
  const n = ribbon.length;
  const x = ribbon.reduce((sum, r) => sum + r.seconds, 0) / n;
  const y = ribbon.reduce((sum, r) => sum + r.middle, 0) / n;
  let sxy = 0;
  let sxx = 0;
  for (const r of ribbon) {
    sxy += (r.seconds - x) * (r.middle - y);
    sxx += (r.seconds - x) ** 2;
  }
  const slope = sxx ? sxy / sxx : 0;
  return { centre: x, at: (seconds) => y + slope * (seconds - x) };
}

function path(points) {
  return points.map(([x, y], i) => `${i ? "L" : "M"}${x.toFixed(1)} ${y.toFixed(1)}`).join("");
}

/** Draws it; the height follows the ribbon in steps, so that a slope can be compared by eye. */
export function drawRibbon(svg, points, rateDoubt) {
  if (!points.length) return;
  const width = svg.clientWidth;
  const height = svg.clientHeight;
  svg.setAttribute("viewBox", `0 0 ${width} ${height}`);
  const last = points[points.length - 3];
  const first = Math.max(points[0], last - SECONDS);
  const span = Math.max(20, Math.ceil((last - first) / 10) * 10);
  const ribbon = ribbonOf(points).filter((r) => r.seconds >= first);
  const line = ribbon.length > 1 ? lineThrough(ribbon) : null;
  const reach = ribbon.flatMap((r) => [r.middle - r.half, r.middle + r.half]);
  const low = Math.min(...reach, line ? line.at(first) : Infinity);
  const high = Math.max(...reach, line ? line.at(first + span) : -Infinity);
  const tall = TALL.find((t) => t > (high - low) * 1.5) ?? (high - low) * 1.5;
  const middle = Number.isFinite(low) ? (low + high) / 2 : points[points.length - 2];
  const x = (seconds) => ((seconds - first) / span) * width;
  const y = (millis) => height / 2 - ((millis - middle) / tall) * height;
  const parts = [element("line", { class: "exact", x1: 0, x2: width, y1: height / 2, y2: height / 2 })];
  if (line) {
    const ends = [first, line.centre, first + span];
    const over = ends.map((t) => [x(t), y(line.at(t) + wedge(t, line.centre, rateDoubt))]);
    const under = ends.map((t) => [x(t), y(line.at(t) - wedge(t, line.centre, rateDoubt))]).reverse();
    parts.push(element("path", { class: "doubt", d: `${path([...over, ...under])}Z` }));
    const top = ribbon.map((r) => [x(r.seconds), y(r.middle + r.half)]);
    const bottom = ribbon.map((r) => [x(r.seconds), y(r.middle - r.half)]).reverse();
    parts.push(element("path", { class: "ribbon", d: `${path([...top, ...bottom])}Z` }));
  }
  let grain = "";
  for (let i = 0; i < points.length; i += 3) if (points[i] >= first) grain += `M${x(points[i]).toFixed(1)} ${y(points[i + 1]).toFixed(1)}h.01`;
  parts.push(element("path", { class: "grain", d: grain || "M0 0" }));
  if (line) {
    const now = ribbon[ribbon.length - 1];
    const straight = (from, to) => path([from, to].map((t) => [x(t), y(line.at(t))]));
    parts.push(element("path", { class: "rate", d: straight(ribbon[0].seconds, now.seconds) }));
    parts.push(element("path", { class: "rate to-come", d: straight(now.seconds, first + span) }));
    parts.push(element("text", { class: "ribbon-words", x: x(now.seconds) + 8, y: y(now.middle + now.half) + 5 }, `${(2 * now.half).toFixed(1)} ms wide`));
  }
  parts.push(element("text", { class: "ribbon-words", x: 8, y: 20 }, `${tall} ms tall, ${span} s wide`));
  parts.push(element("text", { class: "ribbon-words", x: width - 8, y: height / 2 - 6, "text-anchor": "end" }, "exact"));
  svg.replaceChildren(...parts);
}
