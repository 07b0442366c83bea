import { expect, test } from "vitest";

import type { ChannelWords, HeldAnswer } from "../../api/client";
import { byInstrument, firstChoice, unitOf } from "./choice";

const channel = (text: string, instrument = "wall meter") =>
  ({ channel: text, words: text, instrument, unit: "W" }) as ChannelWords;
const plug = (ref: string, means: number[], share: number) => ({
  ref,
  words: ref,
  state: "full",
  pins: means.map((mean, i) => ({ pin: i + 1, mean })),
  mean: 1,
  share,
  limit: 9,
  tight: 7,
});

test("the whole, then the plug that comes first", () => {
  const held = {
    plugs: [plug("b#1/y", [3, 1], 1.5), plug("a#1/x", [8, 8], 1.0)],
  } as unknown as HeldAnswer;
  const channels = ["wall.w", "dc.w", "b#1/y.pin1.a", "b#1/y.degc"].map((c) => channel(c));
  expect(firstChoice(channels, held)).toEqual([
    "wall.w",
    "dc.w",
    "b#1/y.pin1.a",
    "b#1/y.pin2.a",
    "b#1/y.degc",
  ]);
  expect(firstChoice([channel("card#1.w")], undefined)).toEqual(["card#1.w"]);
});

test("by instrument and unit", () => {
  const found = byInstrument([channel("wall.w"), channel("dc.w", "supply telemetry"), channel("wall.v")]);
  expect(found.map(([name, of]) => [name, of.length])).toEqual([
    ["wall meter", 2],
    ["supply telemetry", 1],
  ]);
  expect(unitOf("card#1/power.pin3.a")).toBe("a");
});
