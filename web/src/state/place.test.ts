import { expect, test } from "vitest";

import { placeOf } from "./place";

test("a finding leads to the station where its thing stands", () => {
  const at = (of: string, subject: string, field = "") => placeOf("/b/x", { of, subject, field } as never);
  expect(at("part", "card-1", "board_power_w")).toBe("/b/x/parts?at=card-1&field=board_power_w");
  expect(at("socket", "card-1#1/power")).toBe("/b/x/loom?at=card-1%231%2Fpower");
  expect(at("supply", "")).toBe("/b/x/supply");
  expect(at("case", "", "length_mm")).toBe("/b/x/supply/fit?field=length_mm");
  expect(at("build", "")).toBe("/b/x/parts");
});
