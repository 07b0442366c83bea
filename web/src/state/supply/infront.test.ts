import { expect, test } from "vitest";

import { LEADS, linesOf, NO_LABEL, portsOf, withLead, type Lead, type Lying } from "./infront";

function lead(said: string): Lead {
  const found = LEADS.find((l) => l.said === said);
  if (!found) throw new Error(`no lead ${said}`);
  return found;
}

test("ports are labelled by their kind, from row to row", () => {
  const found = portsOf([
    ["board-a", "board-b", "drive"],
    ["processor-graphics", "drive"],
  ]);
  expect(found.map((p) => `${p.label} ${p.row}.${p.column}`)).toEqual([
    "B1 0.0",
    "B2 0.1",
    "D1 0.2",
    "C1 1.0",
    "D2 1.1",
  ]);
});

test("a second lead of a kind counts with the first, one that is fixed by itself", () => {
  let lying: Lying[] = [];
  for (const fixed of [false, false, true]) lying = withLead(lying, lead("sata"), fixed);
  expect(lying.map((l) => [l.count, l.fixed])).toEqual([
    [2, false],
    [1, true],
  ]);
});

test("the lines say the label, the panel and each kind of cable", () => {
  let lying: Lying[] = [];
  for (const said of ["board 20+4", "card 2 x 6+2", "sata", "16-pin"])
    lying = withLead(lying, lead(said), false);
  lying = lying.map((l) => (l.lead.said === "16-pin" ? { ...l, code: "600" } : l));
  const text = linesOf([["board-a", "board-b"], ["16pin"]], lying, {
    ...NO_LABEL,
    name: "Plover 850",
    rated: "850",
    v12: "70",
  });
  expect(text.split("\n")).toEqual([
    '"Plover 850" rated:850 12v:70 form:ATX modular:fully ports:b1|B1=board-a@0.0,b2|B2=board-b@0.1,h1|H1=16pin@1.0',
    "1 board 20+4",
    "1 card 2 x 6+2",
    "1 sata x3",
    "1 16-pin 600w",
  ]);
});

test("without a panel nothing comes off; with fixed cables it is semi-modular", () => {
  const fixed = withLead([], lead("board 20+4"), true);
  expect(linesOf([], fixed, NO_LABEL)).toContain("modular:not");
  const both = withLead(fixed, lead("sata"), false);
  expect(linesOf([["drive"]], both, NO_LABEL)).toContain("modular:semi");
});
