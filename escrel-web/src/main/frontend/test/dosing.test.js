import assert from "node:assert/strict";
import { test } from "node:test";
import { counted, dosed, judged } from "../js/page/dosing.js";

// M13: 15 teeth take 3 doses of 5, 20 take 4, 21 take 5
test("every dose carries its teeth, the last what is left", () => {
  assert.equal(dosed(15, 5, 3), 15);
  assert.equal(dosed(21, 5, 4), 20);
  assert.equal(dosed(21, 5, 5), 21);
});

test("what was given is said, and when it is enough", () => {
  assert.equal(counted(0, 3, 15), "none given yet");
  assert.equal(counted(2, 3, 15), "2 of 3 given: walk it on");
  assert.equal(counted(3, 3, 15), "3 of 3: all 15 teeth have had theirs");
});

test("a value is judged by the limits that came with the page", () => {
  const gauge = { low: "-10", high: "10", unit: "min", below: "early", right: "good", above: "late" };
  assert.equal(judged(-11, gauge), "-11 min: early");
  assert.equal(judged(-10, gauge), "-10 min: good");
  assert.equal(judged(11, gauge), "11 min: late");
});
