import { describe, expect, test } from "vitest";

import { Problem, type Action, type BuildOut, type Doc, type WrittenOut } from "../../api/client";
import { Writer, type Holder, type Posts, type Question } from "./writer";

const ACTION: Action = { type: "park", cable: "c", plug: "a" };

function build(version: number): BuildOut {
  const doc = {
    name: "B",
    parts: [],
    cables: [],
    adapters: [],
    extensions: [],
    backplanes: [],
    runs: [],
  } as unknown as Doc;
  return {
    key: "k",
    version,
    doc,
    result: { n: version },
    history: { undo: null, redo: null },
  } as unknown as BuildOut;
}

function written(version: number): WrittenOut {
  const order = { parts: [], cables: [], adapters: [], extensions: [], backplanes: [], runs: [] };
  return { ...build(version), changed: [], order } as unknown as WrittenOut;
}

/** A server that answers in turn, and somebody who holds the build. */
function stand(answers: (() => Promise<WrittenOut>)[]) {
  const sent: { version: number; action?: Action }[] = [];
  const met = { questions: [] as Question[], said: [] as string[], reloads: 0, wrote: 0 };
  let now = build(1);
  const next = (version: number, action?: Action) => {
    sent.push({ version, ...(action && { action }) });
    const answer = answers.shift();
    if (!answer) throw new Error("one more write than expected");
    return answer();
  };
  const posts: Posts = {
    act: next,
    takeSupply: (v) => next(v),
    undo: (v) => next(v),
    redo: (v) => next(v),
  };
  const holder: Holder = {
    held: () => now,
    hold: (b) => void (now = b),
    reload: async () => void (met.reloads += 1),
    wrote: () => void (met.wrote += 1),
    ask: (q) => void met.questions.push(q),
    say: (text) => void met.said.push(text),
  };
  return { writer: new Writer(posts, holder), sent, met, held: () => now };
}

const stale = () => Promise.reject(new Problem("stale", "Changed", "Changed meanwhile", [], [], [], 7));
const wouldRelease = () =>
  Promise.reject(new Problem("would-release", "Unplugs", "This unplugs A", [], [], ["A"]));

describe("Writer", () => {
  test("writes one at a time, each on the version that the one before left", async () => {
    const { writer, sent, held } = stand([async () => written(2), async () => written(3)]);
    await Promise.all([writer.act(ACTION), writer.act(ACTION)]);
    expect(sent.map((s) => s.version)).toEqual([1, 2]);
    expect(held().version).toBe(3);
  });

  test("asks an edit made of the build when its turn comes", async () => {
    const { writer } = stand([async () => written(2), async () => written(3)]);
    const first = writer.act(ACTION);
    let seen = 0;
    const second = writer.act((doc) => {
      seen = doc.parts.length + 1;
      return ACTION;
    });
    expect(seen).toBe(0);
    await Promise.all([first, second]);
    expect(seen).toBe(1);
  });

  test("fetches the whole where others wrote in between", async () => {
    const { writer, met, held } = stand([async () => written(4)]);
    await writer.act(ACTION);
    expect(met.reloads).toBe(1);
    expect(held().version).toBe(1);
  });

  test("makes a question of a stale edit, and mine goes in on their version", async () => {
    const { writer, met, sent } = stand([stale, async () => written(8)]);
    expect(await writer.act(ACTION)).toBeNull();
    const question = met.questions[0];
    expect(question?.kind).toBe("stale");
    if (question?.kind === "stale") await question.retry(question.problem.version);
    expect(sent.map((s) => s.version)).toEqual([1, 7]);
    expect(met.wrote).toBe(1);
  });

  test("makes a question of what would be unplugged, and consent goes with the second", async () => {
    const { writer, met, sent } = stand([wouldRelease, async () => written(2)]);
    await writer.act({ type: "remove part", part: "p", release: false });
    const question = met.questions[0];
    expect(question?.problem.released).toEqual(["A"]);
    if (question?.kind === "release") await question.retry();
    expect(sent[1]?.action).toEqual({ type: "remove part", part: "p", release: true });
  });

  test("says what else goes wrong, and writes on", async () => {
    const refused = () => Promise.reject(new Problem("refused", "Refused", "It does not fit."));
    const { writer, met } = stand([refused, async () => written(2)]);
    expect(await writer.act(ACTION)).toBeNull();
    expect(met.said).toEqual(["It does not fit."]);
    expect((await writer.undo())?.version).toBe(2);
  });

  test("a fault does not stop the queue", async () => {
    const { writer } = stand([() => Promise.reject(new Error("broken")), async () => written(2)]);
    const first = writer.act(ACTION);
    const second = writer.redo();
    await expect(first).rejects.toThrow("broken");
    expect((await second)?.version).toBe(2);
  });
});
