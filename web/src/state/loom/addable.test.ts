import { describe, expect, it } from "vitest";

import type { LooseOut, Thing } from "../../api/client";
import { asBracket, asCable, ownBracket, ownCable } from "../loose";
import { addable } from "./addable";

const CABLE = { name: "SATA cable", supply_end: {}, plugs: [], owned: "" };
const ADAPTER = { name: "16-pin adapter", leads: [], plugs: [], owned: "" };
const BRACKET = { name: "Small bracket", form: "SFX", place: "ATX", owned: "" };

const own = (key: string, thing: unknown, more: Record<string, unknown> = {}) =>
  ({
    thing: { key, thing, condition: "good", lies: "shelf 2", ...more },
    kind: "cable",
    name: "mine",
    words: "words of it",
    family: "marram",
    free: 1,
    ...more,
  }) as unknown as Thing;
const sold = (slug: string, thing: unknown, more: Record<string, unknown> = {}) =>
  ({
    entry: { slug, thing },
    kind: "cable",
    family: "marram",
    words: "of its words",
    ...more,
  }) as unknown as LooseOut;

const noPrice = () => null;

describe("what can be added to a build", () => {
  it("is to be bought where it is not one's own, at its price", () => {
    const priceOf = (slug: string) => (slug === "loose:sata-4" ? 9 : null);
    const items = addable([own("k1", CABLE)], [sold("sata-4", CABLE)], "marram", "", priceOf);
    expect(items[0]?.edit).toMatchObject({ cable: { to_buy: null } });
    expect(items[1]?.edit).toMatchObject({ cable: { to_buy: { price: 9 } } });
    expect(items[1]?.price).toBe("loose:sata-4");
  });

  it("is one's own first, with where it lies, then what is to be had", () => {
    const items = addable([own("k1", CABLE)], [sold("sata-4", CABLE)], "marram", "", noPrice);
    expect(items.map((i) => [i.id, i.from])).toEqual([
      ["drawer:k1", "yours, marram, shelf 2"],
      ["sata-4", "to be had, marram"],
    ]);
    expect(items[0]?.edit).toMatchObject({ type: "add cable", cable: { owned: "k1" } });
  });

  it("is never a cable of another family; adapters fit any", () => {
    const things = [
      own("k1", CABLE, { family: "lyme" }),
      own("k2", ADAPTER, { kind: "adapter", family: "any" }),
    ];
    const items = addable(things, [sold("x", CABLE, { family: "lyme" })], "marram", "", noPrice);
    expect(items.map((i) => i.id)).toEqual(["drawer:k2"]);
    expect(items[0]).toMatchObject({ from: "yours, shelf 2", edit: { type: "add adapter" } });
  });

  it("is nothing that is in use, not to be used, or mounted with the case", () => {
    const things = [
      own("k1", CABLE, { free: 0 }),
      own("k2", CABLE, { condition: "not to be used" }),
      own("k3", BRACKET, { kind: "bracket" }),
      own("k4", null, { kind: "supply" }),
    ];
    expect(addable(things, [sold("b", BRACKET, { kind: "bracket" })], "marram", "", noPrice)).toEqual([]);
  });

  it("is searched by name and words", () => {
    const items = [sold("a", CABLE), sold("b", { ...CABLE, name: "Fan lead" })];
    expect(addable([], items, "marram", "FAN", noPrice).map((i) => i.id)).toEqual(["b"]);
    expect(addable([], items, "marram", "of its", noPrice)).toHaveLength(2);
  });
});

describe("a thing sold by itself", () => {
  it("is what its fields say", () => {
    expect(asCable(CABLE as never)).toBe(CABLE);
    expect(asCable(ADAPTER as never)).toBeNull();
    expect(asBracket(BRACKET as never)).toBe(BRACKET);
    expect(asBracket(null)).toBeNull();
  });

  it("knows in a build which of one's own it is", () => {
    expect(ownCable(own("k1", CABLE))).toMatchObject({ name: "SATA cable", owned: "k1" });
    expect(ownCable(own("k1", BRACKET))).toBeNull();
    expect(ownBracket(own("k2", BRACKET))).toMatchObject({ form: "SFX", owned: "k2" });
  });
});
