import type { Doc, Supply } from "../api/client";
import { useWords } from "../words";

/** The supply's panel face-on, cable side: rows and columns as on the real thing. */
export function Panel({
  supply,
  runs,
  cables = [],
  chosen,
  onPort,
}: {
  supply: Supply;
  runs: Doc["runs"];
  /** Whose names are told of ports that are in use. */
  cables?: Doc["cables"];
  chosen: string[];
  onPort: (key: string, free: boolean) => void;
}) {
  const kinds = useWords().ports;
  const used = new Set(runs.flatMap((r) => r.ports));
  const inUse = (port: string) => {
    const cable = runs.find((r) => r.ports.includes(port))?.cable;
    const name = cables.find((c) => c.key === cable)?.name;
    return name ? `in use by ${name}` : "in use";
  };
  const columns = Math.max(0, ...supply.ports.map((p) => p.column)) + 1;
  const groups = alike(supply.ports);
  const widest = Math.max(0, ...supply.ports.map((p) => Math.min(p.circuits * 2.5 + 5, 26)));
  return (
    <div
      data-sideways
      role="group"
      aria-label={`Panel of ${supply.name}, cable side`}
      className="on-dark grid content-center overflow-auto gap-x-1 rounded-[4px] bg-panel px-2 py-1.5 text-panel-ink"
      style={{ gridTemplateColumns: `repeat(${columns}, ${Math.max(58, 10 + widest)}px)` }}
    >
      {groups.map((g) => (
        <span
          key={`${g.row} ${g.from}`}
          aria-hidden="true"
          style={{ gridRow: 2 * g.row + 1, gridColumn: `${g.from + 1} / ${g.to + 2}` }}
          className="self-end truncate border-b border-white/40 text-center text-xs"
          title={kinds[g.kind]}
        >
          {kinds[g.kind] ?? g.kind}
        </span>
      ))}
      {supply.ports.map((p) => {
        const free = !used.has(p.key);
        return (
          <button
            key={p.key}
            type="button"
            data-port={p.key}
            data-free={free}
            data-chosen={chosen.includes(p.key)}
            style={{ gridRow: 2 * p.row + 2, gridColumn: p.column + 1 }}
            aria-label={`Port ${p.label}, ${kinds[p.kind]}, ${free ? "free" : inUse(p.key)}`}
            onClick={() => onPort(p.key, free)}
            className="group grid min-h-11 justify-items-center gap-0.5 rounded-[3px] px-0.5 py-1 hover:bg-white/15 data-[chosen=true]:bg-white/15 data-[chosen=true]:outline-2 data-[chosen=true]:outline-in-hand"
          >
            <PortFace circuits={p.circuits} free={free} />
            <span className={`text-xs font-bold ${free ? "opacity-75" : ""}`}>{p.label}</span>
          </button>
        );
      })}
    </div>
  );
}

interface Group {
  kind: string;
  row: number;
  from: number;
  to: number;
}

/** Ports of one kind that stand side by side. */
function alike(ports: Supply["ports"]): Group[] {
  const found: Group[] = [];
  for (const p of [...ports].sort((a, b) => a.row - b.row || a.column - b.column)) {
    const last = found.at(-1);
    const kind = p.kind.startsWith("board-") ? "board" : p.kind;
    if (last && last.row === p.row && last.kind === kind && last.to === p.column - 1) last.to = p.column;
    else found.push({ kind, row: p.row, from: p.column, to: p.column });
  }
  return found;
}

function PortFace({ circuits, free }: { circuits: number; free: boolean }) {
  const columns = Math.ceil(circuits / 2);
  const [w, h] = [columns * 5 + 5, 17];
  return (
    <svg width={w} height={h} viewBox={`0 0 ${w} ${h}`} aria-hidden="true" className="max-w-full">
      <rect
        x={0.5}
        y={0.5}
        width={w - 1}
        height={h - 1}
        rx={2}
        fill={free ? "none" : "var(--port-face)"}
        stroke="var(--port-face)"
        strokeDasharray={free ? "2 2" : undefined}
      />
      {Array.from({ length: circuits }, (_, i) => (
        <rect
          key={i}
          x={3 + (i % columns) * 5}
          y={i < columns ? 4 : 9.5}
          width={3.5}
          height={3.5}
          fill={free ? "none" : "var(--port-hole)"}
          stroke={free ? "var(--port-free)" : "none"}
          strokeWidth={0.6}
        />
      ))}
    </svg>
  );
}
