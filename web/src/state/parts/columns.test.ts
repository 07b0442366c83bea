import { describe, expect, it } from "vitest";

import type { Part, Result } from "../../api/client";
import { faces, homes, nested, slipBy, type PartWatts } from "./columns";

const part = (key: string, more: Record<string, unknown> = {}) =>
  ({ key, kind: "fan", name: key, sockets: [], ...more }) as unknown as Part;
const drawn = (key: string, path = "drive leads") => ({ part: key, path }) as unknown as PartWatts;
const byKey = (...parts: Part[]) => new Map(parts.map((p) => [p.key, p]));

describe("slips in a column", () => {
  it("stand under what feeds them by a header, one step in a hub's", () => {
    const parts = byKey(
      part("board", { kind: "board" }),
      part("hub", { kind: "hub", on: null, sockets: [{ key: "power", kind: "sata" }] }),
      part("strip", { kind: "strip", on: "hub" }),
      part("fans", { on: null }),
    );
    const slips = nested([drawn("strip"), drawn("board"), drawn("fans"), drawn("hub")], parts);
    expect(slips.map(([p, depth]) => [p.part, depth])).toEqual([
      ["board", 0],
      ["fans", 1],
      ["hub", 0],
      ["strip", 1],
    ]);
  });

  it("stand by themselves where what feeds them is in another column, or they have a plug", () => {
    const parts = byKey(part("board", { kind: "board" }), part("fans", { on: null }));
    expect(nested([drawn("fans")], parts).map(([, depth]) => depth)).toEqual([0]);
    const fed = byKey(
      part("board", { kind: "board" }),
      part("pump", { on: null, sockets: [{ kind: "per4" }] }),
    );
    expect(nested([drawn("board"), drawn("pump")], fed).map(([, depth]) => depth)).toEqual([0, 0]);
  });

  it("stand in one column; a card in that of its own leads, with a tail at the board", () => {
    const result = {
      parts: [drawn("card", "board lead"), drawn("card", "card leads"), drawn("fan", "board lead")],
    } as unknown as Result;
    const home = homes(result, [part("card", { kind: "card" }), part("fan")]);
    expect([...home]).toEqual([
      ["card", "card leads"],
      ["fan", "board lead"],
    ]);
  });

  it("draw sockets of a kind once, with how many there are", () => {
    expect(faces([{ kind: "sata" }, { kind: "pcie8" }, { kind: "sata" }])).toEqual([
      ["sata", 2],
      ["pcie8", 1],
    ]);
  });
});

describe("arrow keys among slips", () => {
  const columns = [["board", "fans", "m2"], [], ["card"], ["disk", "cooler"]];

  it("walk up and down, and stop at the ends", () => {
    expect(slipBy(columns, "fans", "ArrowUp")).toBe("board");
    expect(slipBy(columns, "m2", "ArrowDown")).toBe("m2");
    expect(slipBy(columns, "board", "ArrowUp")).toBe("board");
  });

  it("walk to the same height beside, past a column without a slip", () => {
    expect(slipBy(columns, "m2", "ArrowRight")).toBe("card");
    expect(slipBy(columns, "cooler", "ArrowLeft")).toBe("card");
    expect(slipBy(columns, "card", "ArrowRight")).toBe("disk");
  });

  it("lead nowhere beyond the last column, and no other key leads anywhere", () => {
    expect(slipBy(columns, "disk", "ArrowRight")).toBeNull();
    expect(slipBy(columns, "disk", "Enter")).toBeNull();
  });
});
