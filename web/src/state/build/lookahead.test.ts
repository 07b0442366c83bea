import { describe, expect, test } from "vitest";

import { Lookahead } from "./lookahead";

/** Questions whose answers come when the test says. */
function stand() {
  const open = new Map<string, (answer: string) => void>();
  const shown: (string | null)[] = [];
  const ahead = new Lookahead<string, string>(
    (q) => new Promise((resolve) => open.set(q, resolve)),
    (a) => shown.push(a),
  );
  const answer = async (q: string) => {
    open.get(q)?.(`answer to ${q}`);
    await Promise.resolve();
    await Promise.resolve();
  };
  return { ahead, answer, shown };
}

describe("Lookahead", () => {
  test("shows the answer to the last question, whatever comes later", async () => {
    const { ahead, answer, shown } = stand();
    ahead.ask("a");
    ahead.ask("b");
    await answer("b");
    await answer("a");
    expect(shown).toEqual(["answer to b"]);
  });

  test("shows no answer once what was typed is written", async () => {
    const { ahead, answer, shown } = stand();
    ahead.ask("a");
    ahead.drop();
    await answer("a");
    expect(shown).toEqual([null]);
  });

  test("nothing typed shows the build itself", () => {
    const { ahead, shown } = stand();
    ahead.ask(null);
    expect(shown).toEqual([null]);
  });
});
