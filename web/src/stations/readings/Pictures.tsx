import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";

import type { ChannelWords, DrawnOut, HeldAnswer } from "../../api/client";
import { dashOf, inkOf, TimeStrip, type Line } from "../../drawing/TimeStrip";
import { unitOf } from "../../state/readings/choice";
import { byKey, timeWords, zoomed, type Range } from "../../state/readings/range";

const WAIT_MS = 70;
const BUCKETS = 900;

/** Readings over time: a strip for each unit on one axis, expected bands behind the lines. Drag to
 * see a part nearer; wheel and keys zoom and pan. */
export function Pictures({
  source,
  channels,
  chosen,
  held,
  seconds,
  range,
  onRange,
  height = 150,
}: {
  /** Where lines come from, and what tells them from others. */
  source: {
    key: unknown[];
    fetch: (channels: string[], range: Range, buckets: number) => Promise<DrawnOut[]>;
  };
  channels: ChannelWords[];
  chosen: string[];
  held: HeldAnswer | undefined;
  seconds: number;
  range: Range | null;
  onRange: (range: Range | null) => void;
  height?: number;
}) {
  const whole = { from: 0, to: Math.max(seconds, 0.1) };
  const shown = range ?? whole;
  const asked = useLater(shown);
  const { data } = useQuery({
    queryKey: [...source.key, chosen, asked.from, asked.to],
    queryFn: () => source.fetch(chosen, asked, BUCKETS),
    placeholderData: (before) => before,
    enabled: chosen.length > 0,
    staleTime: Infinity,
  });
  const units = useMemo(() => [...new Set(chosen.map(unitOf))], [chosen]);
  const words = new Map(channels.map((c) => [c.channel, c]));
  const strips = useMemo(() => {
    const lines = (data ?? []).filter((d) => chosen.includes(d.channel)).map(line);
    return units.map((unit) => lines.filter((l) => unitOf(l.channel) === unit));
  }, [data, units, chosen]);
  const ordered = units.flatMap((u) => chosen.filter((c) => unitOf(c) === u));
  const expected = units.map((unit) => expectedOf(held, unit, chosen));
  return (
    <div
      tabIndex={0}
      role="group"
      aria-label="Readings over time: plus and minus zoom, arrows move, 0 shows all"
      onKeyDown={(e) => {
        const to = byKey(e.key, shown, whole);
        if (!to || e.ctrlKey || e.metaKey) return;
        e.preventDefault();
        onRange(to.from === whole.from && to.to === whole.to ? null : to);
      }}
      onDoubleClick={() => onRange(null)}
    >
      {units.map((unit, i) => {
        const lines = strips[i] ?? [];
        const first = ordered.findIndex((c) => unitOf(c) === unit);
        return (
          <div key={unit} className="border-b border-rule pb-1">
            {lines.length > 0 && (
              <TimeStrip
                unit={words.get(lines[0]?.channel ?? "")?.unit ?? unit}
                lines={lines}
                firstInk={first}
                expected={expected[i] ?? []}
                range={shown}
                height={height}
                onRange={(r) => onRange(r)}
                onZoom={(factor, around) => onRange(zoomed(shown, factor, around, whole))}
              />
            )}
            <ul className="flex flex-wrap gap-x-4 pl-14 text-sm">
              {lines.map((l, j) => (
                <li key={l.channel} className="flex items-center gap-1.5">
                  <svg width={24} height={8} aria-hidden="true">
                    <line
                      x1={0}
                      x2={24}
                      y1={4}
                      y2={4}
                      stroke={`var(--${inkOf(first + j)})`}
                      strokeWidth="2.5"
                      strokeDasharray={dashOf(first + j).join(" ")}
                    />
                  </svg>
                  {words.get(l.channel)?.words ?? l.channel}
                </li>
              ))}
            </ul>
          </div>
        );
      })}
      <p className="pt-1 text-sm text-ink-soft">
        {timeWords(shown.from)} to {timeWords(shown.to)}
        {range && (
          <button
            type="button"
            className="ml-3 min-h-6 font-semibold text-accent underline"
            onClick={() => onRange(null)}
          >
            Show all
          </button>
        )}
        <span className="ml-3">Band: what the tally expects. Dashed: the limit.</span>
      </p>
    </div>
  );
}

function line(d: DrawnOut): Line {
  return {
    channel: d.channel,
    words: d.channel,
    times: d.drawn.times as number[],
    low: d.drawn.low as (number | null)[],
    high: d.drawn.high as (number | null)[],
  };
}

/** Bands of the chosen channels of a unit, while the state that they are of lasts. */
function expectedOf(held: HeldAnswer | undefined, unit: string, chosen: string[]) {
  if (!held) return [];
  const seen = new Set<string>();
  return held.figures
    .filter((f) => unitOf(f.channel) === unit && chosen.includes(f.channel))
    .flatMap((f) =>
      held.named
        .filter((n) => n.state === f.state)
        .map((n) => ({ from: n.from_s, to: n.to_s, low: f.band.low, high: f.band.high, most: f.band.most })),
    )
    .filter((e) => {
      const key = JSON.stringify(e);
      return seen.has(key) ? false : Boolean(seen.add(key));
    });
}

/** A range once it has stood still for a moment: what is fetched while one still zooms is wasted. */
function useLater(range: Range): Range {
  const [later, setLater] = useState(range);
  const { from, to } = range;
  useEffect(() => {
    const timer = setTimeout(() => setLater({ from, to }), WAIT_MS);
    return () => clearTimeout(timer);
  }, [from, to]);
  return later;
}
