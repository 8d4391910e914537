import assert from "node:assert/strict";
import { test } from "node:test";
import { areOn, keyOf, meaning } from "../js/page/keys.js";

const HERE = { typing: false, dialog: false, on: true };
const key = (k, more = {}) => ({ key: k, code: "", ...more });

test("the keypad means its digits with and without number lock", () => {
  assert.equal(keyOf({ code: "Numpad5", key: "Clear" }), "5");
  assert.equal(keyOf({ code: "Numpad0", key: "Insert" }), "0");
  assert.equal(keyOf({ code: "NumpadSubtract", key: "-" }), "-");
  assert.equal(keyOf({ code: "Digit7", key: "7" }), "7");
});

test("a key acts on the page", () => assert.deepEqual(meaning(key("5"), HERE), { act: "key", key: "5" }));

test("behind an open dialog no key acts", () => {
  for (const k of ["5", "0", "-", ".", "t", "/"]) assert.equal(meaning(key(k), { ...HERE, dialog: true }).act, "none");
  assert.equal(meaning(key("?"), { ...HERE, dialog: true }).act, "help");
});

test("while something is typed only Escape means something", () => {
  assert.equal(meaning(key("5"), { ...HERE, typing: true }).act, "none");
  assert.equal(meaning(key("Escape"), { ...HERE, typing: true }).act, "leave");
});

test("switched off, no single key acts", () => {
  for (const k of ["5", "?", "t"]) assert.equal(meaning(key(k), { ...HERE, on: false }).act, "none");
});

test("keys with a modifier belong to the browser", () => {
  for (const held of ["ctrlKey", "altKey", "metaKey"]) assert.equal(meaning(key("5", { [held]: true }), HERE).act, "none");
});

test("they are on until switched off, and on where nothing can be kept", () => {
  assert.ok(areOn({ getItem: () => null }));
  assert.ok(!areOn({ getItem: () => "off" }));
  assert.ok(
    areOn({
      getItem() {
        throw new Error("nothing is kept here");
      },
    }),
  );
});
