/** An hour of the day as a clock tells it. */
export function clock(hour: number): string {
  const minutes = Math.round(hour * 60);
  return `${String(Math.floor(minutes / 60)).padStart(2, "0")}:${String(minutes % 60).padStart(2, "0")}`;
}

/** Hours of a time such as `22:30` or `6`; null where it is none. */
export function hours(text: string): number | null {
  const match = /^([0-9]{1,2})(?:[:.]([0-5][0-9]))?$/.exec(text.trim());
  if (!match) return null;
  const h = Number(match[1]) + Number(match[2] ?? 0) / 60;
  return h <= 24 ? h : null;
}
