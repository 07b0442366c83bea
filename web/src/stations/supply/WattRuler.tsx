import { useQuery } from "@tanstack/react-query";

import { STATES, type Candidate } from "../../api/client";
import { useResult, useShown } from "../../state/build/contexts";
import { amount, SPIKES, watts } from "../../state/format";
import { placeFlags } from "../../drawing/flags";
import { referenceQuery } from "../../state/queries";
import { useWords } from "../../words";

const WIDTH = 1140;
const LEFT = 10;
const FLAG = 24;
/** How far candidates of one rating stand above one another. */
const STACK = 6;
/** Asleep it is a watt or two: a bar that nobody sees. */
const SHOWN = STATES.filter((s) => s !== "sleep");
/** Height of a state's row. */
const ROW = 16;
const BARS: Record<string, string> = {
  idle: "var(--bar-soft)",
  everyday: "var(--bar)",
  full: "var(--bar-dark)",
  start: "var(--bar-sand)",
};

/** Watts along a line: rules as flags above, states as bars below, candidates at their rating. */
export function WattRuler({
  candidates,
  lit,
  onLight,
  onOpen,
}: {
  candidates: Candidate[];
  lit: string;
  onLight: (slug: string) => void;
  onOpen: (slug: string) => void;
}) {
  const { result } = useResult();
  const { state } = useShown();
  const { data: reference } = useQuery(referenceQuery);
  const { rules } = result.sizing;
  const words = useWords();
  // Beyond three times what is needed nothing is decided: those supplies are counted at the end.
  const needed = result.sizing.needed?.likely ?? result.sizing.at_least_w;
  const ratings = candidates.map((c) => c.supply.rated_w ?? 0);
  const most =
    1.06 *
    Math.max(
      600,
      Math.min(3 * needed, Math.max(...ratings)),
      ...candidates.filter((c) => c.in_build).map((c) => c.supply.rated_w ?? 0),
      ...rules.map((r) => r.watts?.likely ?? 0),
      ...STATES.map((s) => result.strip.watts[s].likely),
      ...SPIKES.map(([k]) => result.strip.spikes[k].likely),
    );
  const x = (w: number) => LEFT + (w / most) * (WIDTH - 2 * LEFT);
  const flags = placeFlags(
    rules
      .filter((r) => r.watts !== null)
      .map((r) => ({
        ...r,
        x: x(r.watts?.likely ?? 0),
        text: `${r.words} ${watts(r.watts?.likely ?? 0)} W`,
      })),
    WIDTH,
  );
  // By their watts, those of one rating stacked; one stop for the Tab key, arrows from one to another.
  const hung = candidates
    .filter((c) => c.supply.rated_w !== null && c.supply.rated_w <= most)
    .sort((a, b) => (a.supply.rated_w ?? 0) - (b.supply.rated_w ?? 0));
  const stop = hung.some((c) => c.slug === lit) ? lit : hung[0]?.slug;
  const stacked = new Map(
    hung.map((c, i) => [
      c.slug,
      Math.min(3, hung.slice(0, i).filter((o) => o.supply.rated_w === c.supply.rated_w).length),
    ]),
  );
  const rows = Math.max(1, ...flags.map((f) => f.row + 1));
  const line = rows * (FLAG + 4) + 10 + 3 * STACK;
  const height = line + 42 + SHOWN.length * ROW;
  const ticks = spaced(
    (reference?.sizes_w ?? []).filter((w) => w <= most),
    x,
    44,
  );
  const walk = (e: React.KeyboardEvent<SVGCircleElement>, slug: string) => {
    const at = hung.findIndex((c) => c.slug === slug);
    const to = { ArrowLeft: at - 1, ArrowRight: at + 1, Home: 0, End: hung.length - 1 }[e.key];
    if (e.key === "Enter" || e.key === " ") {
      e.preventDefault();
      onOpen(slug);
    } else if (to !== undefined && hung[to]) {
      e.preventDefault();
      const target = `[data-on-ruler="${CSS.escape(hung[to].slug)}"]`;
      e.currentTarget.ownerSVGElement?.querySelector<SVGCircleElement>(target)?.focus();
    }
  };
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full"
      role="group"
      aria-label={`Watts: ${rules.map((r) => `${r.words} ${r.watts ? watts(r.watts.likely) : "not known"}`).join(", ")}`}
    >
      {flags.map((f) => (
        // Every pole before any flag, so that none runs through another's words.
        <line
          key={f.id}
          x1={f.x}
          x2={f.x}
          y1={f.row * (FLAG + 4) + 2}
          y2={line}
          stroke={f.governs ? "var(--accent)" : "var(--rule-strong)"}
          strokeWidth={f.governs ? 2.5 : 1.2}
        />
      ))}
      {flags.map((f) => {
        const top = f.row * (FLAG + 4) + 2;
        return (
          <g key={f.id} data-rule={f.id} data-watts={f.watts?.likely}>
            <rect
              x={f.left}
              y={top}
              width={f.width}
              height={FLAG}
              fill={f.governs ? "var(--accent)" : "var(--slip)"}
              stroke={f.governs ? "var(--accent)" : "var(--rule-strong)"}
            />
            <text
              x={f.left + 9}
              y={top + 17}
              className="text-base"
              fontWeight={f.governs ? 700 : 500}
              fill={f.governs ? "var(--accent-ink)" : "var(--ink)"}
            >
              {f.text}
              {f.governs ? ", governs" : f.binding ? "" : ", advice"}
            </text>
          </g>
        );
      })}
      <line x1={LEFT} x2={WIDTH} y1={line} y2={line} stroke="var(--ink)" strokeWidth={1.6} />
      {ticks.map((w) => (
        <g key={w}>
          <line x1={x(w)} x2={x(w)} y1={line - 5} y2={line + 5} stroke="var(--ink)" />
          <text x={x(w)} y={line + 20} textAnchor="middle" className="text-sm" fill="var(--ink-soft)">
            {w}
          </text>
        </g>
      ))}
      {ratings.some((w) => w > most) && (
        <text x={WIDTH} y={line - 8} textAnchor="end" className="text-sm" fill="var(--ink-soft)">
          {ratings.filter((w) => w > most).length} larger
        </text>
      )}
      {hung.map((c) =>
        c.supply.rated_w === null ? null : (
          <circle
            key={c.slug}
            cx={x(c.supply.rated_w)}
            cy={line - STACK * (stacked.get(c.slug) ?? 0)}
            r={lit === c.slug || c.in_build ? 8 : 6}
            fill={c.in_build ? "var(--accent)" : "var(--slip)"}
            stroke={lit === c.slug ? "var(--accent)" : "var(--ink)"}
            strokeWidth={2}
            tabIndex={c.slug === stop ? 0 : -1}
            role="button"
            aria-label={`${c.supply.name}, ${c.supply.rated_w} W: ${c.answer.verdict}`}
            data-on-ruler={c.slug}
            className="cursor-pointer focus-visible:outline-2 focus-visible:outline-accent"
            onMouseEnter={() => onLight(c.slug)}
            onMouseLeave={() => onLight("")}
            onFocus={() => onLight(c.slug)}
            onBlur={() => onLight("")}
            onClick={() => onOpen(c.slug)}
            onKeyDown={(e) => walk(e, c.slug)}
          >
            <title>{`${c.supply.name}, ${c.supply.rated_w} W`}</title>
          </circle>
        ),
      )}
      {SHOWN.map((s, i) => {
        const a = result.strip.watts[s];
        const y = line + 27 + i * ROW;
        return (
          <g key={s} data-bar={s} data-watts={a.likely}>
            <rect x={LEFT} y={y} width={Math.max(1, x(a.likely) - LEFT)} height={10} fill={BARS[s]} />
            <line x1={x(a.low)} x2={x(a.high)} y1={y + 5} y2={y + 5} stroke="var(--ink)" strokeWidth={1} />
            <text
              x={x(a.high) + 8}
              y={y + 10}
              className="text-sm"
              fill="var(--ink)"
              fontWeight={s === state ? 700 : 400}
            >
              {words.states[s] ?? s} {amount(a)} W
            </text>
          </g>
        );
      })}
      <Spikes x={x} y={line + 32 + SHOWN.length * ROW} />
    </svg>
  );
}

