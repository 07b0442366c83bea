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
  const found = drawnLanes(doc, { lanes: [lane("low", "p2"), lane("high", "p1")], usual_mm: {} }, undefined);
  expect(found.map((d) => d.cable.key)).toEqual(["fixed", "high", "low", "bag"]);
  expect(found.map((d) => d.where)).toEqual(["fixed", "in", "in", "bag"]);
  expect(found.at(-1)?.plugs.map((p) => p.socket)).toEqual([""]);
});

test("the ruler covers the longest cable, to the next 100 mm with room for a plug", () => {
  const drawn = drawnLanes(doc, { lanes: [], usual_mm: {} }, undefined);
  expect(rulerLength(drawn)).toBe(500);
  expect(rulerLength([])).toBe(400);
});

test("a plug that nobody measured is drawn where it hangs as usual", () => {
  const bare = {
    ...doc,
    cables: [{ ...cable("bare", ["drive"]), plugs: [{ key: "a", kind: "sata", at_mm: null }] }],
  };
  const [drawn] = drawnLanes(
    bare as unknown as Doc,
    { lanes: [], usual_mm: { bare: { a: 450 } } },
    undefined,
  );
  expect(drawn?.plugs.map((p) => p.at_mm)).toEqual([450]);
});
