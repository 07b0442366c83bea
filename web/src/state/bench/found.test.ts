import { describe, expect, it } from "vitest";

import { NOT_SEEN, NOTHING, Taking, type Place } from "./found";

const choice = (id: string, act = "found") => ({ id, words: id, acts: [[act, id, "there"]] });
const nothing = { id: NOTHING, words: "Nothing", acts: [] };
const unseen = { id: NOT_SEEN, words: "Can’t see", acts: [["found", "x", "?"]] };
const place = (name: string, wanted: string, ...ids: string[]): Place => ({
  place: name,
  words: `at ${name}`,
  wanted,
  choices: [...ids.map((id) => choice(id)), nothing, unseen],
});

describe("a machine that is taken over socket by socket", () => {
  const all = [
    place("board/main", "c1/main", "c1/main"),
    place("card/a", "c2/a", "c2/a", "c3/a"),
    place("c1>", "B1", "B1", "B2"),
    place("c2>", "G1", "G1"),
    place("c3>", "nothing", "G1"),
  ];

  it("asks for the supply ends of the cables that were found alone", () => {
    const taking = new Taking(all);
    expect(taking.places().map((p) => p.place)).toEqual(["board/main", "card/a"]);
    taking.say("card/a", "c3/a");
    expect(taking.places().map((p) => p.place)).toEqual(["board/main", "card/a", "c3>"]);
  });

  it("counts what is as the map has it, otherwise, and not seen", () => {
    const taking = new Taking(all);
    taking.say("board/main", "c1/main");
    taking.say("card/a", "c3/a");
    taking.say("c1>", NOT_SEEN);
    expect(taking.counts()).toEqual({ like: 1, other: 1, unseen: 1, left: 1 });
  });

  it("tells what was said in its order, and of the rest that nobody saw it", () => {
    const taking = new Taking(all);
    taking.say("card/a", NOTHING);
    taking.say("board/main", "c1/main");
    expect(taking.told().map((t) => [t.place, t.words])).toEqual([
      ["board/main", "at board/main: c1/main"],
      ["c1>", "at c1>: Can’t see"],
    ]);
  });
});
