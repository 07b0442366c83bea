import { expect, test } from "vitest";

import { byKey, kept, panned, timeWords, zoomed } from "./range";

const whole = { from: 0, to: 100 };

test("zooming keeps the point under the pointer", () => {
  expect(zoomed({ from: 0, to: 100 }, 0.5, 20, whole)).toEqual({ from: 10, to: 60 });
  expect(zoomed({ from: 10, to: 60 }, 2, 20, whole)).toEqual({ from: 0, to: 100 });
});

test("nothing outside the whole is ever in sight", () => {
  expect(zoomed({ from: 0, to: 100 }, 4, 50, whole)).toEqual(whole);
  expect(panned({ from: 80, to: 100 }, 1, whole)).toEqual({ from: 80, to: 100 });
  expect(panned({ from: 80, to: 100 }, -10, whole)).toEqual({ from: 0, to: 20 });
  expect(kept({ from: 5, to: 5 }, whole)).toEqual({ from: 5, to: 5.05 });
});

test("every key has its way", () => {
  const range = { from: 40, to: 60 };
  expect(byKey("+", range, whole)).toEqual({ from: 45, to: 55 });
  expect(byKey("-", range, whole)).toEqual({ from: 30, to: 70 });
  expect(byKey("ArrowLeft", range, whole)).toEqual({ from: 35, to: 55 });
  expect(byKey("ArrowRight", range, whole)).toEqual({ from: 45, to: 65 });
  expect(byKey("Home", range, whole)).toEqual({ from: 0, to: 20 });
  expect(byKey("End", range, whole)).toEqual({ from: 80, to: 100 });
  expect(byKey("0", range, whole)).toEqual(whole);
  expect(byKey("x", range, whole)).toBeNull();
});

test("times in words", () => {
  expect([5.123, 90, 125, 7260].map(timeWords)).toEqual(["5.12 s", "90 s", "2 min 5 s", "2 h 1 min"]);
});
