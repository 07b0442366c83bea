import { expect, test } from "vitest";

import { amount, bounds, inUnit, percent, sentence, shortened, watts } from "./format";
import { parseNumber, withLikely } from "./parts/figure";
import { placeOf } from "./place";

test("watts are whole and rounded up; a hair of a float is no watt", () => {
  expect([watts(12.1), watts(12.00000001), watts(1234), watts(0)]).toEqual(["13", "12", "1,234", "0"]);
});

test("a total with a figure missing reads at least; bounds without width are nothing", () => {
  expect(amount({ low: 1, likely: 2, high: 3, missing: ["Card"] })).toBe("≥ 2");
  expect([bounds({ low: 1, high: 3 }), bounds({ low: 2, high: 2 })]).toEqual(["1–3", ""]);
});

test("what is not known says so", () => {
  expect([inUnit(null, "A"), percent(null), inUnit(2, "plugs")]).toEqual(["not known", "—", "2"]);
});

test("numbers stay with their units, long names are shortened", () => {
  expect(sentence("12 V and 3 A")).toBe("12\u00a0V and 3\u00a0A");
  expect(shortened("A very long name", 8)).toBe("A very…");
});

test("a decimal comma is a point; letters are no number", () => {
  expect([parseNumber("0,18"), parseNumber(" 5 "), parseNumber("5a")]).toEqual([0.18, 5, null]);
});

test("bounds without width follow the likely value, others stay wide", () => {
  const wide = { low: 1, likely: 2, high: 3, origin: "maker", note: "" } as const;
  expect(withLikely({ ...wide, low: 2, high: 2 }, 5)).toMatchObject({ low: 5, likely: 5, high: 5 });
  expect(withLikely(wide, 5)).toMatchObject({ low: 1, likely: 5, high: 5 });
});

test("a subject is turned into its place", () => {
  expect(placeOf("/b/k", { of: "socket", subject: "card#1/a", field: "" })).toBe("/b/k/loom?at=card%231%2Fa");
  expect(placeOf("/b/k", { of: "part", subject: "card", field: "slot_w" })).toBe(
    "/b/k/parts?at=card&field=slot_w",
  );
  expect(placeOf("/b/k", { of: "supply", subject: "", field: "" })).toBe("/b/k/supply");
});
