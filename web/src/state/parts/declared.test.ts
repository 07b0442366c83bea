import { describe, expect, it } from "vitest";

import type { Part } from "../../api/client";
import { field } from "../../testing/field";
import { drawnBy, figureIn, numberIn } from "./declared";

const part = (values: Record<string, unknown>) => ({ kind: "cooler", ...values }) as unknown as Part;

describe("the fields of a part, by their declaration", () => {
  it("stand group by group, figures apart", () => {
    const fields = [
      field("pump_a", { shape: "figure" }),
      field("long", { group: "Size" }),
      field("fans"),
      field("high", { group: "Size" }),
    ];
    const drawn = drawnBy(fields, part({ fans: 2 }));
    expect(drawn.map((g) => [g.title, g.fields.map((f) => f.field.name)])).toEqual([
      ["Size", ["long", "high"]],
      ["", ["fans"]],
    ]);
  });

  it("hold numbers, none where it is missing", () => {
    const [group] = drawnBy([field("fans"), field("thick")], part({ fans: 3, thick: null }));
    expect(group?.fields).toMatchObject([
      { as: "number", value: 3 },
      { as: "number", value: null },
    ]);
  });

  it("give back the value that was chosen: a number, a yes, nothing", () => {
    const choices = [
      { value: null, words: "not known" },
      { value: 0, words: "none" },
      { value: 240, words: "240 mm" },
      { value: true, words: "yes" },
    ];
    const [group] = drawnBy([field("radiator", { shape: "choice", choices })], part({ radiator: 240 }));
    const drawn = group?.fields[0];
    if (drawn?.as !== "choice") throw new Error("a choice");
    expect(drawn.value).toBe("240");
    expect(drawn.options.map((o) => o.value)).toEqual(["", "0", "240", "true"]);
    expect(["", "0", "240", "true"].map(drawn.valueOf)).toEqual([null, 0, 240, true]);
  });

  it("show a value that is not among the usual ones too", () => {
    const choices = [{ value: 240, words: "240 mm" }];
    const declared = field("radiator", { shape: "choice", unit: "mm", choices });
    const drawn = drawnBy([declared], part({ radiator: 300 }))[0]?.fields[0];
    expect(drawn).toMatchObject({ value: "300", options: [{ words: "240 mm" }, { words: "300 mm" }] });
  });

  it("are left out where another makes them mean nothing", () => {
    const fields = [field("usb2_headers", { only: { field: "port", value: "outside" } })];
    expect(drawnBy(fields, part({ port: "outside" }))).toEqual([]);
    expect(drawnBy(fields, part({ port: "usb2" }))).toHaveLength(1);
  });

  it("are ticked or not", () => {
    const drawn = drawnBy([field("plain", { shape: "tick" })], part({ plain: true }))[0]?.fields[0];
    expect(drawn).toMatchObject({ as: "tick", value: true });
  });

  it("read figures and numbers by name, and nothing else", () => {
    const figure = { low: 1, likely: 2, high: 3, origin: "maker", note: "" };
    const held = part({ pump_a: figure, fans: 2, name: "Cooler" });
    expect(figureIn(held, "pump_a")).toBe(figure);
    expect(figureIn(held, "fans")).toBeNull();
    expect(numberIn(held, "fans")).toBe(2);
    expect(numberIn(held, "name")).toBeNull();
  });
});
