import { expect, test } from "vitest";

import type { BuildCard } from "../../api/client";
import { grouped, isFound, walked } from "./list";

const card = (key: string, more: Record<string, unknown> = {}) =>
  ({
    key,
    name: key,
    note: "",
    group: "",
    began_as: "",
    changed_at: `2026-12-0${key.length}T00:00:00Z`,
    problem: "",
    overall: { text: "proven" },
    strip: { supply: "Marram 1000", mend: {}, watts: { full: { likely: 400 } } },
    ...more,
  }) as unknown as BuildCard;

test("a build is found by every word, wherever it is told", () => {
  expect(isFound(card("Heron", { note: "the acoustic one" }), "acoustic heron")).toBe(true);
  expect(isFound(card("Heron"), "marram 1000")).toBe(true);
  expect(isFound(card("Heron"), "heron tower")).toBe(false);
  expect(isFound(card("Heron"), "")).toBe(true);
});

test("by group, those without one last; a variant under what it began as", () => {
  const all = [
    card("plan", { began_as: "tern" }),
    card("a"),
    card("tern"),
    card("knot", { group: "Boathouse" }),
    card("kite", { group: "Boathouse", began_as: "tern" }),
  ];
  const told = grouped(all, "", "name").map((g) => [
    g.name,
    g.builds.map((b) => `${b.under ? "> " : ""}${b.build.key}`),
  ]);
  expect(told).toEqual([
    ["Boathouse", ["kite", "knot"]],
    ["", ["a", "tern", "> plan"]],
  ]);
});

test("sorted by what is asked", () => {
  const heavy = card("aa", { strip: { mend: {}, watts: { full: { likely: 900 } } } });
  const broken = card("b", { strip: { mend: { over: 2 }, watts: { full: { likely: 1 } } } });
  const order = (sort: Parameters<typeof grouped>[2]) =>
    grouped([broken, heavy], "", sort)[0]?.builds.map((b) => b.build.key);
  expect(order("watts")).toEqual(["aa", "b"]);
  expect(order("mend")).toEqual(["b", "aa"]);
  expect(order("changed")).toEqual(["aa", "b"]);
});

test("arrows go one on, and stay at the ends", () => {
  const keys = ["a", "b", "c"];
  expect(walked(keys, "a", "ArrowDown")).toBe("b");
  expect(walked(keys, "a", "ArrowUp")).toBe("a");
  expect(walked(keys, "c", "ArrowDown")).toBe("c");
  expect(walked(keys, "b", "End")).toBe("c");
  expect(walked(keys, "b", "Home")).toBe("a");
  expect(walked(keys, "b", "x")).toBeUndefined();
});
