import assert from "node:assert/strict";
import { test } from "node:test";
import { inWords, pressed, read } from "../js/page/screws.js";

function after(total, ...keys) {
  return keys.reduce((text, key) => pressed(text, key, "", total), "");
}

test("two of four missing and the rest loose is three presses once the pad is open", () => {
  assert.equal(after(4, "MISSING", "MISSING", "LOOSE"), "MISSING:2,LOOSE:2");
  assert.equal(inWords("MISSING:2,LOOSE:2"), "2 missing, 2 loose");
});

test("what is missing is not loose as well, in whatever order it is said", () => {
  assert.equal(after(4, "LOOSE", "MISSING"), "LOOSE:3,MISSING:1");
});

test("loose counts up from one after all, and ends at none", () => {
  const seen = ["LOOSE"];
  let text = after(3, "LOOSE");
  const counts = [read(text)[0].count];
  for (let i = 0; i < 3; i++) {
    text = pressed(text, seen[0], "", 3);
    counts.push(read(text)[0]?.count ?? 0);
  }
  assert.deepEqual(counts, [3, 1, 2, 0]);
});

test("no more are missing than there are, and one press more is none", () => {
  assert.equal(after(2, "MISSING", "MISSING", "MISSING"), "");
});

test("screws of two kinds are counted apart", () => {
  const left = pressed("", "MISSING", "LONG:LEFT", 1);
  assert.equal(left, "MISSING:1:LONG:LEFT");
  assert.equal(pressed(left, "LOOSE", "SHORT:RIGHT", 2), "MISSING:1:LONG:LEFT,LOOSE:2:SHORT:RIGHT");
});

test("as the factory left them and as on the sheet take back what was counted", () => {
  assert.equal(after(4, "LOOSE", "AS_FACTORY_LEFT"), "AS_FACTORY_LEFT");
  assert.equal(after(4, "AS_FACTORY_LEFT", "BURRED"), "BURRED:4");
  assert.equal(after(4, "LOOSE", ""), "");
});
