import { expect, test } from "vitest";

import worker from "../../sw.ts?raw";
import { ANSWERS } from "./answers";

test("the page forgets where the service worker keeps", () => {
  expect(worker).toContain(`const ANSWERS = "${ANSWERS}";`);
});

test("the service worker imports nothing of the page's: it is one file", () => {
  const own = [...worker.matchAll(/from "([^"]+)"/g)].map((m) => m[1]);
  expect(own.length).toBeGreaterThan(0);
  expect(own.filter((name) => !name?.startsWith("workbox-"))).toEqual([]);
});
