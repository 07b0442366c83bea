import { expect, test } from "vitest";

import { clock, hours } from "./clock";

test("an hour as a clock tells it, and back", () => {
  expect([clock(6.5), clock(24), clock(0)]).toEqual(["06:30", "24:00", "00:00"]);
  for (const h of [0, 6.5, 22, 23.75]) expect(hours(clock(h))).toBe(h);
});

test("what is no time is told from one", () => {
  expect(["6", "25:00", "6:75", "noon"].map(hours)).toEqual([6, null, null, null]);
});
