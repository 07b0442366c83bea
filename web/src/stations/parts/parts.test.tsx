import { describe, expect, it } from "vitest";

import type { FieldOf, Part } from "../../api/client";
import { field } from "../../testing/field";
import { buildWith, drawn, every, referenceWith, resultWith, wordsOf } from "../../testing/render";
import { KindFields } from "./KindFields";

const nothing = () => Promise.resolve(null);
const labelled = (name: string, label: string, more: Partial<FieldOf> = {}) =>
  field(name, { label, ...more });
const FIELDS = {
  fan: [
    labelled("rated_a", "rated current", { shape: "figure", unit: "A" }),
    labelled("size_mm", "Size", { shape: "whole", unit: "mm", may_miss: false }),
    labelled("blows", "Blows", {
      shape: "choice",
      choices: [
        { value: null, words: "not known" },
        { value: "in", words: "into the case" },
      ],
    }),
  ],
  card: [labelled("length_mm", "Length", { unit: "mm", group: "Size" })],
};
const BOARD = {
  key: "board",
  kind: "board",
  name: "Tideline board",
  sockets: [],
  headers: [{ key: "fan-1", kind: "fan", limit_a: null, speed: null }],
  slots: [{ key: "slot-1", lanes: 16, fed_by: null, place: null }],
  m2_slots: null,
};
const fieldsOf = (part: Record<string, unknown>) => {
  const doc = { parts: [BOARD, part], assumptions: {}, house_rules: {} };
  const reference = referenceWith({ fields: FIELDS });
  const shown = <KindFields part={part as unknown as Part} set={nothing} />;
  return drawn(shown, { build: buildWith(doc), reference, result: resultWith() });
};

describe("what a kind of part has besides figures", () => {
  const fan = {
    key: "fan",
    kind: "fan",
    name: "Fan 120 mm",
    sockets: [],
    on: null,
    headers: [],
    size_mm: 120,
    blows: "in",
  };

  it("is drawn as it is declared, with what it holds, figures apart", () => {
    const markup = fieldsOf(fan);
    expect(every(markup, "data-field")).toEqual(["headers", "size_mm", "blows"]);
    expect(every(markup, "value")).toContain("120");
    expect(wordsOf(markup)).toContain("Blows not known into the case");
    expect(markup).toContain('<option value="in" selected="">into the case</option>');
  });

  it("says which header it hangs on, unless it has a plug", () => {
    expect(wordsOf(fieldsOf(fan))).toContain("fan-1, for fan");
    const fed = { ...fan, sockets: [{ key: "power", kind: "sata" }] };
    expect(every(fieldsOf(fed), "data-field")).toEqual(["size_mm", "blows"]);
  });

  it("stands under a title where several belong together, and a card says its slot and spikes", () => {
    const card = {
      key: "card-1",
      kind: "card",
      name: "Kittiwake L",
      sockets: [],
      slot: "slot-1",
      spikes: "usual",
      spike_factors: null,
      length_mm: null,
      sata_ports: null,
    };
    const markup = fieldsOf(card);
    expect(markup).toContain('<option value="slot-1" selected="">slot-1, x16</option>');
    expect(every(markup, "placeholder")).toContain("?");
    expect(wordsOf(markup)).toMatch(/Size Length mm Spikes usual by-standard worst its own/);
  });

  it("is nothing but what its kind has", () => {
    const processor = { key: "cpu", kind: "processor", name: "Sanderling", sockets: [] };
    expect(wordsOf(fieldsOf(processor))).toBe("");
  });
});
