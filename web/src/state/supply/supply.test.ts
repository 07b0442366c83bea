import { describe, expect, it } from "vitest";

import type { Candidate, Result, SupplyAnswer } from "../../api/client";
import { rowsOf } from "./compare";
import { fits, NO_FILTER } from "./filter";
import { hungBy, LEFT, rulerOf, spaced, WIDTH } from "./ruler";
import { aboutOf, aYear, sizingNote, sorted, telling, whoseOf } from "./ticket";

type Check = SupplyAnswer["checks"][number];

const amount = (likely: number) => ({ low: likely, likely, high: likely, missing: [] });
const check = (id: string, status: Check["status"], text = id, rail: string | null = null) =>
  ({ id, status, text, rail }) as unknown as Check;
const candidate = (slug: string, rated_w: number | null, more: Record<string, unknown> = {}) =>
  ({
    slug,
    source: "catalogue",
    builds: [],
    condition: "good",
    lies: "",
    in_build: false,
    cables: [],
    supply: { name: `Marram ${slug}`, family: "marram", rated_w, design: "3.1", grade: "gold", form: "ATX" },
    answer: { verdict: "right size", checks: [] },
    ...more,
  }) as unknown as Candidate;
const result = (needed: number | null, more: Record<string, unknown> = {}) =>
  ({
    sizing: {
      needed: needed === null ? null : amount(needed),
      at_least_w: 300,
      pick_w: 650,
      rules: [
        { id: "full", words: "full load", watts: amount(400), governs: false, binding: true },
        {
          id: "margin",
          words: "with a margin",
          watts: needed === null ? null : amount(needed),
          governs: true,
        },
      ],
    },
    strip: {
      watts: Object.fromEntries(["sleep", "idle", "everyday", "full", "start"].map((s) => [s, amount(100)])),
      spikes: new Proxy({}, { get: () => amount(500) }),
    },
    ...more,
  }) as unknown as Result;

describe("the ruler of watts", () => {
  const some = [candidate("a", 650), candidate("b", 550), candidate("c", 650), candidate("d", 1600)];
  const ruler = rulerOf(result(600), some, [450, 550, 650, 750]);

  it("ends where nothing is decided any more, and counts what is beyond", () => {
    // 3 × 600 W is beyond the largest rating, 1600 W, which with its 6 % stands on it.
    expect(ruler.larger).toBe(0);
    expect(ruler.x(1.06 * 1600)).toBeCloseTo(WIDTH - LEFT);
    // 3 × 300 W less than 1600 W: 900 W and 6 %, but never less than 600 W.
    const small = rulerOf(result(300), some, []);
    expect(small.x(1.06 * 900)).toBeCloseTo(WIDTH - LEFT);
    expect(small.larger).toBe(1);
  });

  it("reaches to the supply in the build, however large it is", () => {
    const own = [candidate("own", 1600, { in_build: true })];
    expect(rulerOf(result(300), own, []).larger).toBe(0);
  });

  it("hangs supplies by their watts, those of one rating above one another, four at most", () => {
    expect(ruler.hung.map((h) => [h.candidate.slug, h.rise])).toEqual([
      ["b", 0],
      ["a", 0],
      ["c", 6],
      ["d", 0],
    ]);
    const alike = ["1", "2", "3", "4", "5", "6"].map((slug) => candidate(slug, 650));
    expect(rulerOf(result(600), alike, []).hung.map((h) => h.rise)).toEqual([0, 6, 12, 18, 18, 18]);
  });

  it("leaves out a supply whose rating nobody knows", () => {
    expect(rulerOf(result(600), [candidate("x", null)], []).hung).toEqual([]);
  });

  it("flags the rules whose watts are known", () => {
    expect(ruler.flags.map((f) => f.text).sort()).toEqual(["full load 400 W", "with a margin 600 W"]);
    expect(rulerOf(result(null), some, []).flags).toHaveLength(1);
  });

  it("has ticks far enough apart for their labels", () => {
    expect(spaced([10, 20, 60, 100], (w) => w, 44)).toEqual([10, 60]);
    expect(ruler.ticks).toEqual([450, 550, 650, 750]);
  });

  it("is walked by keys, and ends at its ends", () => {
    const by = (slug: string, key: string) => hungBy(ruler.hung, slug, key);
    expect([by("b", "ArrowRight"), by("a", "ArrowLeft"), by("a", "End"), by("d", "Home")]).toEqual([
      "a",
      "b",
      "d",
      "b",
    ]);
    expect([by("b", "ArrowLeft"), by("d", "ArrowRight"), by("b", "x")]).toEqual([null, null, null]);
  });
});

