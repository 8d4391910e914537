import assert from "node:assert/strict";
import { test } from "node:test";
import { lineThrough, ribbonOf, wedge } from "../js/desk/ribbon.js";

/** Beats of a watch: five a second, so many s/d ahead; the beat error is by how much tick and tock part. Source: M4. */
function beats(rate, beatError, seconds, noise = () => 0) {
  const points = [];
  for (let beat = 0; beat < seconds * 5; beat++) {
    const t = beat / 5;
    points.push(t, (rate / 86.4) * t + (beat % 2 ? beatError : -beatError) / 2 + noise(), beat % 2);
  }
  return points;
}

test("its width is the beat error, its slope the rate", () => {
  // 86.4 s/d are one millisecond a second
  const ribbon = ribbonOf(beats(86.4, 6, 60));
  for (const r of ribbon) assert.ok(Math.abs(r.half - 3) < 0.15, `half ${r.half}`);
  const line = lineThrough(ribbon);
  assert.ok(Math.abs(line.at(40) - line.at(10) - 30) < 0.2);
});

test("a watch in beat is a thread", () => {
  for (const r of ribbonOf(beats(0, 0, 30))) assert.equal(r.half, 0);
});

test("a few wild beats do not bend it", () => {
  let beat = 0;
  const ribbon = ribbonOf(beats(0, 1, 60, () => (beat++ % 9 === 0 ? 40 : 0)));
  for (const r of ribbon) assert.ok(Math.abs(r.middle) < 1.2, `middle ${r.middle}`);
});

test("a stretch without tocks is left out", () => {
  const points = beats(0, 1, 30).filter((_, i, all) => all[Math.floor(i / 3) * 3] > 10 || all[Math.floor(i / 3) * 3 + 2] === 0);
  assert.ok(Math.min(...ribbonOf(points).map((r) => r.seconds)) > 9);
});

test("the band is two standard errors of the rate, from where it is best known", () => {
  assert.equal(wedge(30, 30, 5), 0);
  // 5 s/d over 30 s are 1.736 ms, twice that are 3.472
  assert.ok(Math.abs(wedge(60, 30, 5) - 3.472) < 1e-3);
  assert.equal(wedge(0, 30, 5), wedge(60, 30, 5));
});
