import type { BuildOut, Doc, WrittenOut } from "../../api/client";

/** The build after a write: changed entities put in, lists in the order that the write gives. */
export function merge(before: BuildOut, written: WrittenOut): BuildOut {
  const doc = { ...before.doc };
  const lists = {
    part: new Map(doc.parts.map((p) => [p.key, p])),
    cable: new Map(doc.cables.map((c) => [c.key, c])),
    adapter: new Map(doc.adapters.map((a) => [a.key, a])),
    extension: new Map(doc.extensions.map((e) => [e.key, e])),
    backplane: new Map(doc.backplanes.map((b) => [b.key, b])),
    run: new Map(doc.runs.map((r) => [r.cable, r])),
  };
  const named: Record<string, Map<string, unknown>> = lists;
  for (const { entity, value } of written.changed) {
    const [kind = "", key = ""] = split(entity);
    if (kind === "build") Object.assign(doc, value);
    else if (kind === "supply") doc.supply = value as Doc["supply"];
    else if (value === null) named[kind]?.delete(key);
    else named[kind]?.set(key, value);
  }
  doc.parts = pick(lists.part, written.order.parts);
  doc.cables = pick(lists.cable, written.order.cables);
  doc.adapters = pick(lists.adapter, written.order.adapters);
  doc.extensions = pick(lists.extension, written.order.extensions);
  doc.backplanes = pick(lists.backplane, written.order.backplanes);
  doc.runs = pick(lists.run, written.order.runs);
  return { ...before, doc, version: written.version, result: written.result, history: written.history };
}

function split(entity: string): [string, string] {
  const at = entity.indexOf(":");
  return at < 0 ? [entity, ""] : [entity.slice(0, at), entity.slice(at + 1)];
}

function pick<T>(from: Map<string, T>, keys: string[]): T[] {
  return keys.map((k) => from.get(k)).filter((x): x is T => x !== undefined);
}
