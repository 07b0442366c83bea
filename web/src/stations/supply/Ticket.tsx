import type { ReactNode } from "react";

import type { SupplyAnswer } from "../../api/client";
import { percent, sentence } from "../../state/format";
import { Button } from "../../ui/button";

const VERDICTS: Record<SupplyAnswer["verdict"], string> = {
  "right size": "text-within",
  "too big": "text-tight",
  unknown: "text-unknown",
  "too small": "text-over",
};
const STATUS: Record<string, { mark: string; look: string }> = {
  fail: { mark: "M4 4l10 10M14 4L4 14", look: "text-over font-semibold" },
  unknown: { mark: "M5 6c0-4 8-4 8 0 0 3-4 2.5-4 6M9 15v.5", look: "text-unknown font-semibold" },
  warn: { mark: "M9 3v8M9 14.5v.5", look: "text-tight font-semibold" },
  pass: { mark: "M3 9.5l4 4L15 4", look: "" },
};
const ORDER = ["fail", "unknown", "warn", "pass", "not checked"];

/** A supply as a ticket: verdict, what fails or warns first, load share; every check on demand. */
export function Ticket({
  name,
  design,
  answer,
  inBuild,
  ports,
  cables,
  lit,
  onLight,
  onTake,
  children,
}: {
  name: string;
  design: string | null;
  answer: SupplyAnswer;
  inBuild: boolean;
  ports: number;
  cables: number;
  lit: boolean;
  onLight: (on: boolean) => void;
  onTake?: () => void;
  children?: ReactNode;
}) {
  const checks = [...answer.checks].sort((a, b) => ORDER.indexOf(a.status) - ORDER.indexOf(b.status));
  const key = checks.filter((c) => c.status !== "pass" || c.id === "watts" || c.rail === "v12");
  const rest = checks.filter((c) => !key.includes(c));
  return (
    <li
      data-ticket={name}
      data-in-build={inBuild}
      data-lit={lit}
      onMouseEnter={() => onLight(true)}
      onMouseLeave={() => onLight(false)}
      className="flex flex-col border border-rule bg-slip p-4 data-[in-build=true]:border-2 data-[in-build=true]:border-accent data-[lit=true]:border-ink"
    >
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-lg font-bold">{name}</h2>
        <b className={`text-lg whitespace-nowrap ${VERDICTS[answer.verdict]}`}>{answer.verdict}</b>
      </div>
      <p className="mb-2 text-sm text-ink-soft">
        {inBuild ? "in this build" : "catalogue"},{" "}
        {design === null ? "design not known" : design === "classic" ? "classic design" : `design ${design}`},{" "}
        {ports} ports, {cables} cables
      </p>
      <ul className="grid gap-1 text-base">
        {key.map((c, i) => (
          <Line key={i} status={c.status} text={sentence(c.text)} />
        ))}
      </ul>
      <p className="mt-2 text-base">
        {percent(answer.percent.full)} at full, {percent(answer.percent.everyday)} everyday,{" "}
        {percent(answer.percent.idle)} idle
      </p>
      <details className="mt-1 text-sm">
        <summary className="cursor-pointer text-ink-soft">{rest.length} more checks</summary>
        <ul className="mt-1 grid gap-1">
          {rest.map((c, i) => (
            <Line key={i} status={c.status} text={sentence(c.text)} />
          ))}
        </ul>
      </details>
      <p className="mt-1 text-xs text-ink-soft">Not checked yet: {answer.not_checked.join(", ")}.</p>
      {children}
      {!inBuild && onTake && (
        <Button className="mt-3 self-start" onClick={onTake}>
          Take {name}
        </Button>
      )}
    </li>
  );
}

function Line({ status, text }: { status: string; text: string }) {
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
        <span className="sr-only">{status}: </span>
        {text}
      </span>
    </li>
  );
}
