import type { SupplyAnswer } from "../../api/client";
import { amount, sentence, watts } from "../../state/format";
import { sorted } from "../../state/supply/ticket";

export const VERDICTS: Record<SupplyAnswer["verdict"], string> = {
  "right size": "text-within",
  "a little short": "text-tight",
  "too big": "text-tight",
  unknown: "text-unknown",
  "too small": "text-over",
  "does not fit": "text-over",
};
const STATUS: Record<string, { mark: string; look: string; words: string }> = {
  fail: { mark: "M4 4l10 10M14 4L4 14", look: "text-over font-semibold", words: "fails" },
  unknown: {
    mark: "M5 6c0-4 8-4 8 0 0 3-4 2.5-4 6M9 15v.5",
    look: "text-unknown font-semibold",
    words: "not known",
  },
  warn: { mark: "M9 3v8M9 14.5v.5", look: "text-tight font-semibold", words: "worth a look" },
  pass: { mark: "M3 9.5l4 4L15 4", look: "", words: "passes" },
  "not checked": { mark: "M5 9h8", look: "text-ink-soft", words: "not checked" },
};
/** One check: its mark, its sentence. */
export function Line({ status, text }: { status: string; text: string }) {
  const s = STATUS[status];
  return (
    <li className={`flex items-start gap-2 ${s?.look ?? ""}`}>
      <svg
        width={18}
        height={18}
        viewBox="0 0 18 18"
        fill="none"
        stroke="currentColor"
        strokeWidth={2}
        className="mt-px shrink-0"
        aria-hidden="true"
      >
        <path d={s?.mark} />
      </svg>
      <span>
        <span className="sr-only">{s?.words ?? status}: </span>
        {text}
      </span>
    </li>
  );
}

/** Every check of a supply, and the spikes of each window beside what it rides through. */
export function AllChecks({ answer }: { answer: SupplyAnswer }) {
  const worst = answer.rides.some((r) => r.worst !== null);
  return (
    <>
      <ul className="grid gap-1.5 text-base">
        {sorted(answer.checks).map((c, i) => (
          <Line key={i} status={c.status} text={sentence(c.text)} />
        ))}
      </ul>
      <h3 className="mt-4 mb-1 text-md font-bold">Spikes, and what it rides through</h3>
      <table className="w-full text-base">
        <thead>
          <tr className="text-left text-sm text-ink-soft">
            <th className="py-1 font-normal">for</th>
            <th className="font-normal">in all, usual</th>
            {worst && <th className="font-normal">by the standard’s worst</th>}
            <th className="font-normal">it rides through</th>
            <th className="font-normal">at 12 V, usual</th>
            {worst && <th className="font-normal">by the standard’s worst</th>}
            <th className="font-normal">it rides through</th>
          </tr>
        </thead>
        <tbody className="font-mono">
          {answer.rides.map((r) => (
            <tr key={r.window} className="border-t border-rule">
              <th className="py-1 text-left font-sans font-normal">{r.window} ms</th>
              <Spike watts={amount(r.watts)} holds={r.holds} />
              {r.worst && <Spike watts={amount(r.worst)} holds={r.worst_holds} />}
              <Rides most={r.rides} />
              <Spike watts={amount(r.v12_watts)} holds={r.v12_holds} />
              {r.v12_worst && <Spike watts={amount(r.v12_worst)} holds={r.v12_worst_holds} />}
              <Rides most={r.v12_rides} />
            </tr>
          ))}
        </tbody>
      </table>
      {answer.not_checked.length > 0 && (
        <p className="mt-3 text-sm text-ink-soft">Not built yet: {answer.not_checked.join(", ")}.</p>
      )}
    </>
  );
}

function Spike({ watts: said, holds }: { watts: string; holds: boolean | null }) {
  const short = holds === false;
  return <td className={short ? "font-bold text-over" : ""}>{`${said} W${short ? ", too much" : ""}`}</td>;
}

function Rides({ most }: { most: number | null }) {
  return most === null ? <td className="text-unknown">not known</td> : <td>{`${watts(most)} W`}</td>;
}
