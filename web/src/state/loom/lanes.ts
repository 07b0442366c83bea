import type { Cable, Doc, Lane, PlugAnswer, Reference, Result } from "../../api/client";

/** A lane that is drawn: a run, or a cable that hangs there or lies in the bag. */
export interface Drawn {
  cable: Cable;
  lane: Lane | null;
  /** In ports, fixed to the supply, or in the bag. */
  where: "in" | "fixed" | "bag";
  labels: string;
  plugs: PlugAnswer[];
}

/** Every cable as a lane: those in ports in panel order, fixed ones, then the bag. */
export function drawnLanes(
  doc: Doc,
  { lanes, usual_mm }: Pick<Result, "lanes" | "usual_mm">,
  reference: Reference | undefined,
): Drawn[] {
  const order = new Map((doc.supply?.ports ?? []).map((p, i) => [p.key, p.row * 100 + p.column + i / 1000]));
  const found = doc.cables.map((cable): Drawn => {
    const lane = lanes.find((l) => l.cable === cable.key) ?? null;
    const where = cable.needs.length === 0 ? "fixed" : lane ? "in" : "bag";
    return {
      cable,
      lane,
      where,
      labels: lane?.port_labels.join(" ") || (where === "fixed" ? "fixed" : ""),
      plugs: lane?.plugs ?? cable.plugs.map((p) => parked(p, usual_mm[cable.key] ?? {}, reference)),
    };
  });
  const place = (d: Drawn) =>
    d.where === "in"
      ? Math.min(...(d.lane?.ports ?? []).map((p) => order.get(p) ?? 0))
      : d.where === "fixed"
        ? -1
        : 1e6;
  return found
    .map((d, i) => ({ d, i }))
    .sort((a, b) => place(a.d) - place(b.d) || a.i - b.i)
    .map((x) => x.d);
}

function parked(
  plug: Cable["plugs"][number],
  usual: Record<string, number>,
  reference: Reference | undefined,
): PlugAnswer {
  return {
    key: plug.key,
    kind: plug.kind,
    face: reference?.plug_faces[plug.kind] ?? plug.kind,
    at_mm: plug.at_mm ?? usual[plug.key] ?? 0,
    half: "",
    socket: "",
    feeds: "",
    tag: "",
    warning: "",
    safety: null,
  };
}

/** Length that the ruler covers, in mm: the longest way, to the next 100, with room for a plug. */
export function rulerLength(drawn: Drawn[]): number {
  const longest = Math.max(
    300,
    ...drawn.flatMap((d) => d.plugs.map((p) => p.at_mm)),
    ...drawn.flatMap((d) => d.lane ?? []).flatMap((l) => l.onward.map((o) => o.to_mm)),
  );
  return Math.ceil((longest + 60) / 100) * 100;
}
