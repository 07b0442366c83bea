import { expect, test } from "vitest";

import type { BuildCard, Compared } from "../../api/client";
import { linesOf, parted, sidesOf, takenInto, underSchools } from "./sides";

test("a side is a build, a moment of it, or the build under a school", () => {
  expect(parted("tern")).toEqual({ key: "tern", sign: "", which: "" });
  expect(parted("tern@12")).toEqual({ key: "tern", sign: "@", which: "12" });
  expect(parted("tern~by-the-pins")).toEqual({ key: "tern", sign: "~", which: "by-the-pins" });
});

test("each once, and no more than four", () => {
  expect(sidesOf("a,b,a,,c,d,e")).toEqual(["a", "b", "c", "d"]);
  expect(sidesOf(null)).toEqual([]);
});

test("schools are worked out of the build that they are asked of", () => {
  expect(underSchools(["a", "b~x"])).toBe("b");
  expect(underSchools(["a", "b@3"])).toBe("");
});

test("a variant alone can be taken, into the build that it began as", () => {
  const builds = [
    { key: "tern", began_as: "" },
    { key: "plan", began_as: "tern" },
    { key: "lost", began_as: "gone" },
  ] as BuildCard[];
  expect(takenInto("plan", builds)?.key).toBe("tern");
  expect(takenInto("tern", builds)).toBeUndefined();
  expect(takenInto("plan@3", builds)).toBeUndefined();
  expect(takenInto("lost", builds)).toBeUndefined();
});

test("what differs stands before what is the same", () => {
  const lines = [
    { group: "watts", words: "full", differs: true },
    { group: "watts", words: "idle", differs: false },
    { group: "parts", words: "Card", differs: true },
  ];
  const { differ, same } = linesOf({ lines } as unknown as Compared, "watts");
  expect([differ.map((l) => l.words), same.map((l) => l.words)]).toEqual([["full"], ["idle"]]);
});
