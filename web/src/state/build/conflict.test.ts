import { expect, test } from "vitest";

import { pathWords, valueWords } from "./conflict";

test("a path leads somewhere in words", () => {
  expect(pathWords("part:card-1/board_power_w")).toBe("part card-1 · board power w");
  expect(pathWords("run:cable-2")).toBe("run cable-2");
  expect(pathWords("place/price_kwh")).toBe("place · price kwh");
});

test("a value is told in a few words", () => {
  expect(valueWords(null)).toBe("nothing");
  expect(valueWords(undefined)).toBe("nothing");
  expect(valueWords("graphics")).toBe("graphics");
  expect(valueWords(false)).toBe("false");
  expect(valueWords({ likely: 320, origin: "maker" })).toBe("320 (maker)");
  expect(valueWords({ likely: 320 })).toBe("320");
  expect(valueWords({ key: "card-1", name: "Kittiwake L" })).toBe("Kittiwake L");
  expect(valueWords([1, 2])).toBe("2 entries");
  expect(valueWords({ row: 1 })).toBe("another value");
});
