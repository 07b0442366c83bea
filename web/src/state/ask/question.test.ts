import { expect, test } from "vitest";

import type { VerdictOut } from "../../api/client";
import { before, isUnderWay } from "./question";

const verdict = (more: Partial<VerdictOut>) =>
  ({
    figure: "900 W of 1,000 W",
    now: "700 W of 1,000 W",
    status: "pass",
    was: "pass",
    ...more,
  }) as VerdictOut;

test("an answer is under way until it came, was stopped or failed", () => {
  expect(
    ["waiting", "running", "done", "stopped", "failed", "open"].map((state) => isUnderWay({ state })),
  ).toEqual([true, true, false, false, false, false]);
  expect(isUnderWay(undefined)).toBe(false);
});

test("how it was before is told by its number, else by its verdict, else not at all", () => {
  expect(before(verdict({}))).toBe("now 700 W of 1,000 W");
  expect(before(verdict({ now: "", was: "fail" }))).toBe("now: does not go");
  expect(before(verdict({ now: "900 W of 1,000 W" }))).toBe("");
});
