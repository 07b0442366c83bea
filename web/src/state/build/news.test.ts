import { expect, test } from "vitest";

import type { News } from "../../api/client";
import { stale } from "./news";

const now: News = { version: 7, bench: "3 0 0", readings: "1 1 0", allows: "bench", door: "" };

test("only what differs is fetched", () => {
  expect(stale(now, now, 7)).toEqual([]);
  expect(stale(now, { ...now, version: 8 }, 7)).toEqual(["build"]);
  expect(stale(now, { ...now, bench: "4 0 0", readings: "2 2 0" }, 7)).toEqual(["bench", "readings"]);
  expect(stale(now, { ...now, allows: "look" }, 7)).toEqual(["here"]);
});

test("the first look knows of the version alone; what is held may be newer than it", () => {
  expect(stale(null, now, 6)).toEqual(["build"]);
  expect(stale(null, now, 8)).toEqual([]);
});