describe("which supplies are shown", () => {
  const c = candidate("850", 850);

  it("are all, or those whose words are said, in any order", () => {
    expect(fits(c, NO_FILTER)).toBe(true);
    expect(fits(c, { ...NO_FILTER, text: "gold 850" })).toBe(true);
    expect(fits(c, { ...NO_FILTER, text: "gold 750" })).toBe(false);
  });

  it("are those that do, of a form, of one's own", () => {
    const small = candidate("450", 450, { answer: { verdict: "too small", checks: [] } });
    expect([c, small].map((x) => fits(x, { ...NO_FILTER, does: true }))).toEqual([true, false]);
    expect(fits(c, { ...NO_FILTER, form: "SFX" })).toBe(false);
    expect(fits(c, { ...NO_FILTER, source: "owned" })).toBe(false);
  });
});

describe("supplies point by point", () => {
  const answer = (...checks: Check[]) => ({ checks }) as unknown as SupplyAnswer;

  it("differ first: by how they do, then by their words, then not at all", () => {
    const rows = rowsOf([
      answer(check("form", "pass", "ATX"), check("watts", "pass", "750 W"), check("ports", "pass")),
      answer(check("form", "pass", "ATX"), check("watts", "fail", "450 W"), check("ports", "pass", "more")),
    ]);
    expect(rows.map((r) => [r.key, r.differs])).toEqual([
      ["watts", true],
      ["ports", true],
      ["form", false],
    ]);
  });

  it("are called by their rail, and what one is not asked stays empty", () => {
    const rows = rowsOf([answer(check("rail", "pass", "x", "vneg12")), answer()]);
    expect(rows.map((r) => r.key)).toEqual(["rail −12 V"]);
    expect(rows[0]?.cells[1]).toBeUndefined();
    expect(rows[0]?.differs).toBe(true);
  });
});

describe("a supply's ticket", () => {
  it("shows what is not passed, worst first", () => {
    const checks = [check("a", "pass"), check("b", "warn"), check("c", "fail"), check("d", "unknown")];
    expect(sorted(checks).map((c) => c.id)).toEqual(["c", "d", "b", "a"]);
    expect(telling(checks).map((c) => c.id)).toEqual(["c", "d", "b"]);
  });

  it("shows its watts and its 12 V where all is passed, and nothing that is not checked", () => {
    const checks = [
      check("form", "pass"),
      check("watts", "pass"),
      check("rail", "pass", "", "v12"),
      check("dust", "not checked"),
    ];
    expect(telling(checks).map((c) => c.id)).toEqual(["watts", "rail"]);
  });

  it("says what a year takes, and costs where a price is known", () => {
    const year = (year_kwh: number | null, year_price: number | null) =>
      aYear({ year_kwh, year_price } as unknown as SupplyAnswer);
    expect([year(null, null), year(812, null), year(812, 243.6)]).toEqual([
      "not known",
      "812 kWh",
      "812 kWh, 243.60",
    ]);
  });

  it("says what it is", () => {
    const supply = (more: Record<string, unknown>) =>
      ({ form: "ATX", design: "3.1", grade: "gold", ports: [{}, {}], ...more }) as never;
    expect(aboutOf(supply({}), 9)).toBe("ATX, design 3.1, gold, 2 ports, 9 cables");
    expect(aboutOf(supply({ design: null, grade: null, ports: [] }), 3)).toBe(
      "ATX, design not known, 3 cables",
    );
    expect(aboutOf(supply({ design: "classic", form: null }), 3)).toBe(
      "classic design, gold, 2 ports, 3 cables",
    );
  });

  it("says whose it is", () => {
    const whose = (more: Record<string, unknown>) =>
      whoseOf(candidate("x", 650, more), "here", (key) => `build ${key}`);
    expect(whose({})).toBe("catalogue");
    expect(whose({ source: "looked at" })).toBe("looking at it");
    expect(whose({ source: "owned", lies: "shelf 2" })).toBe("yours, shelf 2");
    expect(whose({ source: "owned", builds: ["here", "b"], condition: "worn", lies: "shelf 2" })).toBe(
      "yours, in build b, worn",
    );
  });

  it("says what the rules ask for, or at least", () => {
    expect(sizingNote(result(600).sizing)).toBe("with a margin governs: 600 W, next common size 650");
    expect(sizingNote(result(null).sizing)).toBe("not known yet: at least 300 W");
  });
});
