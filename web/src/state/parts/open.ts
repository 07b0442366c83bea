import { STATES, type Amount, type Reference, type Result, type State } from "../../api/client";
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
