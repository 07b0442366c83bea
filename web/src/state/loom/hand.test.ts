import { describe, expect, it, vi } from "vitest";

import type { Offer, Offers, SocketAnswer } from "../../api/client";
import { editOf, Hand } from "./hand";
import type { Next, Picked } from "./pick";

const socket = (ref: string): Picked => ({ kind: "socket", ref });
const plug = (cable: string, of = "1"): Picked => ({ kind: "plug", cable, plug: of });
const offer = (more: Partial<Offer> = {}) =>
  ({
    cable: "c1",
    plug: "1",
    half: "",
    socket: "card#1/power",
    at: { part: "card", instance: 1, socket: "power" },
    ports: [],
    ...more,
  }) as unknown as Offer;
const offers = (...fitting: Offer[]) => ({ fitting, refused: [] }) as unknown as Offers;

describe("the hand", () => {
  it("holds what was picked, and tells", () => {
    const hand = new Hand();
    const heard = vi.fn();
    hand.subscribe(heard);
    hand.hold(plug("c1"));
    expect(hand.held()).toEqual(plug("c1"));
    expect(heard).toHaveBeenCalledOnce();
  });

  it("decides hits in their order, by what is held then", async () => {
    const hand = new Hand();
    const steps: Next[] = [];
    const step = (next: Next) => {
      steps.push(next);
      if (next.do === "pick") hand.hold(next.picked);
    };
    const fits = () => Promise.resolve(offers(offer()));
    const first = hand.hit((m) => m.hitPlug("c1", "1"), fits, step);
    const second = hand.hit((m) => m.hitSocket("card#1/power"), fits, step);
    await Promise.all([first, second]);
    expect(steps.map((s) => s.do)).toEqual(["pick", "put"]);
  });

  it("asks anew where something else was picked while what fits was on its way", async () => {
    const hand = new Hand(plug("c1"));
    let answer: (o: Offers) => void = () => undefined;
    const asked: Picked[] = [];
    const fits = (held: Picked) => {
      asked.push(held);
      return asked.length > 1
        ? Promise.resolve(offers(offer({ cable: "c2" })))
        : new Promise<Offers>((done) => (answer = done));
    };
    const steps: Next[] = [];
    const hit = hand.hit(
      (m) => m.hitSocket("card#1/power"),
      fits,
      (next) => void steps.push(next),
    );
    await Promise.resolve();
    hand.hold(plug("c2"));
    answer(offers(offer()));
    await hit;
    expect(asked).toEqual([plug("c1"), plug("c2")]);
    expect(steps).toMatchObject([{ do: "put", offer: { cable: "c2" } }]);
  });

  it("is not held up by a hit that broke", async () => {
    const hand = new Hand(plug("c1"));
    const broken = hand.hit(
      (m) => m.hitSocket("x"),
      () => Promise.reject(new Error("away")),
      vi.fn(),
    );
    const step = vi.fn();
    const next = hand.hit(
      (m) => m.hitSocket("x"),
      () => Promise.resolve(undefined),
      step,
    );
    await expect(broken).rejects.toThrow("away");
    await next;
    expect(step).toHaveBeenCalledOnce();
  });

  it("lets go of what it held, and of nothing that was picked since", () => {
    const hand = new Hand(plug("c1"));
    const before = hand.held();
    hand.hold(plug("c2"));
    expect(hand.letGo(before)).toBe(false);
    expect(hand.held()).toEqual(plug("c2"));
    expect(hand.letGo(hand.held())).toBe(true);
    expect(hand.held()).toBeNull();
  });

  it("picks the unfed socket that a link leads to, once", () => {
    const hand = new Hand();
    hand.follow("card#1/power", false);
    expect(hand.held()).toEqual(socket("card#1/power"));
    hand.hold(null);
    hand.follow("card#1/power", false);
    expect(hand.held()).toBeNull();
    hand.follow("cable-1", false);
    hand.follow("board#1/main", true);
    expect(hand.held()).toBeNull();
  });
});

describe("putting a plug in", () => {
  const there = (carrier: string, of: string) =>
    [{ ref: "card#1/power", carrier, plug: of }] as unknown as SocketAnswer[];

  it("connects it", () => {
    expect(editOf(offer(), false, there("c2", "1"))).toMatchObject({ type: "connect", cable: "c1" });
    expect(editOf(offer(), true, [])).toMatchObject({ type: "connect" });
  });

  it("changes its place with the one that is there, where that is wished", () => {
    expect(editOf(offer(), true, there("c2", "3"))).toEqual({
      type: "swap plugs",
      cable: "c1",
      plug: "1",
      other_cable: "c2",
      other_plug: "3",
    });
  });

  it("does not change places with itself", () => {
    expect(editOf(offer(), true, there("c1", "1"))).toMatchObject({ type: "connect" });
  });
});
