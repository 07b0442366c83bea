import type { Week } from "../api/client";
import { watts } from "../state/format";

const HOUR = 40;
const DAY = 30;
const LEFT = 48;
const TOP = 22;
const BARS: Record<string, string> = {
  sleep: "var(--bar-soft)",
  idle: "var(--bar-sand)",
  everyday: "var(--bar)",
  full: "var(--bar-dark)",
};
const GROUNDS = ["var(--slip)", "var(--tight-wash)", "var(--accent-wash)", "var(--rule)", "var(--over-wash)"];

/** A week of watts from the wall, hour by hour, under the bands of the tariff. */
export function WeekPicture({ week }: { week: Week }) {
  const most = Math.max(1, ...week.days.flatMap((d) => d.stretches.map((s) => s.wall_w)));
  const names = [...new Set(week.bands.map((b) => b.name))];
  const days = week.days.map((d) => d.day);
  const ground = (name: string) => GROUNDS[(names.indexOf(name) + 1) % GROUNDS.length];
  return (
    <figure data-sideways tabIndex={0} className="overflow-x-auto">
      <svg
        viewBox={`0 0 ${LEFT + 24 * HOUR + 4} ${TOP + days.length * (DAY + 4) + 4}`}
        className="block w-full min-w-[640px]"
        role="img"
        aria-label={`A week of ${week.name}: at most ${watts(most)} W from the wall`}
      >
        {[0, 3, 6, 9, 12, 15, 18, 21, 24].map((h) => (
          <text
            key={h}
            x={LEFT + h * HOUR}
            y={14}
            textAnchor={h === 0 ? "start" : h === 24 ? "end" : "middle"}
            className="text-sm"
            fill="var(--ink-soft)"
          >
            {String(h).padStart(2, "0")}:00
          </text>
        ))}
        {week.days.map((d, i) => {
          const y = TOP + i * (DAY + 4);
          return (
            <g key={d.day} data-day={d.day}>
              <text x={0} y={y + DAY / 2 + 5} className="text-base" fill="var(--ink)" fontWeight={600}>
                {d.day}
              </text>
              <rect x={LEFT} y={y} width={24 * HOUR} height={DAY} fill="var(--slip)" stroke="var(--rule)" />
              {week.bands
                .filter((b) => b.day === d.day)
                .map((b, k) => (
                  <rect
                    key={k}
                    x={LEFT + b.from_h * HOUR}
                    y={y}
                    width={(b.to_h - b.from_h) * HOUR}
                    height={DAY}
                    fill={ground(b.name)}
                    stroke="var(--rule-strong)"
                  />
                ))}
              {d.stretches.map((s, k) => {
                const h = Math.max(1.5, (s.wall_w / most) * (DAY - 4));
                return (
                  <rect
                    key={k}
                    data-state={s.state}
                    data-watts={s.wall_w}
                    x={LEFT + s.from_h * HOUR}
                    y={y + DAY - h}
                    width={(s.to_h - s.from_h) * HOUR}
                    height={h}
                    fill={BARS[s.state]}
                  >
                    <title>{`${s.state}: ${watts(s.wall_w)} W${s.band ? `, ${s.band}` : ""}`}</title>
                  </rect>
                );
              })}
            </g>
          );
        })}
      </svg>
      <figcaption className="mt-1 flex flex-wrap gap-x-4 text-sm">
        {["full", "everyday", "idle", "sleep"].map((state) => {
          const s = week.days.flatMap((d) => d.stretches).find((x) => x.state === state);
          return s ? (
            <span key={state} className="flex items-center gap-1.5">
              <i className="inline-block size-3" style={{ background: BARS[state] }} />
              {state === "sleep" ? "asleep" : state} {watts(s.wall_w)} W
            </span>
          ) : null;
        })}
        {names.map((name) => (
          <span key={name} className="flex items-center gap-1.5">
            <i
              className="inline-block size-3 border border-rule-strong"
              style={{ background: ground(name) }}
            />
            {name} at {week.bands.find((b) => b.name === name)?.price} {week.currency}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
