import { describe, expect, it } from "vitest";

import { asForm, Problem, reason, seeSize, take, textOf } from "./client";

const answer = (status: number, more: { data?: unknown; error?: unknown }) =>
  Promise.resolve({ ...more, response: new Response(null, { status }) });

describe("an answer", () => {
  it("is what came", async () => {
    await expect(take(answer(200, { data: { version: 3 } }))).resolves.toEqual({ version: 3 });
    await expect(take(answer(204, {}))).resolves.toBeUndefined();
  });

  it("is thrown with all that it says where it is a problem", async () => {
    const error = {
      type: "urn:easy-tally:stale",
      title: "Changed meanwhile",
      detail: "Another window wrote.",
      conflicts: [{ path: "part:card-1/name", yours: "a", theirs: "b" }],
      version: 8,
    };
    const thrown = await take(answer(409, { error })).catch((e: unknown) => e);
    expect(thrown).toBeInstanceOf(Problem);
    expect(thrown).toMatchObject({
      kind: "stale",
      title: "Changed meanwhile",
      message: "Another window wrote.",
      version: 8,
      problems: [],
    });
  });

  it("is told in words although none came", async () => {
    const thrown = await take(answer(502, {})).catch((e: unknown) => e);
    expect(reason(thrown)).toBe("The server answered 502.");
    const away = await take(Promise.reject(new TypeError("fetch failed"))).catch((e: unknown) => e);
    expect(away).toMatchObject({ kind: "offline" });
    expect(reason("what")).toBe("The server does not answer.");
  });
});

describe("a file", () => {
  const file = new File(["x".repeat(2_000_000)], "log.csv");

  it("is refused before it is sent where it is too large, with its size", () => {
    expect(() => seeSize(file, 1_000_000)).toThrow("log.csv has 2.0 MB; at most 1 MB are taken.");
    expect(() => seeSize(file, 2_000_000)).not.toThrow();
  });

  it("is read whole", async () => {
    expect((await textOf(file, 3_000_000)).length).toBe(2_000_000);
    await expect(textOf(file, 10)).rejects.toThrow("Nothing was sent.");
  });

  it("goes in a form beside what is said of it", () => {
    const form = asForm({ file, keep_good: true, size: 2, name: "log.csv" });
    expect(form.get("file")).toBeInstanceOf(File);
    expect([form.get("keep_good"), form.get("size"), form.get("name")]).toEqual(["true", "2", "log.csv"]);
  });
});
