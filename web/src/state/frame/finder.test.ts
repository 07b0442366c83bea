import { expect, test } from "vitest";

import type { BuildOut, Result } from "../../api/client";
import { found, goals, KEYS, STATIONS } from "./finder";

const build = {
  key: "tern",
  began_as: "",
  doc: {
    parts: [{ key: "card-1", name: "Kittiwake L" }],
    cables: [{ key: "sata-1", name: "SATA cable 1" }],
    supply: { ports: [{ label: "D1" }, { label: "D2" }] },
  },
} as unknown as BuildOut;
const result = {
  sockets: [{ ref: "card-1#1/power", words: "Kittiwake L · power" }],
  lanes: [{ cable: "sata-1", port_labels: ["D1"] }],
} as unknown as Result;
const all = goals(build, result);
const names = (text: string) => found(all, text).map((g) => `${g.kind}: ${g.name}`);

test("anything is found by the beginnings of its words, what begins so first", () => {
  expect(names("kitt")).toEqual(["part: Kittiwake L", "socket: Kittiwake L · power"]);
  expect(names("cable sata")).toEqual(["cable: SATA cable 1"]);
  expect(names("port d1")).toEqual(["port: Port D1"]);
  expect(names("xyz")).toEqual([]);
});

test("each leads to where it stands", () => {
  expect(found(all, "kitt")[0]?.to).toBe("/b/tern/parts?at=card-1");
  expect(found(all, "kitt power")[0]?.to).toBe("/b/tern/loom?at=card-1%231%2Fpower");
  expect(found(all, "port d1")[0]?.to).toBe("/b/tern/loom?at=sata-1");
  expect(found(all, "port d2")[0]?.to).toBe("/b/tern/loom");
  expect(found(all, "side by")[0]?.to).toBe("/compare?of=tern");
});

test("keys are told of stations that there are", () => {
  const stations: string[] = STATIONS.map((s) => s.to);
  expect(Object.keys(KEYS.of).every((k) => stations.includes(k))).toBe(true);
});
