import {
  STATES,
  type Amount,
  type Reference,
  type Result,
  type Row,
  type SpikeRow,
  type State,
} from "../../api/client";
import { capital } from "../../words";
import { SPIKES } from "../format";

export type SpikeKey = (typeof SPIKES)[number][0];

/** A number that can be opened: a state's or a spike's, of all or of one path or rail. */
export type Opening = ({ of: "state"; state: State } | { of: "spike"; spike: SpikeKey }) & {
  path: string;
  rail: string;
};

/** What the address opens; null where it opens nothing. */
export function openingOf(params: URLSearchParams): Opening | null {
  const open = params.get("open") ?? "";
  const rest = { path: params.get("path") ?? "", rail: params.get("rail") ?? "" };
  const state = STATES.find((s) => s === open);
  if (state) return { of: "state", state, ...rest };
  const spike = SPIKES.find(([key]) => key === open);
  return spike ? { of: "spike", spike: spike[0], path: "", rail: "" } : null;
}

/** The figure that stands closed where it was opened. */
export function closedFigure(result: Result, opening: Opening): Amount | undefined {
  if (opening.of === "spike") return result.strip.spikes[opening.spike];
  if (opening.path) return result.by_path[opening.path]?.[opening.state];
  if (opening.rail) return result.by_rail[opening.rail]?.[opening.state];
  return result.strip.watts[opening.state];
}

export function openingWords(opening: Opening, words: Pick<Reference["words"], "rails" | "states">): string {
  if (opening.of === "spike") return `Spike, ${SPIKES.find(([k]) => k === opening.spike)?.[1] ?? ""}`;
  const what = opening.path || (opening.rail ? `${words.rails[opening.rail] ?? opening.rail} rail` : "");
  const state = words.states[opening.state] ?? opening.state;
  return what ? `${capital(what)}, ${state}` : capital(state);
}

/** One line of an opened number. */
export interface Line {
  part: string;
  name: string;
  count: number;
  rail: string | null;
  how: string;
  field: string;
  origin: string;
  watts: Amount;
}

/** The rows that add up to an opened number, the largest first. */
export function linesOf(opening: Opening, rows: Row[], spikes: SpikeRow[]): Line[] {
  return every(opening, rows, spikes)
    .filter((r) => r.watts.high > 0 || r.watts.missing.length > 0)
    .sort((a, b) => b.watts.likely - a.watts.likely);
}

function every(opening: Opening, rows: Row[], spikes: SpikeRow[]): Line[] {
  if (opening.of === "spike")
    return spikes.map((r) => ({ ...r, how: r.formula, watts: r.watts[opening.spike] }));
  return rows
    .filter((r) => (!opening.path || r.path === opening.path) && (!opening.rail || r.rail === opening.rail))
    .map((r) => ({
      ...r,
      how: opening.path ? r.formula : `${r.formula}, ${r.path}`,
      watts: r.watts[opening.state],
    }));
}

/** Amounts together; what is missing of one is missing of all. */
export function sum(of: Amount[]): Amount {
  const add = (name: "low" | "likely" | "high") => of.reduce((total, a) => total + a[name], 0);
  return { low: add("low"), likely: add("likely"), high: add("high"), missing: of.flatMap((a) => a.missing) };
}
