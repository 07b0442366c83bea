import type { BuildOut, Doc, WrittenOut } from "../../api/client";

/** The build after a write: changed entities put in, lists in the order that the write gives. */
export function merge(before: BuildOut, written: WrittenOut): BuildOut {
  const doc = { ...before.doc };
  const parts = new Map(doc.parts.map((p) => [p.key, p]));
  const cables = new Map(doc.cables.map((c) => [c.key, c]));
  const runs = new Map(doc.runs.map((r) => [r.cable, r]));
  const lists: Record<string, Map<string, unknown>> = { part: parts, cable: cables, run: runs };
  for (const { entity, value } of written.changed) {
    const [kind = "", key = ""] = split(entity);
    if (kind === "build") Object.assign(doc, value);
    else if (kind === "supply") doc.supply = value as Doc["supply"];
    else if (value === null) lists[kind]?.delete(key);
    else lists[kind]?.set(key, value);
  }
  doc.parts = pick(parts, written.order.parts);
  doc.cables = pick(cables, written.order.cables);
  doc.runs = pick(runs, written.order.runs);
  return { ...before, doc, version: written.version, result: written.result, history: written.history };
}

function split(entity: string): [string, string] {
  const at = entity.indexOf(":");
  return at < 0 ? [entity, ""] : [entity.slice(0, at), entity.slice(at + 1)];
}

function pick<T>(from: Map<string, T>, keys: string[]): T[] {
  return keys.map((k) => from.get(k)).filter((x): x is T => x !== undefined);
}
