import { describe, expect, it } from "vitest";

import type { Figure } from "../../api/client";
import { parseNumber, shown, widened, withLikely } from "./figure";

const figure = (low: number, likely: number, high: number): Figure => ({
  low,
  likely,
  high,
  origin: "measured",
  note: "at the wall",
});

describe("a number that is typed", () => {
  it("may have a comma for its point", () => {
    expect(parseNumber("0,18")).toBe(0.18);
    expect(parseNumber(" 320 ")).toBe(320);
  });

  it("is none where anything else is in it", () => {
    for (const text of ["", "a", "1e3", "-4", "1.2.3", "1,000,000", "12 W", "."])
      expect(parseNumber(text), text).toBeNull();
  });

  it("stands in its field as it is", () => {
    expect([shown(0.18), shown(0), shown(null), shown(undefined)]).toEqual(["0.18", "0", "", ""]);
  });
});

describe("a figure with a new likely value", () => {
  it("has its bounds there too where they had no width", () => {
    expect(withLikely(figure(5, 5, 5), 7)).toEqual(figure(7, 7, 7));
    expect(withLikely(null, 7)).toEqual({ low: 7, likely: 7, high: 7, origin: "maker", note: "" });
  });

  it("keeps bounds that it lies between, and widens those that it does not", () => {
    expect(withLikely(figure(4, 5, 8), 6)).toEqual(figure(4, 6, 8));
    expect(withLikely(figure(4, 5, 8), 9)).toEqual(figure(4, 9, 9));
    expect(widened({ low: 4, high: 8 }, 2)).toEqual({ low: 2, likely: 2, high: 8 });
  });
});
