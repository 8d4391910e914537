import assert from "node:assert/strict";
import { test } from "node:test";
import { joined, queue } from "../js/desk/sources.js";
import { stepped } from "../js/page/choices.js";
import { aimed, marked, points } from "../js/page/pairs.js";
import { shown } from "../js/page/learnt.js";
import { millimetres } from "../js/page/place.js";
import { asText, pasted } from "../js/page/tables.js";
import { tabAfter } from "../js/page/tabs.js";
import { found } from "../js/page/tray.js";

test("a pasted list becomes rows of cells, a pasted word does not", () => {
  assert.deepEqual(pasted("a\tb\r\nc\t d \n"), [["a", "b"], ["c", "d"]]);
  assert.equal(pasted("a word"), null);
  assert.equal(pasted("a word\n"), null);
});

test("tables travel without empty rows, and no cell breaks a line", () => {
  assert.equal(asText([["a", "b\tc"], ["", " "], ["d", ""]]), "a\tb c\nd\t");
});

test("a pair has two marks, the third begins anew", () => {
  const two = marked(marked("", 0.1, 0.25), 0.8, 0.7);
  assert.equal(two, "0.1000,0.2500 0.8000,0.7000");
  assert.deepEqual(points(two), [[100, 250], [800, 700]]);
  assert.equal(marked(two, 0.5, 0.5), "0.5000,0.5000");
  assert.deepEqual(points(""), []);
});

test("arrows move a picture's cross and hold it at the picture's edge", () => {
  assert.deepEqual(aimed([0.5, 0.5], "ArrowRight", 0.75, false), [0.54, 0.5]);
  assert.deepEqual(aimed([0.5, 0.5], "ArrowUp", 0.75, true), [0.5, 0.495]);
  assert.deepEqual(aimed([0.01, 0.74], "ArrowLeft", 0.75, false), [0, 0.74]);
  assert.deepEqual(aimed([0.01, 0.74], "ArrowDown", 0.75, false), [0.01, 0.75]);
  assert.equal(aimed([0.5, 0.5], "5", 0.75, false), null);
});

test("a mark says whether all, none or some of its lines are accepted", () => {
  assert.equal(shown([true, true]), "true");
  assert.equal(shown([false]), "false");
  assert.equal(shown([true, false]), "mixed");
});

test("a place on the plan is told in millimetres, the train side seen mirrored", () => {
  assert.deepEqual(millimetres([6, -3], 1.25, false), [7.5, 3.75]);
  assert.deepEqual(millimetres([6, -3], 1.25, true), [-7.5, 3.75]);
  assert.deepEqual(millimetres([0, 0], 1.25, true), [0, 0]);
});

test("tabs go round, and to both ends", () => {
  assert.equal(tabAfter("ArrowRight", 2, 3), 0);
  assert.equal(tabAfter("ArrowLeft", 0, 3), 2);
  assert.equal(tabAfter("Home", 2, 3), 0);
  assert.equal(tabAfter("End", 0, 3), 2);
  assert.equal(tabAfter("a", 0, 3), null);
});

test("choices step to either end, or go round", () => {
  assert.equal(stepped(0, -1, 4), 0);
  assert.equal(stepped(3, 1, 4), 3);
  assert.equal(stepped(3, 0, 4), 0);
  assert.equal(stepped(0, 1, 0), -1);
});

test("the tray says what it found", () => {
  assert.equal(found("ba", 0), "");
  assert.equal(found("bal", 0), "no part of that name lies here");
  assert.equal(found("bal", 1), "1 compartment");
  assert.equal(found("bal", 2), "2 compartments");
});

test("pieces of sound go one after the other, whole and in order", async () => {
  const sent = [];
  let under = 0;
  const pieces = queue(async (whole) => {
    assert.equal(++under, 1);
    await new Promise((done) => setImmediate(done));
    sent.push(...whole);
    under--;
  });
  const all = [];
  for (let i = 0; i < 20; i++) all.push(pieces.add(Float32Array.of(2 * i, 2 * i + 1)));
  await Promise.all(all);
  while (sent.length < 40) await new Promise((done) => setImmediate(done));
  assert.deepEqual(sent, [...Array(40).keys()]);
  assert.deepEqual([...joined([Float32Array.of(1), Float32Array.of(2, 3)])], [1, 2, 3]);
});
