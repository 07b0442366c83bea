import { describe, expect, it, test } from "vitest";

import type { Doc, Offer, Offers } from "../../api/client";
import type { Drawn } from "./lanes";
import { PickMachine, portHit } from "./pick";

const offer = (more: Partial<Offer>) =>
  ({ cable: "c", plug: "a", socket: "card#1/a", reason: "", ...more }) as Offer;
const OFFERS = {
  fitting: [offer({})],
  refused: [offer({ plug: "b", socket: "board#1/cpu", reason: "A short circuit." })],
} as unknown as Offers;

describe("PickMachine", () => {
  test("with nothing in hand, an end that is hit is picked", () => {
    const machine = new PickMachine(null, undefined);
    expect(machine.hitSocket("s")).toEqual({ do: "pick", picked: { kind: "socket", ref: "s" } });
    expect(machine.hitPlug("c", "a")).toEqual({
      do: "pick",
      picked: { kind: "plug", cable: "c", plug: "a" },
    });
  });

  test("the same end again lets go; another of its kind changes hands", () => {
    const socket = new PickMachine({ kind: "socket", ref: "s" }, OFFERS);
    expect(socket.hitSocket("s")).toEqual({ do: "drop" });
    expect(socket.hitSocket("t")).toEqual({ do: "pick", picked: { kind: "socket", ref: "t" } });
    const plug = new PickMachine({ kind: "plug", cable: "c", plug: "a" }, OFFERS);
    expect(plug.hitPlug("c", "a")).toEqual({ do: "drop" });
    expect(plug.hitPlug("c", "b").do).toBe("pick");
  });

  test("the other end is put in where it fits, and refused with its reason where not", () => {
    const socket = new PickMachine({ kind: "socket", ref: "card#1/a" }, OFFERS);
    expect(socket.hitPlug("c", "a")).toEqual({ do: "put", offer: OFFERS.fitting[0] });
    expect(socket.hitPlug("c", "b")).toEqual({ do: "refuse", reason: "A short circuit." });
    const plug = new PickMachine({ kind: "plug", cable: "c", plug: "a" }, OFFERS);
    expect(plug.hitSocket("card#1/a").do).toBe("put");
  });

  test("an end that is in no offer is no longer there", () => {
    const socket = new PickMachine({ kind: "socket", ref: "card#1/a" }, OFFERS);
    expect(socket.hitPlug("gone", "a")).toMatchObject({ do: "refuse" });
    expect(new PickMachine({ kind: "socket", ref: "s" }, undefined).hitPlug("c", "a").do).toBe("refuse");
  });
});

describe("a port of the panel", () => {
  const lane = (needs: string[], where: string) =>
    ({ cable: { key: "c1", name: "Cable 1", needs }, where }) as unknown as Drawn;
  const runs = [{ cable: "c9", ports: ["P1"], connections: [] }] as unknown as Doc["runs"];

  it("chooses what hangs in it", () => {
    expect(portHit("P1", false, runs, lane(["per"], "bag"))).toEqual({ do: "choose", cable: "c9" });
  });

  it("takes the cable that is chosen, at this port where it needs one", () => {
    expect(portHit("P2", true, runs, lane(["per"], "bag"))).toEqual({
      do: "plug in",
      plugged: { cable: "c1", ports: ["P2"] },
    });
    expect(portHit("P2", true, runs, lane(["a", "b"], "bag"))).toEqual({
      do: "plug in",
      plugged: { cable: "c1" },
    });
  });

  it("moves no cable of several ports, and says what to do", () => {
    expect(portHit("P2", true, runs, lane(["a", "b"], "panel"))).toMatchObject({ do: "refuse" });
  });

  it("does nothing where nothing is chosen", () => {
    expect(portHit("P2", true, runs, null)).toEqual({ do: "nothing" });
    expect(portHit("P2", false, runs, lane(["per"], "panel"))).toEqual({ do: "nothing" });
  });
});
