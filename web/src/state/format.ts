import type { Amount, Lane, Verdict } from "../api/client";

const whole = new Intl.NumberFormat("en", { maximumFractionDigits: 0 });

/** Watts rounded up to a whole number: against the builder, never for him. */
export function watts(value: number): string {
  return whole.format(Math.ceil(value - 1e-7) || 0); // || 0: no “−0”
}

/** A total in watts; “≥” where a figure behind it is missing. */
export function amount(a: Amount): string {
  return (a.missing.length ? "≥ " : "") + watts(a.likely);
}

/** Low to high, or nothing where the two are the same number of watts. */
export function bounds(a: { low: number; high: number }): string {
  const [low, high] = [watts(a.low), watts(a.high)];
  return low === high ? "" : `${low}–${high}`;
}

export function amps(value: number): string {
  return value.toFixed(value < 10 ? 2 : 1);
}

/** A value in its unit, as the checks show it. */
export function inUnit(value: number | null, unit: string): string {
  if (value === null) return "not known";
  if (unit === "W") return `${watts(value)} W`;
  if (unit === "plugs") return whole.format(value);
  if (unit === "mm") return `${whole.format(value)} mm`;
  return `${value.toFixed(2)} ${unit}`;
}

export function percent(p: number | null): string {
  return p === null ? "—" : `${p} %`;
}

export function verdictWord(lane: Pick<Lane, "verdict" | "refused">): string {
  return lane.refused ? "refused" : lane.verdict;
}

export const VERDICT_TEXT: Record<Verdict, string> = {
  within: "text-within",
  tight: "text-tight",
  over: "text-over",
  unknown: "text-unknown",
};

/** The windows of the spikes, as the result names them and in words. */
export const SPIKES = [
  ["ms_0_1", "0.1 ms"],
  ["ms_1", "1 ms"],
  ["ms_10", "10 ms"],
  ["ms_100", "100 ms"],
] as const;

/** A name that has to stand on one line. */
export function shortened(name: string, most: number): string {
  return name.length > most ? `${name.slice(0, most - 1).trimEnd()}…` : name;
}

/** A sentence whose numbers stay on one line with their units. */
export function sentence(text: string): string {
  return text.replace(/(\d) (?=(?:W|A|V|%|ms|mm|mΩ|°C)(?!\w))/g, "$1\u00a0");
}

/** A moment of today as the browser's language writes it. */
export function clock(iso: string): string {
  return new Date(iso).toLocaleTimeString(undefined, { hour: "2-digit", minute: "2-digit" });
}
