import type { Part, Result } from "../../api/client";

export type PartWatts = Result["parts"][number];

/** What hangs on a hub or on the board's headers stands under it, one step in. */
export function nested(drawn: PartWatts[], parts: Map<string, Part>): [PartWatts, number][] {
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
export function homes(result: Result, parts: Part[]): Map<string, string> {
  const found = new Map<string, string>();
  for (const p of result.parts) {
    const part = parts.find((x) => x.key === p.part);
    const before = found.get(p.part);
    if (!before || (part?.kind === "card" && p.path === "card leads")) found.set(p.part, p.path);
  }
  return found;
}

/** Kinds of sockets with their number, so that ten alike are one drawing. */
export function faces(sockets: { kind: string }[]): [string, number][] {
  const found = new Map<string, number>();
  for (const s of sockets) found.set(s.kind, (found.get(s.kind) ?? 0) + 1);
  return [...found];
}

/** Where an arrow key leads among slips in columns: up and down within one, left and right to the one
 * at the same height beside it; null where it leads nowhere. */
export function slipBy<T>(columns: T[][], now: T, key: string): T | null {
  const steps: Record<string, [number, number]> = {
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
  };
  const step = steps[key];
  if (!step) return null;
  const full = columns.filter((slips) => slips.length > 0);
  const x = full.findIndex((slips) => slips.includes(now));
  const y = full[x]?.indexOf(now) ?? 0;
  const column = full[x + step[0]];
  return column?.[Math.min(column.length - 1, Math.max(0, y + step[1]))] ?? null;
}
