import { describe, expect, it } from "vitest";

import type { Candidate, SupplyAnswer } from "../../api/client";
import { drawn, every, resultWith, wordsOf } from "../../testing/render";
import { AllChecks, Line } from "./checks";
import { Ticket } from "./Ticket";
import { WattRuler } from "./WattRuler";

const amount = (likely: number) => ({ low: likely, likely, high: likely, missing: [] });
const answer = (more: Record<string, unknown> = {}) =>
  ({
    verdict: "right size",
    checks: [{ id: "watts", status: "pass", text: "watts: 500 W of 850 W", rail: null }],
    percent: { everyday: 41, full: 72 },
    fan_stands: null,
    wall_w: null,
    year_kwh: null,
    year_price: null,
    rides: [],
    not_checked: [],
    ...more,
  }) as unknown as SupplyAnswer;
const nothing = () => undefined;
const ticket = (more: { answer?: SupplyAnswer; inBuild?: boolean; from?: string } = {}) =>
  drawn(
    <Ticket
      name="Marram 850"
      about="ATX, 9 cables"
      answer={more.answer ?? answer()}
      inBuild={more.inBuild ?? false}
      lit={false}
      onLight={nothing}
      onOpen={nothing}
      onTake={nothing}
      from={more.from ?? "catalogue"}
      compared={false}
      onCompare={nothing}
    />,
  );

describe("a check", () => {
  it("says in words what its mark says", () => {
    const said = (status: string) => wordsOf(drawn(<Line status={status} text="12 V rail" />));
    expect(["fail", "unknown", "warn", "pass", "not checked"].map(said)).toEqual([
      "fails: 12 V rail",
      "not known: 12 V rail",
      "worth a look: 12 V rail",
      "passes: 12 V rail",
      "not checked: 12 V rail",
    ]);
  });
});

describe("a ticket", () => {
  it("says what is not known, and takes nothing for fine", () => {
    const words = wordsOf(ticket());
    expect(words).toContain("its fan, everyday not known");
    expect(words).toContain("from the wall not known");
    expect(words).toContain("a year not known");
  });

  it("says what is", () => {
    const words = wordsOf(ticket({ answer: answer({ fan_stands: true, wall_w: 214.2, year_kwh: 812 }) }));
    expect(words).toContain("its fan, everyday stands");
    expect(words).toContain("215 W everyday");
    expect(words).toContain("812 kWh");
  });

  it("is taken, unless it is the one in the build", () => {
    expect(wordsOf(ticket())).toContain("Take Marram 850");
    expect(wordsOf(ticket({ inBuild: true, from: "in this build" }))).not.toContain("Take Marram 850");
  });

  it("shows the worst three of what is not passed, and how many more there are", () => {
    const checks = ["form", "rail", "spikes", "ports", "hold-up"].map((id) => ({
      id,
      status: "fail",
      text: id,
      rail: null,
    }));
    const words = wordsOf(ticket({ answer: answer({ verdict: "does not fit", checks }) }));
    expect(words.match(/fails:/g)).toHaveLength(3);
    expect(words).toContain("and 2 more");
    expect(words).toContain("All 5 checks");
  });
});

describe("every check of a supply", () => {
  const ride = (more: Record<string, unknown>) => ({
    window: "1",
    watts: amount(900),
    holds: true,
    worst: null,
    worst_holds: null,
    rides: 1200,
    v12_watts: amount(880),
    v12_holds: true,
    v12_worst: null,
    v12_worst_holds: null,
    v12_rides: null,
    ...more,
  });

  it("says where a spike is too much, and where nobody knows what it rides through", () => {
    const said = wordsOf(drawn(<AllChecks answer={answer({ rides: [ride({ holds: false })] })} />));
    expect(said).toContain("900 W, too much 1,200 W");
    expect(said).toContain("880 W not known");
    expect(said).not.toContain("standard’s worst");
  });

  it("has the standard's worst beside the usual where a card may reach it", () => {
    const rides = [
      ride({ worst: amount(1500), worst_holds: false, v12_worst: amount(1480), v12_worst_holds: null }),
    ];
    const said = wordsOf(drawn(<AllChecks answer={answer({ rides })} />));
    expect(said).toContain("1,500 W, too much");
    expect(said.match(/by the standard’s worst/g)).toHaveLength(2);
  });
});

describe("the ruler, drawn", () => {
  const candidate = (slug: string, rated_w: number) =>
    ({
      slug,
      in_build: false,
      supply: { name: `Marram ${slug}`, rated_w },
      answer: { verdict: rated_w < 600 ? "too small" : "right size" },
    }) as unknown as Candidate;
  const rules = [
    { id: "full", words: "full load", watts: amount(500), governs: true, binding: true },
    { id: "floor", words: "the card’s maker", watts: null, governs: false, binding: false },
  ];
  const result = resultWith({ sizing: { needed: amount(500), at_least_w: 500, pick_w: 550, rules } });
  const markup = drawn(
    <WattRuler
      candidates={[candidate("450", 450), candidate("650", 650)]}
      lit="650"
      onLight={nothing}
      onOpen={nothing}
    />,
    { result },
  );

  it("is told in words: each rule with its watts, or that they are not known", () => {
    expect(every(markup, "aria-label")[0]).toBe("Watts: full load 500, the card’s maker not known");
  });

  it("has a button for each supply, with its verdict, and one stop for the Tab key", () => {
    expect(every(markup, "aria-label").slice(1)).toEqual([
      "Marram 450, 450 W: too small",
      "Marram 650, 650 W: right size",
    ]);
    expect(every(markup, "tabindex")).toEqual(["-1", "0"]);
  });

  it("says which rule governs, and the watts of each state", () => {
    const said = wordsOf(markup);
    expect(said).toContain("full load 500 W, governs");
    expect(said).toContain("everyday 100 W");
    expect(said).not.toContain("asleep");
  });
});
