import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef } from "react";

import type { Part, Result } from "../../api/client";
import { Face } from "../../drawing/Face";
import { useBuild, useResult, useShown } from "../../state/build/contexts";
import { amount, bounds, watts } from "../../state/format";
import { referenceQuery } from "../../state/queries";
import { capital } from "../../words";

type PartWatts = Result["parts"][number];

/** Four columns, one a path; each watt stands in one of them only. Arrow keys walk the slips. */
export function Columns({
  chosen,
  onChoose,
  onOpen,
}: {
  chosen: string;
  onChoose: (key: string) => void;
  onOpen: (path: string) => void;
}) {
  const build = useBuild();
  const { result } = useResult();
  const { state } = useShown();
  const parts = new Map(build.doc.parts.map((p) => [p.key, p]));
  const scale = Math.max(1, ...result.parts.map((p) => p.watts[state].likely));
  const home = homes(result, build.doc.parts);
  return (
    <div
      onKeyDown={walk}
      className="grid min-h-0 flex-1 content-start gap-x-4 gap-y-5 overflow-auto pb-2 @min-[700px]:grid-cols-4 @max-[700px]:grid-cols-2"
    >
      {Object.keys(result.by_path).map((path) => {
        const total = result.by_path[path]?.[state];
        return (
          <section key={path} aria-label={capital(path)} className="min-w-0">
            <h2
              data-covers
              className="sticky top-0 z-10 mb-2 flex items-baseline bg-paper justify-between border-b-2 border-ink pb-1 text-base font-bold"
            >
              {capital(path)}
              <button
                type="button"
                aria-label={`${total ? amount(total) : 0} W: open ${path}`}
                onClick={() => onOpen(path)}
                className="font-mono text-md underline decoration-dotted underline-offset-4 hover:text-accent"
              >
                {total ? amount(total) : 0} W
              </button>
            </h2>
            <ul className="grid gap-2">
              {nested(
                result.parts.filter((p) => p.path === path),
                parts,
              ).map(([p, depth]) => {
                const part = parts.get(p.part);
                return part ? (
                  <Slip
                    key={p.part}
                    part={part}
                    drawn={p}
                    depth={depth}
                    scale={scale}
                    tail={home.get(p.part) !== path}
                    chosen={chosen === p.part}
                    onChoose={onChoose}
                  />
                ) : null;
              })}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

/** Up and down within a column, left and right to the slip at the same height beside it. */
function walk(e: React.KeyboardEvent<HTMLElement>) {
  const steps: Record<string, [number, number]> = {
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
  };
  const step = steps[e.key];
  const now = e.target instanceof HTMLElement ? e.target.closest<HTMLElement>("[data-part]") : null;
  if (!step || !now) return;
  e.preventDefault();
  const columns = [...e.currentTarget.querySelectorAll("section")]
    .map((section) => [...section.querySelectorAll<HTMLElement>("[data-part]")])
    .filter((slips) => slips.length > 0);
  const x = columns.findIndex((slips) => slips.includes(now));
  const y = columns[x]?.indexOf(now) ?? 0;
  const column = columns[x + step[0]];
  column?.[Math.min(column.length - 1, Math.max(0, y + step[1]))]?.focus();
}

/** What hangs on a hub or on the board's headers stands under it, one step in. */
function nested(drawn: PartWatts[], parts: Map<string, Part>): [PartWatts, number][] {
  const board = [...parts.values()].find((p) => p.kind === "board")?.key ?? null;
  const hub = (p: PartWatts) => {
    const part = parts.get(p.part);
    const on = part && "on" in part && part.sockets.length === 0 ? (part.on ?? board) : null;
    return on !== null && drawn.some((d) => d.part === on) ? on : null;
  };
  const under = (on: string | null, depth: number): [PartWatts, number][] =>
    drawn
      .filter((p) => hub(p) === on)
      .flatMap((p): [PartWatts, number][] => [[p, depth], ...under(p.part, depth + 1)]);
  return under(null, 0);
}

/** The column where a part's slip stands; in another column it has a tail only. */
function homes(result: Result, parts: Part[]): Map<string, string> {
  const found = new Map<string, string>();
  for (const p of result.parts) {
    const part = parts.find((x) => x.key === p.part);
    const before = found.get(p.part);
    if (!before || (part?.kind === "card" && p.path === "card leads")) found.set(p.part, p.path);
  }
  return found;
}

function Slip({
  part,
  drawn,
  depth,
  scale,
  tail,
  chosen,
  onChoose,
}: {
  part: Part;
  drawn: PartWatts;
  depth: number;
  scale: number;
  tail: boolean;
  chosen: boolean;
  onChoose: (key: string) => void;
}) {
  const { state } = useShown();
  const { data } = useQuery(referenceQuery);
  const words = new Map(data?.connectors.map((c) => [c.kind, c.words]));
  const a = drawn.watts[state];
  const sockets = "sockets" in part && !tail ? part.sockets : [];
  const ref = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (chosen && !tail) ref.current?.scrollIntoView({ block: "nearest" });
  }, [chosen, tail]);
  return (
    <li
      style={{ marginLeft: 14 * Math.min(depth, 2) }}
      className={depth ? "border-l-2 border-rule-strong" : ""}
    >
      <button
        ref={ref}
        type="button"
        aria-pressed={chosen}
        onClick={() => onChoose(part.key)}
        data-part={part.key}
        data-tail={tail}
        className="grid w-full gap-1.5 border border-rule bg-slip px-3 py-2 text-left hover:border-ink aria-pressed:border-accent aria-pressed:bg-accent-wash aria-pressed:shadow-[inset_4px_0_0_var(--accent)] data-[tail=true]:border-dashed"
      >
        <span className="flex items-baseline justify-between gap-2">
          <span className="min-w-0 text-base leading-snug font-semibold [overflow-wrap:anywhere]">
            {part.name}
            {part.count > 1 && <span className="font-normal"> ×{part.count}</span>}
            {tail && <span className="block text-xs font-normal text-ink-soft">by its slot</span>}
          </span>
          <span className="shrink-0 font-mono text-lg leading-none font-bold">
            {a.missing.length ? (a.likely > 0 ? `≥ ${watts(a.likely)}` : "?") : watts(a.likely)}
            <span className="text-xs font-normal"> W</span>
          </span>
        </span>
        {sockets.length > 0 && (
          <span className="grid gap-1">
            {faces(sockets).map(([kind, n]) => (
              <span key={kind} className="flex items-center gap-1.5 text-xs leading-tight text-ink-soft">
                <Face kind={kind} />
                <span className="min-w-0">
                  {n * part.count > 1 && `${n * part.count} × `}
                  {words.get(kind)}
                </span>
              </span>
            ))}
          </span>
        )}
        {a.missing.length > 0 ? (
          <span className="text-xs font-semibold text-unknown">figure missing</span>
        ) : (
          <span className="flex items-center gap-2">
            <span className="block h-2 flex-1">
              <span
                className="moves block h-full w-full origin-left bg-[var(--bar)]"
                style={{ transform: `scaleX(${a.likely / scale})` }}
              />
            </span>
            <span className="text-xs text-ink-soft">
              {drawn.assumed ? "assumed " : ""}
              {bounds(a)}
            </span>
          </span>
        )}
      </button>
    </li>
  );
}

/** Kinds of sockets with their number, so that ten alike are one drawing. */
function faces(sockets: { kind: string }[]): [string, number][] {
  const found = new Map<string, number>();
  for (const s of sockets) found.set(s.kind, (found.get(s.kind) ?? 0) + 1);
  return [...found];
}
