import { expect, test } from "vitest";

import type { Doc, Lane } from "../../api/client";
import { drawnLanes, rulerLength } from "./lanes";

const plug = (at_mm: number) => ({ key: "a", kind: "sata", at_mm });
const cable = (key: string, needs: string[]) => ({ key, needs, plugs: [plug(400)] });
const doc = {
  supply: {
    ports: [
      { key: "p1", row: 0, column: 0 },
      { key: "p2", row: 1, column: 0 },
    ],
  },
  cables: [cable("bag", ["drive"]), cable("low", ["drive"]), cable("high", ["drive"]), cable("fixed", [])],
} as unknown as Doc;
const lane = (of: string, port: string) =>
  ({ cable: of, ports: [port], port_labels: [port], plugs: [] }) as unknown as Lane;

test("lanes stand fixed first, then in panel order, then the bag", () => {
  const found = drawnLanes(doc, [lane("low", "p2"), lane("high", "p1")], undefined);
  expect(found.map((d) => d.cable.key)).toEqual(["fixed", "high", "low", "bag"]);
  expect(found.map((d) => d.where)).toEqual(["fixed", "in", "in", "bag"]);
  expect(found.at(-1)?.plugs.map((p) => p.socket)).toEqual([""]);
});

test("the ruler covers the longest cable, to the next 100 mm with room for a plug", () => {
  expect(rulerLength(doc)).toBe(500);
  expect(rulerLength({ ...doc, cables: [] })).toBe(400);
});
