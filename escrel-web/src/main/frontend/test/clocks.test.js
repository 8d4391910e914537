import assert from "node:assert/strict";
import test from "node:test";
import { left, stand } from "../js/page/clocks.js";

const courses = [
  { words: "wash", ends: 480_000 },
  { words: "rinse", ends: 780_000 },
];

test("a clock stands in the stretch that has not ended", () => {
  assert.deepEqual(stand(courses, 0), { stretch: 0, words: "wash", left: 480_000, over: false });
  assert.deepEqual(stand(courses, 480_000), { stretch: 1, words: "rinse", left: 300_000, over: false });
  assert.deepEqual(stand(courses, 780_000), { stretch: 1, words: "rinse", left: 0, over: true });
});

test("what is left is said in minutes and seconds, from an hour on in hours", () => {
  assert.equal(left(59_001), "1:00");
  assert.equal(left(61_000), "1:01");
  assert.equal(left(3_600_000), "1 h 00");
  assert.equal(left(500), "0:01");
});
