import { expect, test } from "vitest";

import { spoken } from "./strip";

const line = {
  words: "12 V rail",
  times: [0, 10, 20, 30],
  low: [12, 11.9, null, 11.5],
  high: [12.1, 12, null, 11.8],
};

test("a strip says what was read in each state beside what is tallied", () => {
  const spans = [
    { from: 0, to: 10, low: 11.8, high: 12.2, most: null },
    { from: 25, to: 30, low: null, high: null, most: 12.6 },
  ];
  expect(spoken([line], spans, { from: 0, to: 30 }, "V")).toBe(
    "12 V rail: 11.9 to 12.1 V, tallied 11.8 to 12.2; then 11.5 to 11.8 V, at most 12.6 allowed.",
  );
});

test("without a state over all that is in sight, and nothing where nothing was read", () => {
  expect(spoken([line], [], { from: 5, to: 30 }, "V")).toBe("12 V rail: 11.5 to 12 V.");
  expect(spoken([line], [], { from: 15, to: 25 }, "V")).toBe("Nothing was read here in V.");
});
