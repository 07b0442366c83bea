import type { HeldAnswer } from "../api/client";

type Plug = HeldAnswer["plugs"][number];
const [HEIGHT, BAR, GAP, TOP] = [120, 27, 7, 16];

/** The pins of a plug as bars, each with its amperes, against the limit that all of them have. */
export function PinBars({ plug }: { plug: Plug }) {
  const most = Math.max(...plug.pins.map((p) => p.mean), plug.limit ?? 0, 0.001);
  const width = plug.pins.length * (BAR + GAP) + GAP;
  const y = (amps: number) => TOP + (HEIGHT - TOP) * (1 - amps / (most * 1.05));
  return (
    <figure data-plug={plug.ref} data-state={plug.state} className="w-[212px]">
      <figcaption className="text-base leading-tight">
        <b>{plug.words}</b>
        <span className="block text-sm text-ink-soft">
          worst pin {plug.share.toFixed(2)} × the mean of {plug.mean.toFixed(2)} A
          {plug.limit !== null && `, limit ${plug.limit.toFixed(1)} A`}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT + 20}`}
        width={width}
        className="max-w-full"
        role="img"
        aria-label={plug.pins.map((p) => `pin ${p.pin} ${p.mean.toFixed(2)} A`).join(", ")}
      >
        {plug.pins.map((p, i) => {
          const over = plug.limit !== null && p.mean > plug.limit;
          const tight = plug.tight !== null && p.mean > plug.tight;
          const x = GAP + i * (BAR + GAP);
          const fill = over ? "var(--over)" : tight ? "var(--tight)" : "var(--bar-dark)";
          return (
            <g key={p.pin}>
              <rect x={x} y={y(p.mean)} width={BAR} height={Math.max(1, HEIGHT - y(p.mean))} fill={fill} />
              <text
                x={x + BAR / 2}
                y={Math.max(11, y(p.mean) - 3)}
                textAnchor="middle"
                fontSize="12"
                fill="var(--ink)"
              >
                {p.mean.toFixed(1)}
              </text>
              <text x={x + BAR / 2} y={HEIGHT + 15} textAnchor="middle" fontSize="12" fill="var(--ink-soft)">
                {p.pin}
              </text>
            </g>
          );
        })}
        {plug.limit !== null && (
          <line
            x1={0}
            x2={width}
            y1={y(plug.limit)}
            y2={y(plug.limit)}
            stroke="var(--over)"
            strokeWidth="2"
            strokeDasharray="6 4"
          />
        )}
        <line x1={0} x2={width} y1={HEIGHT} y2={HEIGHT} stroke="var(--rule-strong)" />
      </svg>
    </figure>
  );
}
