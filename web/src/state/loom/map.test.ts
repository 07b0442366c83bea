import { describe, expect, it } from "vitest";

import type { MapAnswer, MapOut } from "../../api/client";
import { mapShown, movesByCable } from "./map";

const answer = (more: Partial<MapAnswer> = {}) =>
  ({
    status: "mapped",
    proven: true,
    edit: { type: "take map" },
    swaps: [],
    moved: 0,
    ...more,
  }) as unknown as MapAnswer;
const job = (more: Partial<MapOut>): MapOut => ({
  state: "done",
  wish: { what: "all", part: "" },
  version: 7,
  done: 0,
  of: 0,
  error: "",
  waits: "",
  busy: [],
  answer: null,
  ...more,
});

describe("a map that was asked for", () => {
  it("is mapping as long as nothing is known", () => {
    expect(mapShown(undefined, 7)).toMatchObject({ title: "Mapping…", progress: null, busy: false });
  });

  it("says how far it is, and can be stopped", () => {
    const shown = mapShown(job({ state: "running", done: 2, of: 11 }), 7);
    expect(shown).toMatchObject({ title: "Mapping…", busy: true, take: null, again: null });
    expect(shown.progress).toEqual({
      done: 2,
      of: 11,
      words: "2 of 11 goals brought down as far as they go",
    });
  });

  it("says what it waits for before a goal is in sight", () => {
    const words = (more: Partial<MapOut>) => mapShown(job(more), 7).progress?.words;
    expect(words({ state: "running" })).toBe("Looking at what fits");
    expect(words({ state: "waiting" })).toBe("Waiting for its turn");
    expect(words({ state: "waiting", waits: "no worker" })).toBe("Waiting");
  });

  it("can be taken once it is done", () => {
    const shown = mapShown(job({ answer: answer() }), 7);
    expect(shown).toMatchObject({ title: "The best map, proven", busy: false, again: null });
    expect(shown.take?.words).toBe("Take this map");
  });

  it("takes what can be fed where not all can", () => {
    const shown = mapShown(job({ answer: answer({ status: "impossible", proven: false }) }), 7);
    expect(shown).toMatchObject({ title: "Not everything can be fed" });
    expect(shown.take?.words).toBe("Take what can be fed");
  });

  it("says what is not proven, not decided, nothing", () => {
    const title = (more: Partial<MapAnswer>) => mapShown(job({ answer: answer(more) }), 7).title;
    expect(title({ proven: false })).toBe("The best map found so far");
    expect(title({ status: "not decided" })).toMatch(/^Not decided/);
    expect(title({ status: "nothing" })).toBe("There is nothing to map");
  });

  it("offers nothing of a build as it was but to be asked for again", () => {
    const wish = { what: "part", part: "card-1" } as const;
    const shown = mapShown(job({ answer: answer(), version: 6, wish }), 7);
    expect(shown).toMatchObject({
      title: "This map is of the build as it was",
      late: true,
      answer: null,
      take: null,
      again: wish,
    });
    expect(mapShown(job({ state: "running", version: 6 }), 7)).toMatchObject({ busy: false, progress: null });
  });

  it("can be asked for again where it was stopped or failed", () => {
    expect(mapShown(job({ state: "stopped" }), 7).again).not.toBeNull();
    expect(mapShown(job({ state: "failed", error: "no memory" }), 7)).toMatchObject({
      title: "It could not be mapped",
      error: "no memory",
    });
    expect(mapShown(job({ state: "none", version: 0 }), 7)).toMatchObject({
      title: "No map is asked for",
      late: false,
    });
  });

  it("is laid over the lanes of the build that it is of, and of no other", () => {
    const swaps = [
      { does: "comes in", cable: "c1", name: "", ends: [], stays: 0 },
    ] satisfies MapAnswer["swaps"];
    const done = job({ answer: answer({ swaps }) });
    expect(movesByCable(done, 7).get("c1")).toBe("comes in");
    expect(movesByCable(done, 8).size).toBe(0);
    expect(movesByCable(undefined, 7).size).toBe(0);
  });
});
