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

/** A day, as `26 Nov 2026`, and the time of a day, as `14:05`, of a moment in ISO form, here. */
export const day = (at: string): string =>
  new Date(at).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });
export const time = (at: string): string =>
  new Date(at).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
