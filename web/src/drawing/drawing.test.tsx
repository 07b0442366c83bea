import { describe, expect, it } from "vitest";

import type { Doc, HeldAnswer, Supply } from "../api/client";
import { drawn, every, wordsOf } from "../testing/render";
import { Face, PinKey } from "./Face";
import { Panel } from "./Panel";
import { PinBars } from "./PinBars";

describe("a connector's face", () => {
  it("has a pin each, and its words for who does not see it", () => {
    const markup = drawn(<Face kind="sata" />);
    expect(every(markup, "aria-label")).toEqual(["SATA power"]);
    expect(markup.match(/<rect/g)).toHaveLength(1 + 9);
  });

  it("says where its latch is, and has its sense contacts in a row of their own", () => {
    const markup = drawn(<Face kind="h12v2x6" />);
    expect(every(markup, "aria-label")).toEqual(["16-pin graphics, latch below"]);
    expect(markup.match(/<rect/g)).toHaveLength(2 + 12 + 4);
  });

  it("is hollow where nothing is plugged in", () => {
    const fills = every(drawn(<Face kind="sata" hollow />), "fill");
    expect(new Set(fills)).toEqual(new Set(["none"]));
  });

  it("is nothing where its kind is not known", () => {
    expect(drawn(<Face kind="unheard-of" />)).toBe("");
  });

  it("has a word for each colour of its pins, and for no other", () => {
    expect(wordsOf(drawn(<PinKey kinds={["sata"]} />))).toBe("5 V 3.3 V ground");
    expect(wordsOf(drawn(<PinKey kinds={["h12v2x6"]} />))).toBe("12 V ground signal or sense");
    expect(wordsOf(drawn(<PinKey kinds={[]} />))).toBe("");
  });
});

describe("a supply's panel", () => {
  const port = (key: string, kind: string, column: number) => ({
    key,
    label: key.toUpperCase(),
    kind,
    circuits: 8,
    row: 0,
    column,
  });
  const supply = {
    name: "Marram 850",
    ports: [port("b1", "board-main", 0), port("g1", "graphics", 1), port("g2", "graphics", 2)],
  } as unknown as Supply;
  const runs = [{ cable: "c1", ports: ["g1"], connections: [] }] as unknown as Doc["runs"];
  const markup = drawn(<Panel supply={supply} runs={runs} chosen={["g1"]} onPort={() => undefined} />);

  it("has a button a port, which says whether it is in use", () => {
    expect(every(markup, "aria-label")).toEqual([
      "Panel of Marram 850, cable side",
      "Port B1, board, free",
      "Port G1, graphics, in use",
      "Port G2, graphics, free",
    ]);
    expect(every(markup, "data-chosen")).toEqual(["false", "true", "false"]);
    const cables = [{ key: "c1", name: "Graphics cable 1" }] as unknown as Doc["cables"];
    const named = drawn(
      <Panel supply={supply} runs={runs} cables={cables} chosen={[]} onPort={() => undefined} />,
    );
    expect(every(named, "aria-label")).toContain("Port G1, graphics, in use by Graphics cable 1");
  });

  it("heads ports of a kind that stand side by side once", () => {
    expect(every(markup, "title")).toEqual(["graphics"]);
    expect(every(markup, "style").filter((s) => s.includes("/"))).toEqual([
      "grid-row:1;grid-column:1 / 2",
      "grid-row:1;grid-column:2 / 4",
    ]);
  });
});

describe("the pins of a plug", () => {
  const plug = {
    ref: "card-1#1/power",
    words: "Kittiwake L, power",
    state: "full",
    pins: [
      { pin: 1, mean: 4.2 },
      { pin: 2, mean: 8.1 },
      { pin: 3, mean: 9.6 },
    ],
    mean: 7.3,
    share: 1.32,
    limit: 9.2,
    tight: 7.8,
  } as unknown as HeldAnswer["plugs"][number];

  it("say each in amperes, and the worst beside the mean and the limit", () => {
    const markup = drawn(<PinBars plug={plug} />);
    expect(every(markup, "aria-label")).toEqual(["pin 1 4.20 A, pin 2 8.10 A, pin 3 9.60 A"]);
    expect(wordsOf(markup)).toContain("worst pin 1.32 × the mean of 7.30 A, limit 9.2 A");
  });

  it("are marked where they are tight and where they are over", () => {
    expect(every(drawn(<PinBars plug={plug} />), "fill").filter((f) => /bar|tight|over/.test(f))).toEqual([
      "var(--bar-dark)",
      "var(--tight)",
      "var(--over)",
    ]);
  });

  it("have no line where no limit is known", () => {
    const markup = drawn(<PinBars plug={{ ...plug, limit: null, tight: null }} />);
    expect(wordsOf(markup)).not.toContain("limit");
    expect(markup).not.toContain("stroke-dasharray");
  });
});
