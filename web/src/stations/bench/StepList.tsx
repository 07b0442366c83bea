import { useEffect, useRef } from "react";

import type { BenchStep } from "../../api/client";
import { doneWith, keptHere } from "../../state/bench/queue";
import { TallyMarks } from "../../ui/marks";
import type { BenchState } from "./useBench";

/** All steps, and who works through them. */
export function StepList({
  bench: { plan, steps, pending, who, name },
  at,
  onGo,
}: {
  bench: BenchState;
  at: number;
  onGo: (place: number) => void;
}) {
  const isDone = (s: BenchStep) => doneWith(s, pending);
  const work = steps.filter((s) => s.state !== "stands");
  const ticked = work.filter(isDone).length;
  return (
    <aside
      aria-label="All steps"
      className="flex min-h-0 w-[320px] shrink-0 flex-col border border-rule bg-slip max-[1100px]:w-[270px] max-[700px]:w-full"
    >
      <div className="border-b border-rule px-3 py-2">
        <div className="flex items-center gap-2">
          <b className="text-md">Done</b>
          <TallyMarks count={ticked} />
          <span className="ml-auto text-sm text-ink-soft">
            {ticked} of {work.length}
          </span>
        </div>
        <label className="mt-1 flex items-center gap-2 text-sm">
          Who
          <input
            className="field min-w-0 flex-1 text-base"
            value={who}
            maxLength={60}
            placeholder="your name or initials"
            onChange={(e) => name(e.target.value)}
          />
        </label>
      </div>
      {plan && plan.left > 0 && <Takes tools={plan.tools} minutes={plan.minutes} />}
      <Listed steps={steps} at={at} isDone={isDone} isKept={(s) => keptHere(s, pending)} onGo={onGo} />
    </aside>
  );
}

/** What is laid out before, and how long such steps took so far. */
function Takes({ tools, minutes }: { tools: string[]; minutes: number | null }) {
  return (
    <div className="border-b border-rule px-3 py-2 text-sm max-[700px]:hidden">
      {tools.length > 0 && (
        <p>
          <b>Lay out</b> {tools.join(", ")}.
        </p>
      )}
      {minutes !== null && (
        <p>
          <b>About {minutes} min</b>, by how long such steps took here.
        </p>
      )}
    </div>
  );
}

/** What stands already comes last, under one heading. */
const heading = (s: BenchStep | undefined) => (s?.state === "stands" ? "Stands already" : s?.group);

function Listed({
  steps,
  at,
  isDone,
  isKept,
  onGo,
}: {
  steps: BenchStep[];
  at: number;
  isDone: (s: BenchStep) => boolean;
  /** Whether it is kept on this device alone. */
  isKept: (s: BenchStep) => boolean;
  onGo: (i: number) => void;
}) {
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    const l = list.current;
    // On a phone the list is part of the page, which shows the step instead.
    if (l && l.scrollHeight > l.clientHeight)
      l.querySelector("[aria-current]")?.scrollIntoView({ block: "nearest" });
  }, [at]);
  return (
    <ol ref={list} tabIndex={0} aria-label="Steps" className="min-h-0 flex-1 overflow-auto">
      {steps.map((s, i) => (
        <li key={s.step.id}>
          {heading(s) !== heading(steps[i - 1]) && (
            <h2 className="px-3 pt-3 text-sm font-bold">{heading(s)}</h2>
          )}
          <button
            type="button"
            data-step={s.step.id}
            data-done={isDone(s)}
            aria-current={i === at ? "step" : undefined}
            onClick={() => onGo(i)}
            className="flex min-h-12 w-full items-center gap-2 px-3 py-1 text-left text-base leading-tight hover:bg-accent-wash aria-[current=step]:bg-accent-wash aria-[current=step]:font-bold data-[done=true]:text-ink-soft"
          >
            <svg width={18} height={18} viewBox="0 0 18 18" aria-hidden="true" className="shrink-0">
              {isDone(s) ? (
                <path d="M3 9.5 7 14 15 4" fill="none" stroke="currentColor" strokeWidth="2.2" />
              ) : (
                <rect x={3} y={3} width={12} height={12} fill="none" stroke="currentColor" />
              )}
            </svg>
            <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">{s.step.title}</span>
            {isDone(s) && <span className="sr-only">done</span>}
            {isKept(s) && <span className="text-sm font-semibold text-tight">kept here</span>}
          </button>
        </li>
      ))}
    </ol>
  );
}
