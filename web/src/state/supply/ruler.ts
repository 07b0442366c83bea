import { STATES, type Candidate, type Result } from "../../api/client";
import { placeFlags } from "../../drawing/flags";
import { SPIKES, watts } from "../format";

/** Sizes of the drawing [px of its own]: its width, its edge, a flag, how far candidates of one rating
 * stand above one another, a state's row. */
export const WIDTH = 1140;
export const LEFT = 10;
export const FLAG = 24;
const STACK = 6;
export const ROW = 16;
/** Asleep it is a watt or two: a bar that nobody sees. */
export const SHOWN = STATES.filter((s) => s !== "sleep");

export type Hung = { candidate: Candidate; x: number; rise: number };

/** Watts along a line: where everything on it stands. */
export type Ruler = ReturnType<typeof rulerOf>;

/** Lays out rules, candidates and common sizes along the watts that decide something. */
export function rulerOf(result: Result, candidates: Candidate[], sizes: number[]) {
  const most = mostW(result, candidates);
  const x = (w: number) => LEFT + (w / most) * (WIDTH - 2 * LEFT);
  const stated = result.sizing.rules.flatMap((r) => (r.watts ? [{ ...r, likely: r.watts.likely }] : []));
  const flags = placeFlags(
    stated.map((r) => ({ ...r, x: x(r.likely), text: `${r.words} ${watts(r.likely)} W` })),
    WIDTH,
  );
  const rows = Math.max(1, ...flags.map((f) => f.row + 1));
  const line = rows * (FLAG + 4) + 10 + 3 * STACK;
  return {
    x,
    flags,
    /** Height of the line, and of all. */
    line,
    height: line + 42 + SHOWN.length * ROW,
    hung: hungOn(candidates, most, x),
    /** How many are too large to be on it. */
    larger: candidates.filter((c) => (c.supply.rated_w ?? 0) > most).length,
    ticks: spaced(
      sizes.filter((w) => w <= most),
      x,
      44,
    ),
  };
}

/** Beyond three times what is needed nothing is decided: those supplies are counted at the end. */
function mostW(result: Result, candidates: Candidate[]): number {
  const { needed, at_least_w, rules } = result.sizing;
  const rated = (c: Candidate) => c.supply.rated_w ?? 0;
  return (
    1.06 *
    Math.max(
      600,
      Math.min(3 * (needed?.likely ?? at_least_w), Math.max(...candidates.map(rated))),
      ...candidates.filter((c) => c.in_build).map(rated),
      ...rules.map((r) => r.watts?.likely ?? 0),
      ...STATES.map((s) => result.strip.watts[s].likely),
      ...SPIKES.map(([k]) => result.strip.spikes[k].likely),
    )
  );
}

/** Candidates by their watts, those of one rating stacked, four at most. */
function hungOn(candidates: Candidate[], most: number, x: (w: number) => number): Hung[] {
  const before = new Map<number, number>();
  return candidates
    .flatMap((c) => (c.supply.rated_w === null ? [] : [{ candidate: c, rated: c.supply.rated_w }]))
    .filter(({ rated }) => rated <= most)
    .sort((a, b) => a.rated - b.rated)
    .map(({ candidate, rated }) => {
      const below = before.get(rated) ?? 0;
      before.set(rated, below + 1);
      return { candidate, x: x(rated), rise: STACK * Math.min(3, below) };
    });
}

/** Ticks far enough apart for their labels. */
export function spaced(sizes: number[], x: (w: number) => number, gap: number): number[] {
  const kept: number[] = [];
  for (const w of sizes) {
    const last = kept.at(-1);
    if (last === undefined || x(w) - x(last) >= gap) kept.push(w);
  }
  return kept;
}

/** Where a key leads from one candidate: to the next, the first or the last; null where nowhere. */
export function hungBy(hung: Hung[], slug: string, key: string): string | null {
  const at = hung.findIndex((h) => h.candidate.slug === slug);
  const to = { ArrowLeft: at - 1, ArrowRight: at + 1, Home: 0, End: hung.length - 1 }[key];
  return to === undefined ? null : (hung[to]?.candidate.slug ?? null);
}
