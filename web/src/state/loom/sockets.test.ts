import { describe, expect, it } from "vitest";

import type { Offer, SocketAnswer } from "../../api/client";
import { byReason, grouped, short, sought } from "./sockets";

const socket = (part: string, words: string, more: Partial<SocketAnswer> = {}) =>
  ({
    ref: `${part}#1/${words}`,
    part,
    words,
    own_words: "",
    kind_words: "SATA power",
    fed_by: "",
    cable: null,
    required: true,
    ...more,
  }) as unknown as SocketAnswer;

describe("the list of sockets", () => {
  const list = [
    socket("disk", "Mudflat 1", { cable: "c1", fed_by: "G1" }),
    socket("disk", "Mudflat 2"),
    socket("board", "Tideline main", { cable: "c2", fed_by: "M" }),
    socket("board", "Tideline second", { required: false }),
  ];

  it("has devices with something to feed first, and within one what is to be fed", () => {
    expect(grouped(list).map(([part, of]) => [part, of.map((s) => s.words)])).toEqual([
      ["disk", ["Mudflat 2", "Mudflat 1"]],
      ["board", ["Tideline main", "Tideline second"]],
    ]);
  });

  it("is searched by words, kind and port, whatever the case", () => {
    expect(sought(list, "MUDFLAT", false)).toHaveLength(2);
    expect(sought(list, "g1", false).map((s) => s.words)).toEqual(["Mudflat 1"]);
    expect(sought(list, "sata", true).map((s) => s.words)).toEqual(["Mudflat 2", "Tideline second"]);
    expect(sought(list, "tern", false)).toEqual([]);
  });

  it("says what tells one from the others of its part", () => {
    expect(short(socket("card", "x", { own_words: "left" }))).toBe("left, SATA power");
    expect(short(socket("card", "x"))).toBe("SATA power");
  });
});

describe("offers that are refused", () => {
  it("stand together by their reason, in the order in which they come", () => {
    const offer = (cable: string, reason: string) => ({ cable, reason }) as unknown as Offer;
    const groups = byReason([offer("a", "too short"), offer("b", "other family"), offer("c", "too short")]);
    expect(groups.map(([reason, of]) => [reason, of.map((o) => o.cable)])).toEqual([
      ["too short", ["a", "c"]],
      ["other family", ["b"]],
    ]);
  });
});
