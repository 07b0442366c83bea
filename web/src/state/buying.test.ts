import { describe, expect, it } from "vitest";

import type { Doc } from "../api/client";
import { buyEdit, money, priceFor } from "./buying";

const DOC = { bracket: { name: "Plate", form: "SFX", place: "ATX" } } as unknown as Doc;

describe("what is to be bought", () => {
  it("says a price with its currency", () => {
    expect(money(1234.5, "EUR")).toBe("1,234.50 EUR");
    expect(money(8, "")).toBe("8.00");
  });
  it("edits the thing that it is of", () => {
    const changes = { to_buy: { price: 9 } };
    expect(buyEdit(DOC, { of: "cable", key: "c" }, { price: 9 })).toMatchObject({ cable: "c", changes });
    expect(buyEdit(DOC, { of: "between", key: "a" }, { price: 9 })).toMatchObject({ key: "a", changes });
    expect(buyEdit(DOC, { of: "supply", key: "" }, null)).toMatchObject({ changes: { to_buy: null } });
    expect(buyEdit(DOC, { of: "bracket", key: "" }, null)).toMatchObject({
      changes: { bracket: { name: "Plate", to_buy: null } },
    });
  });
  it("knows no price in another currency", () => {
    const given = { currency: "EUR", prices: { "marram-850": 120 } };
    expect(priceFor(given, "marram-850", "")).toBe(120);
    expect(priceFor(given, "marram-850", "EUR")).toBe(120);
    expect(priceFor(given, "marram-850", "CHF")).toBeNull();
    expect(priceFor(given, "other", "EUR")).toBeNull();
    expect(priceFor(undefined, "marram-850", "EUR")).toBeNull();
  });
});
