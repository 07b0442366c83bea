import { useQuery } from "@tanstack/react-query";

import { STATES, type Candidate } from "../../api/client";
import { useResult, useShown } from "../../state/build/contexts";
import { amount, SPIKES, watts } from "../../state/format";
import { placeFlags } from "../../drawing/flags";
import { referenceQuery } from "../../state/queries";
import { useWords } from "../../words";

const WIDTH = 1140;
const LEFT = 10;
const FLAG = 26;
const BARS: Record<string, string> = {
  sleep: "var(--bar-soft)",
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
}: {
  candidates: Candidate[];
  lit: string;
  onLight: (slug: string) => void;
}) {
  const { result } = useResult();
  const { state } = useShown();
  const { data: reference } = useQuery(referenceQuery);
  const { rules } = result.sizing;
  const words = useWords();
  const ratings = candidates.map((c) => c.supply.rated_w ?? 0);
  const most =
    1.06 *
    Math.max(
      600,
      ...ratings,
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
  const rows = Math.max(1, ...flags.map((f) => f.row + 1));
  const line = rows * (FLAG + 6) + 14;
  const height = line + 36 + (STATES.length + SPIKES.length) * 20;
  const ticks = spaced(
    (reference?.sizes_w ?? []).filter((w) => w <= most),
    x,
    44,
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full"
      role="img"
      aria-label={`Watts: ${rules.map((r) => `${r.words} ${r.watts ? watts(r.watts.likely) : "not known"}`).join(", ")}`}
    >
      {flags.map((f) => (
        // Every pole before any flag, so that none runs through another's words.
        <line
          key={f.id}
          x1={f.x}
          x2={f.x}
          y1={f.row * (FLAG + 6) + 2}
          y2={line}
          stroke={f.governs ? "var(--accent)" : "var(--rule-strong)"}
          strokeWidth={f.governs ? 2.5 : 1.2}
        />
      ))}
      {flags.map((f) => {
        const top = f.row * (FLAG + 6) + 2;
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
              y={top + 18}
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
      {candidates.map((c) =>
        c.supply.rated_w === null ? null : (
          <circle
            key={c.slug}
            cx={x(c.supply.rated_w)}
            cy={line}
            r={lit === c.slug || c.in_build ? 8 : 6}
            fill={c.in_build ? "var(--accent)" : "var(--slip)"}
            stroke={lit === c.slug ? "var(--accent)" : "var(--ink)"}
            strokeWidth={2}
            onMouseEnter={() => onLight(c.slug)}
            onMouseLeave={() => onLight("")}
          >
            <title>{c.supply.name}</title>
          </circle>
        ),
      )}
      {STATES.map((s, i) => {
        const a = result.strip.watts[s];
        const y = line + 30 + i * 20;
        return (
          <g key={s} data-bar={s} data-watts={a.likely}>
            <rect x={LEFT} y={y} width={Math.max(1, x(a.likely) - LEFT)} height={13} fill={BARS[s]} />
            <line
              x1={x(a.low)}
              x2={x(a.high)}
              y1={y + 6.5}
              y2={y + 6.5}
              stroke="var(--ink)"
              strokeWidth={1}
            />
            <text
              x={x(a.high) + 8}
              y={y + 12}
              className="text-base"
              fill="var(--ink)"
              fontWeight={s === state ? 700 : 400}
            >
              {words.states[s] ?? s} {amount(a)} W
            </text>
          </g>
        );
      })}
      {SPIKES.map(([key, words], i) => {
        const a = result.strip.spikes[key];
        const from = x(result.strip.watts.full.likely);
        const to = x(a.likely);
        const y = line + 36 + (STATES.length + i) * 20;
        return (
          <g key={key} data-spike={key} data-watts={a.likely}>
            <path
              d={`M${from} ${y}H${to}M${to} ${y - 6}V${y + 6}`}
              stroke="var(--ink)"
              strokeWidth={1.6}
              fill="none"
            />
            <text
              x={to + 8 > WIDTH - 190 ? from - 8 : to + 8}
              textAnchor={to + 8 > WIDTH - 190 ? "end" : "start"}
              y={y + 5}
              className="text-base"
              fill="var(--ink)"
            >
              spike {words} {amount(a)} W
            </text>
          </g>
        );
      })}
    </svg>
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
