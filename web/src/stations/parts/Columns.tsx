import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef } from "react";

import type { Part } from "../../api/client";
import { Face } from "../../drawing/Face";
import { useBuild, useResult, useShown, useWrite } from "../../state/build/contexts";
import { amount, bounds, watts } from "../../state/format";
import { faces, homes, nested, slipBy, type PartWatts } from "../../state/parts/columns";
import { referenceQuery } from "../../state/queries";
import { capital } from "../../words";

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

/** The arrow keys walk from slip to slip. */
function walk(e: React.KeyboardEvent<HTMLElement>) {
  const now = e.target instanceof HTMLElement ? e.target.closest<HTMLElement>("[data-part]") : null;
  if (!now || !e.key.startsWith("Arrow")) return;
  e.preventDefault();
  const columns = [...e.currentTarget.querySelectorAll("section")].map((section) => [
    ...section.querySelectorAll<HTMLElement>("[data-part]"),
  ]);
  slipBy(columns, now, e.key)?.focus();
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
  const { act } = useWrite();
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
        onKeyDown={(e) =>
          e.key === "Delete" && void act({ type: "remove part", part: part.key, release: false })
        }
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
