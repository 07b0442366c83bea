import { expect, test } from "vitest";

import { ownTold, unknownWords } from "./words";

test("words that nobody knows are asked about, each once, no numbers and no marks", () => {
  expect(
    unknownWords({ loose: ["zobel", "teal"], unknown: ["zobel", "12", "x9", "two words", "-"] }),
  ).toEqual(["zobel", "teal", "x9"]);
  expect(unknownWords(undefined)).toEqual([]);
});

test("no more than three are asked about at once", () => {
  expect(unknownWords({ loose: ["aa", "bb", "cc", "dd"], unknown: [] })).toHaveLength(3);
});

test("what one calls so is told", () => {
  expect(ownTold({ word: "zobel", means: "peripheral", label: "4-pin peripheral plug" })).toBe(
    "“zobel” is your own word: 4-pin peripheral plug",
  );
});
