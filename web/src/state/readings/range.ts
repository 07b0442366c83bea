/** A span of time that is in sight [s]. */
export interface Range {
  from: number;
  to: number;
}

/** No less than this is shown [s]. */
const LEAST = 0.05;

/** A range of the same length, or as near as may be, within the whole. */
export function kept(range: Range, whole: Range): Range {
  const length = Math.min(Math.max(range.to - range.from, LEAST), Math.max(whole.to - whole.from, LEAST));
  const from = Math.min(Math.max(range.from, whole.from), Math.max(whole.from, whole.to - length));
  return { from, to: from + length };
}

/** Nearer (factor below 1) or further away, around a point that stays where it is. */
export function zoomed(range: Range, factor: number, around: number, whole: Range): Range {
  const length = (range.to - range.from) * factor;
  const share = (around - range.from) / (range.to - range.from || 1);
  const from = around - share * length;
  return kept({ from, to: from + length }, whole);
}

/** Sideways by a share of what is in sight. */
export function panned(range: Range, share: number, whole: Range): Range {
  const by = (range.to - range.from) * share;
  return kept({ from: range.from + by, to: range.to + by }, whole);
}

/** What a key does to the range; null: nothing. */
export function byKey(key: string, range: Range, whole: Range): Range | null {
  const middle = (range.from + range.to) / 2;
  switch (key) {
    case "+":
    case "=":
      return zoomed(range, 0.5, middle, whole);
    case "-":
      return zoomed(range, 2, middle, whole);
    case "ArrowLeft":
      return panned(range, -0.25, whole);
    case "ArrowRight":
      return panned(range, 0.25, whole);
    case "Home":
      return kept({ from: whole.from, to: whole.from + range.to - range.from }, whole);
    case "End":
      return kept({ from: whole.to - range.to + range.from, to: whole.to }, whole);
    case "0":
      return whole;
  }
  return null;
}

/** A time in a few characters: seconds, minutes, hours. */
export function timeWords(s: number): string {
  if (s < 120) return `${Number(s.toFixed(s < 10 ? 2 : 1))} s`;
  if (s < 7200) return `${Math.floor(s / 60)} min ${Math.round(s % 60)} s`;
  return `${Math.floor(s / 3600)} h ${Math.round((s % 3600) / 60)} min`;
}
