import { test } from "node:test";
import assert from "node:assert/strict";
import { drawn, withArrow, withoutLast } from "../js/page/arrows.js";

test("an arrow is added from tail to tip, and one of no length is none", () => {
  assert.equal(withArrow("", [0.1, 0.2], [0.5, 0.6]), "0.1000,0.2000,0.5000,0.6000");
  assert.equal(withArrow("a", [0.1, 0.2], [0.11, 0.2]), "a");
  assert.equal(withArrow("", [0.5, 0.5], [1.4, -0.2]), "0.5000,0.5000,1.0000,0.0000");
});

test("no more than twelve", () => {
  const twelve = Array.from({ length: 12 }, () => "0,0,1,1").join(" ");
  assert.equal(withArrow(twelve, [0, 0], [1, 1]), twelve);
});

test("the last is taken off, and nothing of none", () => {
  assert.equal(withoutLast("a b"), "a");
  assert.equal(withoutLast(""), "");
});

test("the tip carries both barbs", () => {
  const path = drawn("0,0.5,1,0.5", 1000, 800);
  assert.ok(path.startsWith("M0.0 400.0L1000.0 400.0"));
  assert.equal(path.split("M1000.0 400.0").length, 3);
});