/** The spikes of the four windows as whiskers above full load, on one line. */
function Spikes({ x, y }: { x: (w: number) => number; y: number }) {
  const { strip } = useResult().result;
  const from = x(strip.watts.full.likely);
  const to = Math.max(...SPIKES.map(([key]) => x(strip.spikes[key].likely)));
  const said = SPIKES.map(([key, words]) => `${amount(strip.spikes[key])} W for ${words}`).join(", ");
  const left = to + 8 + 7 * said.length > WIDTH;
  return (
    <g>
      <line x1={from} x2={to} y1={y} y2={y} stroke="var(--ink)" strokeWidth={1.6} />
      {SPIKES.map(([key], i) => {
        const at = x(strip.spikes[key].likely);
        return (
          <line
            key={key}
            data-spike={key}
            data-watts={strip.spikes[key].likely}
            x1={at}
            x2={at}
            y1={y - 7 + i}
            y2={y + 7 - i}
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
        );
      })}
      <text
        x={left ? from - 8 : to + 8}
        y={y + 5}
        textAnchor={left ? "end" : "start"}
        className="text-sm"
        fill="var(--ink)"
      >
        spikes {said}
      </text>
    </g>
  );
}

/** Ticks far enough apart for their labels. */
function spaced(sizes: number[], x: (w: number) => number, gap: number): number[] {
  const kept: number[] = [];
  for (const w of sizes) {
    const last = kept.at(-1);
    if (last === undefined || x(w) - x(last) >= gap) kept.push(w);
  }
  return kept;
}
