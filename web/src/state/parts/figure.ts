import type { Figure } from "../../api/client";

/** What a builder typed as a number: a comma for a point is taken; null where it is none. */
export function parseNumber(text: string): number | null {
  const clean = text.trim().replace(",", ".");
  if (!/^\d+(\.\d+)?$/.test(clean)) return null;
  return Number(clean);
}

/** A figure with a new likely value: bounds that had no width follow it, others are kept wide. */
export function withLikely(old: Figure | null, likely: number): Figure {
  if (!old || old.low === old.high)
    return { low: likely, likely, high: likely, origin: old?.origin ?? "maker", note: old?.note ?? "" };
  return widened(old, likely);
}

/** Bounds with a new likely value, as wide as they were or wider. */
export function widened<T extends { low: number; high: number }>(
  old: T,
  likely: number,
): T & { likely: number } {
  return { ...old, low: Math.min(old.low, likely), likely, high: Math.max(old.high, likely) };
}

/** A number as it stands in a field. */
export function shown(value: number | null | undefined): string {
  return value === null || value === undefined ? "" : String(value);
}
