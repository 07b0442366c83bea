import { expect, test } from "vitest";

import { placeFlags } from "./flags";

const flag = (x: number, governs = false) => ({ x, governs, text: "a rule of 900 W" });

test("flags that stand close are put left and right of their poles, two a row", () => {
  const placed = placeFlags([flag(500), flag(510), flag(520), flag(530, true)], 1140);
  expect(Math.max(...placed.map((f) => f.row))).toBe(1);
  for (const a of placed)
    for (const b of placed)
      if (a !== b && a.row === b.row)
        expect(a.left + a.width < b.left || b.left + b.width < a.left).toBe(true);
});

test("the one that governs stands nearest the line, and none leaves the page", () => {
  const placed = placeFlags([flag(5), flag(1135), flag(1130, true)], 1140);
  const lowest = Math.max(...placed.map((f) => f.row));
  expect(placed.find((f) => f.governs)?.row).toBe(lowest);
  for (const f of placed) expect(f.left >= 0 && f.left + f.width <= 1140).toBe(true);
});
