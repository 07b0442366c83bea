import { describe, expect, it, vi } from "vitest";

import type { BenchStep } from "../../api/client";
import type { Entry } from "./queue";
import { keyDoes, Walk, type Key } from "./walk";

const step = (id: string, looks: string[] = [], done = false) =>
  ({
    step: { id, title: id, looks: looks.map((l) => ({ id: l, text: l })), answers: [] },
    of: `of ${id}`,
    state: done ? "done" : "open",
    done,
    group: "",
    at: "",
  }) as unknown as BenchStep;
const entry = (id: string, kind: Entry["kind"]) => ({ step: id, of: `of ${id}`, kind }) as Entry;

describe("the walk at the bench", () => {
  const supply = step("supply", ["screws", "fan"]);
  const steps = [step("safe", [], true), supply, step("board")];

  it("begins at the first step that is open, or where the address says", () => {
    expect(new Walk("").at(steps, [])).toBe(1);
    expect(new Walk("supply").at(steps, [])).toBe(1);
    expect(new Walk("").at([], [])).toBe(0);
  });

  it("ends at the last one where all are done", () => {
    expect(new Walk("").at([step("a", [], true), step("b", [], true)], [])).toBe(1);
  });

  it("counts what is on its way as done", () => {
    expect(new Walk("").at(steps, [entry("supply", "done")])).toBe(2);
    expect(new Walk("").at(steps, [entry("safe", "undone")])).toBe(0);
  });

  it("goes no further than the ends", () => {
    const walk = new Walk("");
    const open = [step("safe", [], true), step("photo"), step("board")];
    expect(walk.go(open, 9, [])).toBe("board");
    expect(walk.at(open, [])).toBe(2);
    expect(walk.go(open, -1, [])).toBe("safe");
  });

  it("passes nothing that is to be looked at or answered first, by no way", () => {
    const walk = new Walk("board");
    expect(walk.at(steps, [])).toBe(1);
    expect(walk.go(steps, 2, [])).toBe("");
    expect(walk.go(steps, 1, [])).toBe("supply");
    const asks = step("ask");
    asks.step.answers = [{ id: "yes", words: "Yes", acts: [] }];
    expect(new Walk("").go([asks, step("board")], 1, [])).toBe("");
    // What was done, or stands, is open to be seen wherever it is.
    expect(walk.go([...steps, step("power", [], true)], 3, [])).toBe("power");
  });

  it("is asked and not ticked, and begins again at what is open by the answer", () => {
    const asks = step("ask");
    asks.step.answers = [{ id: "yes", words: "Yes", acts: [] }];
    const walk = new Walk("ask");
    expect(walk.tick([asks], [], false)).toEqual({ do: "nothing" });
    expect(walk.answer(asks, "yes")).toMatchObject({ do: "add", kind: "done", answer: "yes" });
    expect(walk.snapshot().wanted).toBe("");
  });

  it("asks to look before a tick, and ticks once all was looked at", () => {
    const walk = new Walk("");
    expect(walk.tick(steps, [], false)).toEqual({ do: "look at", id: "screws" });
    expect(walk.look(steps, [], "screws")).toEqual({ do: "look at", id: "fan" });
    expect(walk.leftOf(supply, [])).toEqual(["fan"]);
    expect(walk.look(steps, [], "fan")).toMatchObject({ do: "add", kind: "done", goTo: 2 });
  });

  it("ticks what has nothing to look at by itself", () => {
    const walk = new Walk("board");
    expect(walk.tick([step("board")], [], false)).toMatchObject({ do: "add", kind: "done", goTo: 1 });
  });

  it("takes back a look, and sends nobody on by it", () => {
    const walk = new Walk("");
    walk.look(steps, [], "fan");
    expect(walk.look(steps, [], "fan")).toEqual({ do: "nothing" });
    expect(walk.seenOf(supply)).toEqual([]);
  });

  it("undoes what is done, and all of it is to be looked at anew", () => {
    const walk = new Walk("supply");
    walk.look(steps, [], "screws");
    const pending = [entry("supply", "done")];
    expect(walk.leftOf(supply, pending)).toEqual([]);
    expect(walk.tick(steps, pending, false)).toMatchObject({ do: "add", kind: "undone", goTo: null });
    expect(walk.leftOf(supply, [])).toEqual(["screws", "fan"]);
  });

  it("ticks nothing where the work is stopped", () => {
    expect(new Walk("supply").tick(steps, [], true)).toEqual({ do: "nothing" });
  });

  it("looks are of the very things: the same step on others begins anew", () => {
    const walk = new Walk("");
    walk.look(steps, [], "screws");
    const other = step("supply", ["screws"]);
    other.of = "another";
    expect(walk.seenOf(other)).toEqual([]);
  });

  it("tells who listens", () => {
    const walk = new Walk("");
    const heard = vi.fn();
    walk.subscribe(heard);
    walk.go(steps, 1, []);
    expect(heard).toHaveBeenCalledOnce();
  });
});

describe("a key at the bench", () => {
  const key = (more: Partial<Key>): Key => ({
    key: " ",
    command: false,
    shift: false,
    alt: false,
    repeat: false,
    on: "page",
    ...more,
  });

  it("turns pages and ticks", () => {
    expect(keyDoes(key({ key: "ArrowDown" }))).toEqual({ do: "go", by: 1 });
    expect(keyDoes(key({ key: "ArrowLeft" }))).toEqual({ do: "go", by: -1 });
    expect(keyDoes(key({}))).toEqual({ do: "tick" });
  });

  it("ticks once however long it is held", () => {
    expect(keyDoes(key({ repeat: true }))).toEqual({ do: "swallow" });
  });

  it("is a control's own where one has the focus", () => {
    expect(keyDoes(key({ on: "control" }))).toBeNull();
    expect(keyDoes(key({ key: "ArrowDown", on: "control" }))).toEqual({ do: "go", by: 1 });
    expect(keyDoes(key({ key: "ArrowDown", on: "field" }))).toBeNull();
  });

  it("turns by a pedal, which ticks what has the focus", () => {
    expect(keyDoes(key({ key: "PageDown" }))).toEqual({ do: "tick" });
    expect(keyDoes(key({ key: "PageDown", on: "control" }))).toEqual({ do: "press" });
    expect(keyDoes(key({ key: "PageDown", repeat: true }))).toEqual({ do: "swallow" });
    expect(keyDoes(key({ key: "PageDown", on: "field" }))).toBeNull();
    expect(keyDoes(key({ key: "PageUp" }))).toEqual({ do: "go", by: -1 });
  });

  it("takes back by Control and Z, and leaves the rest to the browser", () => {
    expect(keyDoes(key({ key: "Z", command: true }))).toEqual({ do: "take back" });
    expect(keyDoes(key({ key: "z", command: true, shift: true }))).toBeNull();
    expect(keyDoes(key({ key: "p", command: true }))).toBeNull();
    expect(keyDoes(key({ key: "ArrowLeft", alt: true }))).toBeNull();
    expect(keyDoes(key({ key: "a" }))).toBeNull();
  });
});
