import type { Fit, Shape } from "../api/client";

const WIDTH = 720;
/** Room for the words at the right of each view. */
const WORDS = 116;
const LOOK: Record<Shape["kind"], { fill: string; stroke: string; dash?: string }> = {
  card: { fill: "var(--accent-wash)", stroke: "var(--accent)" },
  plug: { fill: "var(--pin-v12)", stroke: "var(--ink)" },
  bend: { fill: "none", stroke: "var(--ink)", dash: "3 3" },
  radiator: { fill: "var(--bar-soft)", stroke: "var(--ink)" },
  fans: { fill: "none", stroke: "var(--ink-soft)", dash: "2 3" },
  supply: { fill: "var(--bar-dark)", stroke: "var(--ink)" },
  "supply plugs": { fill: "none", stroke: "var(--ink-soft)", dash: "3 3" },
  limit: { fill: "none", stroke: "var(--ink)" },
  place: { fill: "var(--rule-strong)", stroke: "none" },
};
const VIEWS = [
  { view: "side", title: "From the side, rear at the left" },
  { view: "front", title: "From the front: board at the left" },
] as const;

/** The inside of a case to scale in two views; what collides is hatched and said. */
export function SideView({ fit }: { fit: Fit }) {
  const views = VIEWS.map(({ view, title }) => {
    const own = fit.shapes.filter((s) => s.view === view);
    return { view, title, own, width: Math.max(60, ...own.map((s) => s.x + s.w)) };
  }).filter((v) => v.own.length > 0);
  const top = Math.min(0, ...fit.shapes.map((s) => s.y)) - 34;
  const bottom = Math.max(120, ...fit.shapes.map((s) => s.y + s.h)) + 16;
  const wide = views.reduce((sum, v) => sum + v.width, 0);
  // Pixels a millimetre: both views side by side, in one scale.
  const scale = Math.min(1.3, (WIDTH - 12 - views.length * WORDS) / wide);
  const placed = views.map((v, i) => ({
    ...v,
    at: views.slice(0, i).reduce((sum, w) => sum + w.width * scale + WORDS, 12),
  }));
  const height = (bottom - top) * scale;
  const bad = fit.shapes.filter((s) => s.collides && s.label).map((s) => s.label);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full min-w-[700px]"
      role="img"
      aria-label={`${fit.case} to scale${bad.length ? `; no room for ${[...new Set(bad)].join(", ")}` : "; everything drawn has room"}`}
    >
      <defs>
        <pattern
          id="collides"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill="var(--over-wash)" />
          <rect width="2.5" height="7" fill="var(--over)" />
        </pattern>
      </defs>
      {placed.map((v) => (
        <g key={v.view} transform={`translate(${v.at} ${-top * scale})`}>
          <text x={0} y={top * scale + 16} className="text-sm" fill="var(--ink-soft)">
            {v.title}
          </text>
          {v.own.map((s, i) => (
            <Drawn key={i} shape={s} scale={scale} />
          ))}
        </g>
      ))}
    </svg>
  );
}

function Drawn({ shape: s, scale }: { shape: Shape; scale: number }) {
  const [x, y, w, h] = [s.x * scale, s.y * scale, s.w * scale, s.h * scale];
  const look = LOOK[s.kind];
  if (s.kind === "limit")
    return (
      <g>
        <line x1={x} x2={x} y1={y} y2={y + h} stroke={look.stroke} strokeWidth={2.5} />
        <text x={x + 5} y={y + 12} className="text-xs" fill="var(--ink-soft)">
          {s.label}
        </text>
      </g>
    );
  const inside = w > 7 * s.label.length + 10 && h >= 14;
  const onDark = s.kind === "supply" && !s.collides;
  return (
    <g data-shape={s.kind} data-collides={s.collides}>
      <rect
        x={x}
        y={y}
        width={w}
        height={h}
        fill={s.collides ? "url(#collides)" : look.fill}
        stroke={s.collides ? "var(--over)" : look.stroke}
        strokeWidth={s.collides ? 2.5 : 1.2}
        strokeDasharray={s.collides ? undefined : look.dash}
      />
      {s.label && inside && (
        <>
          {s.collides && (
            <rect x={x + 3} y={y + h / 2 - 9} width={7 * s.label.length + 8} height={18} fill="var(--slip)" />
          )}
          <text
            x={x + 7}
            y={y + h / 2 + 5}
            className="text-sm"
            fill={onDark ? "var(--paper)" : "var(--ink)"}
            fontWeight={600}
          >
            {s.label}
          </text>
        </>
      )}
      {s.label && !inside && s.kind === "radiator" && (
        <text x={x - 6} y={y + h / 2} className="text-xs" textAnchor="end" fill="var(--ink)">
          {s.label}
        </text>
      )}
    </g>
  );
}
