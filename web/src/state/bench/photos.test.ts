import { describe, expect, it } from "vitest";

import { PhotoQueue, type Shelf, type Shot } from "./photos";

function shelf(): Shelf & { held: Map<string, Shot> } {
  const held = new Map<string, Shot>();
  return {
    held,
    keys: async () => [...held.keys()],
    get: async (k) => held.get(k),
    set: async (k, s) => void held.set(k, s),
    del: async (k) => void held.delete(k),
  };
}
const shot = (step: string, build = "heron"): Shot => ({ build, step, places: [], file: new Blob(["x"]) });

describe("photos that are on their way", () => {
  it("keeps what the server does not take, and sends it in order once it answers", async () => {
    const [kept, sent, counts] = [shelf(), [] as string[], [] as number[]];
    let away = true;
    const post = async (s: Shot) => !away && sent.push(s.step) > 0;
    const queue = new PhotoQueue("heron", kept, post, (n) => counts.push(n));
    await queue.add(shot("first"));
    await new Promise((r) => setTimeout(r, 2));
    await queue.add(shot("second"));
    await queue.flush();
    expect(counts.at(-1)).toBe(2);
    away = false;
    await queue.flush();
    expect(sent).toEqual(["first", "second"]);
    expect([counts.at(-1), kept.held.size]).toEqual([0, 0]);
  });

  it("keeps one that is refused, and sends those behind it", async () => {
    const [kept, sent] = [shelf(), [] as string[]];
    await kept.set("heron 1", shot("refused"));
    await kept.set("heron 2", shot("good"));
    const post = async (s: Shot) => {
      if (s.step === "refused") throw new Error("not from this device");
      return sent.push(s.step) > 0;
    };
    await new PhotoQueue("heron", kept, post, () => undefined).flush();
    expect([sent, [...kept.held.keys()]]).toEqual([["good"], ["heron 1"]]);
  });

  it("sends those of its own build alone", async () => {
    const kept = shelf();
    await kept.set("curlew 1", shot("there", "curlew"));
    const sent: string[] = [];
    await new PhotoQueue(
      "heron",
      kept,
      async (s) => sent.push(s.step) > 0,
      () => undefined,
    ).flush();
    expect([sent, kept.held.size]).toEqual([[], 1]);
  });
});
