import { time } from "../state/clock";

/** Why work that was asked for has not begun: who does it is busy, since when; or is not there. */
export function Waits({ waits, busy }: { waits: string; busy: { what: string; since: string }[] }) {
  const words =
    waits ||
    (busy.length > 0 &&
      `It comes next. Busy with ${busy.map((b) => `${b.what} since ${time(b.since)}`).join(", and ")}.`);
  return words ? (
    <p role="status" className="text-base">
      {words}
    </p>
  ) : null;
}
