import { expect, test } from "vitest";

import { BenchQueue, doneWith, lastTicked, type Entry } from "./queue";

const entry = (uid: string, more: Partial<Entry> = {}): Entry =>
  ({ uid, step: "safe", kind: "done", words: "", at: "", ...more }) as Entry;

function memory() {
  const kept = new Map<string, string>();
  return {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
  };
}

test("what can't be sent is kept, across a page that is closed, and sent once the server is back", async () => {
  const store = memory();
  const sent: string[] = [];
  let up = false;
  const post = (entries: Entry[]) => {
    if (!up) return Promise.reject(new Error("down"));
    sent.push(...entries.map((e) => e.uid));
    return Promise.resolve();
  };
  const first = new BenchQueue("b", store, post, () => undefined);
  expect(await first.add(entry("1"))).toBe(false);
  expect(await first.add(entry("2"))).toBe(false);
  const again = new BenchQueue("b", store, post, () => undefined);
  expect(again.pending().map((e) => e.uid)).toEqual(["1", "2"]);
  up = true;
  expect(await again.flush()).toBe(true);
  expect(sent).toEqual(["1", "2"]);
  expect(again.pending()).toEqual([]);
});

test("what is added while others are on their way is not lost", async () => {
  const store = memory();
  const sent: string[] = [];
  const queue: BenchQueue = new BenchQueue(
    "b",
    store,
    async (entries) => {
      if (sent.length === 0) void queue.add(entry("late"));
      sent.push(...entries.map((e) => e.uid));
      await Promise.resolve();
    },
    () => undefined,
  );
  await queue.add(entry("1"));
  expect(sent).toEqual(["1", "late"]);
});

test("a store that holds rubbish is an empty one", () => {
  const store = memory();
  store.setItem("b", "{");
  expect(
    new BenchQueue(
      "b",
      store,
      () => Promise.resolve(),
      () => undefined,
    ).pending(),
  ).toEqual([]);
});

test("what is on its way counts, the last of a step", () => {
  const way = [entry("1"), entry("2", { kind: "undone" }), entry("3", { step: "sort" })];
  expect(doneWith({ step: { id: "safe" }, of: "", done: true }, way)).toBe(false);
  expect(doneWith({ step: { id: "sort" }, of: "", done: false }, way)).toBe(true);
  expect(doneWith({ step: { id: "other" }, of: "", done: false }, way)).toBe(false);
});

test("what was done to another supply is not done to this one", () => {
  const way = [entry("1", { step: "mount", of: "old" })];
  expect(doneWith({ step: { id: "mount" }, of: "old", done: false }, way)).toBe(true);
  expect(doneWith({ step: { id: "mount" }, of: "new", done: false }, way)).toBe(false);
});

test("the last tick is the latest, on its way or not", () => {
  const of = (id: string, at: string, done = true) => ({ step: { id }, of: "", state: "done", done, at });
  const steps = [of("safe", "2026-11-30T10:00Z"), of("pins", "2026-11-30T10:05Z"), of("sort", "", false)];
  expect(lastTicked(steps, [])?.step.id).toBe("pins");
  const way = [entry("1", { step: "sort", at: "2026-11-30T10:06Z" })];
  expect(lastTicked(steps, way)?.step.id).toBe("sort");
  expect(lastTicked(steps, [...way, entry("2", { step: "sort", kind: "undone" })])?.step.id).toBe("pins");
  expect(lastTicked([], [])).toBeUndefined();
});
