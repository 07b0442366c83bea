import { useQuery } from "@tanstack/react-query";

import type { Candidate } from "../../api/client";
import { useResult, useShown } from "../../state/build/contexts";
import { amount, SPIKES, watts } from "../../state/format";
import { FLAG, hungBy, LEFT, ROW, rulerOf, SHOWN, WIDTH, type Ruler } from "../../state/supply/ruler";
import { referenceQuery } from "../../state/queries";
import { useWords } from "../../words";

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
  const { data: reference } = useQuery(referenceQuery);
  const ruler = rulerOf(result, candidates, reference?.sizes_w ?? []);
  const { x, line, height } = ruler;
  const said = result.sizing.rules.map((r) => `${r.words} ${r.watts ? watts(r.watts.likely) : "not known"}`);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full"
      role="group"
      aria-label={`Watts: ${said.join(", ")}`}
    >
      <Flags ruler={ruler} />
      <line x1={LEFT} x2={WIDTH} y1={line} y2={line} stroke="var(--ink)" strokeWidth={1.6} />
      {ruler.ticks.map((w) => (
        <g key={w}>
          <line x1={x(w)} x2={x(w)} y1={line - 5} y2={line + 5} stroke="var(--ink)" />
          <text x={x(w)} y={line + 20} textAnchor="middle" className="text-sm" fill="var(--ink-soft)">
            {w}
          </text>
        </g>
      ))}
      {ruler.larger > 0 && (
        <text x={WIDTH} y={line - 8} textAnchor="end" className="text-sm" fill="var(--ink-soft)">
          {ruler.larger} larger
        </text>
      )}
      <Candidates ruler={ruler} lit={lit} onLight={onLight} onOpen={onOpen} />
      <Bars x={x} y={line + 27} />
      <Spikes x={x} y={line + 32 + SHOWN.length * ROW} />
    </svg>
  );
}

function Flags({ ruler: { flags, line } }: { ruler: Ruler }) {
  const top = (row: number) => row * (FLAG + 4) + 2;
  return (
    <>
      {flags.map((f) => (
        // Every pole before any flag, so that none runs through another's words.
        <line
          key={f.id}
          x1={f.x}
          x2={f.x}
          y1={top(f.row)}
          y2={line}
          stroke={f.governs ? "var(--accent)" : "var(--rule-strong)"}
          strokeWidth={f.governs ? 2.5 : 1.2}
        />
      ))}
      {flags.map((f) => (
        <g key={f.id} data-rule={f.id} data-watts={f.likely}>
          <rect
            x={f.left}
            y={top(f.row)}
            width={f.width}
            height={FLAG}
            fill={f.governs ? "var(--accent)" : "var(--slip)"}
            stroke={f.governs ? "var(--accent)" : "var(--rule-strong)"}
          />
          <text
            x={f.left + 9}
            y={top(f.row) + 17}
            className="text-base"
            fontWeight={f.governs ? 700 : 500}
            fill={f.governs ? "var(--accent-ink)" : "var(--ink)"}
          >
            {f.text}
            {f.governs ? ", governs" : f.binding ? "" : ", advice"}
          </text>
        </g>
      ))}
    </>
  );
}

/** Supplies at their rating; one stop for the Tab key, arrows from one to another. */
function Candidates({
  ruler: { hung, line },
  lit,
  onLight,
  onOpen,
}: {
  ruler: Ruler;
  lit: string;
  onLight: (slug: string) => void;
  onOpen: (slug: string) => void;
}) {
  const stop = hung.some((h) => h.candidate.slug === lit) ? lit : hung[0]?.candidate.slug;
  const walk = (e: React.KeyboardEvent<SVGCircleElement>, slug: string) => {
    const to = hungBy(hung, slug, e.key);
    const opens = e.key === "Enter" || e.key === " ";
    if (opens || to) e.preventDefault();
    if (opens) onOpen(slug);
    const target = to && `[data-on-ruler="${CSS.escape(to)}"]`;
    if (target) e.currentTarget.ownerSVGElement?.querySelector<SVGCircleElement>(target)?.focus();
  };
  return hung.map(({ candidate: c, x, rise }) => (
    <circle
      key={c.slug}
      cx={x}
      cy={line - rise}
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
  ));
}

/** What is drawn in each state, a bar each with its bounds. */
function Bars({ x, y: top }: { x: (w: number) => number; y: number }) {
  const { result } = useResult();
  const { state } = useShown();
  const words = useWords();
  return SHOWN.map((s, i) => {
    const a = result.strip.watts[s];
    const y = top + i * ROW;
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
  });
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
