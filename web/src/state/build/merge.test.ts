import { expect, test } from "vitest";

import type { BuildOut, WrittenOut } from "../../api/client";
import { merge } from "./merge";

const part = (key: string, count = 1) => ({ key, count });

test("a write changes, adds and removes what it names, in the order that it gives", () => {
  const doc = {
    name: "B",
    parts: [part("a"), part("b")],
    cables: [],
    adapters: [part("y")],
    extensions: [],
    backplanes: [],
    runs: [{ cable: "c" }],
    supply: null,
  };
  const before = { key: "k", version: 1, doc, result: 1, history: 1 } as unknown as BuildOut;
  const after = merge(before, {
    version: 2,
    result: 2,
    history: 2,
    changed: [
      { entity: "part:a", value: part("a", 5) },
      { entity: "part:n", value: part("n") },
      { entity: "run:c", value: null },
      { entity: "adapter:y", value: part("y", 2) },
      { entity: "build", value: { name: "New" } },
      { entity: "supply", value: { name: "S" } },
    ],
    order: {
      parts: ["n", "a", "b"],
      cables: [],
      adapters: ["y"],
      extensions: [],
      backplanes: [],
      runs: [],
    },
  } as unknown as WrittenOut);
  expect(after.doc.parts).toEqual([part("n"), part("a", 5), part("b")]);
  expect(after.doc.runs).toEqual([]);
  expect(after.doc.adapters).toEqual([part("y", 2)]);
  expect([after.doc.name, after.doc.supply?.name, after.version]).toEqual(["New", "S", 2]);
  expect(before.doc.parts.length).toBe(2);
});
