import { describe, expect, it } from "vitest";

import type { Amount, Result, Row, SpikeRow } from "../../api/client";
import { closedFigure, linesOf, openingOf, openingWords, sum } from "./open";

const amount = (likely: number, missing: string[] = []): Amount => ({
  low: likely - 1,
  likely,
  high: likely + 1,
  missing,
});
const opened = (query: string) => {
  const opening = openingOf(new URLSearchParams(query));
  if (!opening) throw new Error(`${query} opens nothing`);
  return opening;
};
const row = (name: string, path: string, rail: string, full: Amount) =>
  ({
    part: name,
    name,
    count: 1,
    rail,
    path,
    formula: "rated amps",
    field: "rated_a",
    origin: "maker",
    watts: { full, idle: { low: 0, likely: 0, high: 0, missing: [] } },
  }) as unknown as Row;

describe("what the address opens", () => {
  it("is a state of all, of a path or of a rail; a spike; or nothing", () => {
    expect(opened("open=full")).toEqual({ of: "state", state: "full", path: "", rail: "" });
    expect(opened("open=idle&path=card+leads")).toMatchObject({ state: "idle", path: "card leads" });
    expect(openingOf(new URLSearchParams("open=rules"))).toBeNull();
    expect(openingOf(new URLSearchParams())).toBeNull();
  });

  it("is called by it", () => {
    const words = { rails: { v12: "12 V" }, states: { full: "full" } };
    expect(openingWords(opened("open=full"), words)).toBe("Full");
    expect(openingWords(opened("open=full&rail=v12"), words)).toBe("12 V rail, full");
    expect(openingWords(opened("open=full&path=card leads"), words)).toBe("Card leads, full");
  });

  it("is the figure that stood closed", () => {
    const result = {
      strip: { watts: { full: amount(500) }, spikes: {} },
      by_path: { "card leads": { full: amount(300) } },
      by_rail: { v12: { full: amount(450) } },
    } as unknown as Result;
    expect(closedFigure(result, opened("open=full"))?.likely).toBe(500);
    expect(closedFigure(result, opened("open=full&path=card leads"))?.likely).toBe(300);
    expect(closedFigure(result, opened("open=full&rail=v12"))?.likely).toBe(450);
    expect(closedFigure(result, opened("open=full&rail=v9"))).toBeUndefined();
  });
});

describe("the rows of an opened number", () => {
  const rows = [
    row("fan", "board lead", "v12", amount(11)),
    row("card", "card leads", "v12", amount(300)),
    row("m2", "board lead", "v3v3", amount(9)),
    row("usb", "board lead", "v5", { low: 0, likely: 0, high: 0, missing: ["draw_w"] }),
    row("idle", "board lead", "v5", { low: 0, likely: 0, high: 0, missing: [] }),
  ];

  it("come largest first, with what is not known, without what draws nothing", () => {
    const lines = linesOf(opened("open=full"), rows, []);
    expect(lines.map((l) => l.part)).toEqual(["card", "fan", "m2", "usb"]);
    expect(lines[0]?.how).toBe("rated amps, card leads");
  });

  it("are those of the path or rail that is opened", () => {
    const of = (query: string) => linesOf(opened(query), rows, []).map((l) => l.part);
    expect(of("open=full&path=board lead")).toEqual(["fan", "m2", "usb"]);
    expect(of("open=full&rail=v12")).toEqual(["card", "fan"]);
  });

  it("are of a spike its own", () => {
    const key = "ms_1";
    const spikes = [
      { part: "card", name: "card", count: 1, rail: null, formula: "x 1.6", watts: { [key]: amount(480) } },
    ] as unknown as SpikeRow[];
    const opening = { of: "spike", spike: key, path: "", rail: "" } as never;
    expect(linesOf(opening, rows, spikes).map((l) => [l.how, l.watts.likely])).toEqual([["x 1.6", 480]]);
  });

  it("add up, and what is missing of one is missing of all", () => {
    expect(sum([amount(10), amount(20, ["a"]), amount(5, ["b"])])).toEqual({
      low: 32,
      likely: 35,
      high: 38,
      missing: ["a", "b"],
    });
    expect(sum([])).toEqual({ low: 0, likely: 0, high: 0, missing: [] });
  });
});
