import { describe, expect, it } from "vitest";

import type { HeldAnswer } from "../../api/client";
import { told } from "./told";

const held = (verdict: HeldAnswer["verdict"], ...severities: string[]) =>
  ({
    verdict,
    found: severities.map((severity, i) => ({ id: `f${i}`, severity, text: "", look: "" })),
  }) as unknown as HeldAnswer;

describe("what readings say", () => {
  it("is nothing yet where they are not held", () => {
    expect(told(undefined)).toEqual({ verdict: "", title: "", differs: [], fine: [], more: "" });
  });

  it("is the verdict in words", () => {
    const title = (verdict: HeldAnswer["verdict"]) => told(held(verdict)).title;
    expect(["over", "tight", "unknown", "within"].map((v) => title(v as HeldAnswer["verdict"]))).toEqual([
      "Stop and look",
      "Something differs",
      "Not all is measured",
      "As the tally says",
    ]);
  });

  it("says both where something differs and not all is measured", () => {
    expect(told(held("unknown", "unknown", "tight")).title).toBe(
      "Something differs, and not all is measured",
    );
    expect(told(held("unknown", "unknown", "note")).title).toBe("Not all is measured");
  });

  it("keeps what is as expected apart, and says how much there is more", () => {
    const said = told(held("over", "over", "tight", "tight", "unknown", "note", "note"));
    expect([said.differs.length, said.fine.length]).toEqual([4, 2]);
    expect(said.more).toBe("1 more, 2 as expected");
    expect(told(held("tight", "tight")).more).toBe("");
    expect(told(held("within", "note")).more).toBe("1 as expected");
  });
});
