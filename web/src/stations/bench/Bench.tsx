import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";

import { client, reason, take, type BenchStep, type InBin } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { doneWith, lastTicked } from "../../state/bench/queue";
import { lastThrown } from "../../state/thrown";
import { Button } from "../../ui/button";
import { TallyMarks } from "../../ui/marks";
import { Menu, MenuItem } from "../../ui/menu";
import { useWords } from "../../words";
import { BinDialog } from "../frame/Bin";
import { StationHead } from "../frame/Frame";
import { FlagsDialog } from "./FlagsDialog";
import { RecordDialog } from "./RecordDialog";
import { StepCard } from "./StepCard";
import { useBench } from "./useBench";

/** What a map must not have when it is plugged. */
const BAD = ["over", "refused", "failed", "unfed"] as const;

/** From the map to a machine that runs: one step at a time, large, with all of them at the side. */
export default function Bench() {
  const build = useBuild();
  const { result } = useResult();
  const words = useWords();
  const { say } = useWrite();
  const queries = useQueryClient();
  const { plan, error, pending, add, who, name, queryKey } = useBench();
  const [params, setParams] = useSearchParams();
  const steps = plan?.steps ?? [];
  const isDone = (s: BenchStep) => doneWith(s.step, s.done, pending);
  // What was looked at so far, by step: a step is done when nothing of it is left to look at.
  const [seen, setSeen] = useState<Record<string, string[]>>({});
  const seenAt = (s: BenchStep) => seen[`${s.step.id} ${s.step.of}`] ?? [];
  const leftAt = (s: BenchStep) => (isDone(s) ? [] : s.step.looks.filter((l) => !seenAt(s).includes(l.id)));
  // Kept here and told to the address: a key that follows on a key meets the next step already.
  const [wanted, setWanted] = useState(params.get("step") ?? "");
  const shown = params.get("open") ?? "";
  /** Show a dialog over the step, with an address of its own. */
  const show = (what: string) =>
    setParams((p) => {
      if (what) p.set("open", what);
      else p.delete("open");
      return p;
    });
  const first = steps.findIndex((s) => !isDone(s));
  const at = Math.max(
    0,
    wanted ? steps.findIndex((s) => s.step.id === wanted) : first === -1 ? steps.length - 1 : first,
  );
  const now = steps[at];
  const go = (i: number) => {
    const to = steps[Math.min(steps.length - 1, Math.max(0, i))];
    if (!to) return;
    setWanted(to.step.id);
    setParams({ step: to.step.id }, { replace: true });
  };
  const done = (s: BenchStep) => {
    lastThrown.forget();
    add(s, "done");
    go(at + 1);
  };
  const tick = () => {
    if (!now || plan?.stopped) return;
    if (isDone(now)) {
      setSeen({ ...seen, [`${now.step.id} ${now.step.of}`]: [] });
      add(now, "undone");
    } else if (leftAt(now).length) firstOpen();
    else done(now);
  };
  /** What is left to look at has the focus: a key more ticks it, and no key passes it. */
  const firstOpen = (but = "") => {
    const next = now && leftAt(now).find((l) => l.id !== but);
    if (next) card.current?.querySelector<HTMLElement>(`[data-look="${next.id}"]`)?.focus();
  };
  const look = (id: string) => {
    if (!now) return;
    const was = seenAt(now);
    const then = was.includes(id) ? was.filter((x) => x !== id) : [...was, id];
    setSeen({ ...seen, [`${now.step.id} ${now.step.of}`]: then });
    if (then.length === now.step.looks.length) done(now);
    else if (!was.includes(id)) firstOpen(id);
  };
  const last = lastTicked(steps, pending);
  const takeBack = () => {
    if (!last) return;
    setSeen({ ...seen, [`${last.step.id} ${last.step.of}`]: [] });
    add(last, "undone");
    go(steps.indexOf(last));
  };
  useWakeLock();
  const swipe = useSwipe((by) => go(at + by));
  const keys = (e: React.KeyboardEvent) => {
    const field = e.target instanceof HTMLInputElement && e.target.type !== "checkbox";
    // In a dialog or an open menu the keys are its own.
    if (field || shown || !e.currentTarget.contains(e.target as Node) || e.altKey) return;
    if (e.ctrlKey || e.metaKey) {
      if (e.key.toLowerCase() !== "z" || e.shiftKey) return;
      e.preventDefault();
      if (!lastThrown.bringBack()) takeBack();
      return;
    }
    // On a box, a button or a link Space is its own.
    if (
      e.key === " " &&
      e.target !== e.currentTarget &&
      (e.target as HTMLElement).matches("input, button, a")
    )
      return;
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
    if (by) go(at + by);
    else if (e.key === " " && !e.repeat) tick();
    else if (e.key !== " ") return;
    e.preventDefault();
  };
  const page = useRef<HTMLDivElement>(null);
  const card = useRef<HTMLElement>(null);
  const ready = plan !== undefined;
  useEffect(() => {
    if (ready) page.current?.focus();
  }, [ready]);
  // The step that had the focus is gone with it: the keys are heard again.
  const shownStep = now?.step.id;
  useEffect(() => {
    if (document.activeElement === document.body) page.current?.focus();
    card.current?.scrollIntoView({ block: "start" });
  }, [shownStep]);
  const ticked = steps.filter(isDone).length;
  const bad = BAD.filter((k) => result.strip.mend[k]).map(
    (k) => `${result.strip.mend[k]} ${words.findings[k]}`,
  );
  const at_ = { params: { path: { key: build.key } } };
  /** A photo in the bin is called by its step. */
  const named = (x: InBin) => ({ ...x, name: steps.find((s) => s.step.id === x.name)?.step.title ?? x.name });
  if (error) return <p className="p-8 text-over">{reason(error)}</p>;
  if (!build.doc.runs.length)
    return (
      <>
        <StationHead title="Bench" note="from the map to a machine that runs" />
        <p className="mx-6 border border-dashed border-rule-strong p-6 text-lg">
          Nothing is mapped yet, so there is nothing to plug.{" "}
          <Link className="font-bold text-accent underline" to={`/b/${build.key}/loom`}>
            Map it in the Loom
          </Link>{" "}
          first.
        </p>
      </>
    );
  const file = (what: string) => window.location.assign(`/api/v1/builds/${build.key}/${what}`);
  return (
    <div
      ref={page}
      tabIndex={-1}
      onKeyDown={keys}
      data-undo="its-own"
      className="flex h-full min-h-0 flex-col outline-none"
    >
      <StationHead title="Bench" undoes={false} note={plan ? `${ticked} of ${steps.length} done` : "…"}>
        <Button
          look="quiet"
          disabled={!last}
          title={last ? `Take back: ${last.step.title}` : "Nothing is ticked"}
          onClick={takeBack}
        >
          <span className="max-[700px]:hidden">Take the last tick back</span>
          <span className="min-[701px]:hidden">Take back</span>
        </Button>
        <Button className="max-[700px]:hidden" onClick={() => show("record")}>
          The record
        </Button>
        <Menu label="Print">
          <MenuItem onSelect={() => file("bench.pdf")}>Bench sheet, A4</MenuItem>
          <MenuItem onSelect={() => file("bench.pdf?paper=letter")}>Bench sheet, letter</MenuItem>
          <MenuItem onSelect={() => show("flags")}>Cable flags…</MenuItem>
          <MenuItem onSelect={() => show("record")}>The record</MenuItem>
          <MenuItem onSelect={() => file("bench.csv")}>The record, CSV</MenuItem>
          <MenuItem onSelect={() => file("record.zip")}>The build, its record and photos, ZIP</MenuItem>
          <MenuItem onSelect={() => show("bin")}>Photos in the bin…</MenuItem>
        </Menu>
      </StationHead>
      {shown === "record" && <RecordDialog buildKey={build.key} onClose={() => show("")} />}
      {shown === "bin" && (
        <BinDialog
          title="Photos in the bin"
          load={async () => (await take(client.GET("/api/v1/builds/{key}/bin/photos", at_))).map(named)}
          back={async (x) => {
            const path = { key: build.key, photo: x.key };
            await take(client.POST("/api/v1/builds/{key}/bin/photos/{photo}", { params: { path } }));
            await queries.invalidateQueries({ queryKey });
          }}
          onClose={() => show("")}
        />
      )}
      {shown === "flags" && <FlagsDialog buildKey={build.key} onClose={() => show("")} />}
      {pending.length > 0 && (
        <p
          role="status"
          className="mx-6 mb-2 border border-tight px-3 py-1 text-base text-tight max-[700px]:mx-3"
        >
          {pending.length === 1 ? "1 entry is" : `${pending.length} entries are`} kept on this device, and
          sent once the server answers.
        </p>
      )}
      {bad.length > 0 && (
        <p className="mx-6 mb-2 border-l-4 border-over py-1 pl-3 text-base max-[700px]:mx-3">
          <b className="text-over">Not ready to be plugged: {bad.join(", ")}.</b>{" "}
          <Link className="font-bold text-accent underline" to={`/b/${build.key}/loom`}>
            Mend the map
          </Link>{" "}
          first; what is done here is kept.
        </p>
      )}
      {plan?.stopped && (
        <p
          role="alert"
          className="mx-6 mb-2 border-2 border-over px-3 py-2 text-lg font-bold text-over max-[700px]:mx-3"
        >
          {plan.stopped}
        </p>
      )}
      <div className="flex min-h-0 flex-1 gap-4 px-6 pb-3 max-[700px]:pb-0 max-[700px]:flex-col max-[700px]:overflow-auto max-[700px]:px-3">
        <section
          {...swipe}
          ref={card}
          aria-label="Step"
          className="flex min-h-0 min-w-0 flex-1 flex-col border border-rule bg-slip max-[700px]:flex-none"
        >
          {now && (
            <StepCard
              key={now.step.id}
              step={now}
              done={isDone(now)}
              stopped={plan?.stopped ? plan.stopped_at : ""}
              seen={seenAt(now)}
              onLook={look}
              onFound={(kind) => add(now, kind)}
              onNote={(text) => add(now, "note", text)}
              onPhotos={() => void queries.invalidateQueries({ queryKey })}
              say={say}
            />
          )}
          <div className="flex items-center gap-2 border-t border-rule bg-slip p-3 max-[700px]:sticky max-[700px]:bottom-0">
            <Button
              className="min-h-12 px-5 text-lg max-[700px]:px-3"
              disabled={at === 0}
              onClick={() => go(at - 1)}
            >
              Back
            </Button>
            <Button
              look="main"
              className="min-h-14 min-w-0 flex-1 px-2 text-xl max-[700px]:text-lg max-[700px]:whitespace-normal"
              disabled={Boolean(plan?.stopped)}
              onClick={tick}
            >
              {!now
                ? "Done"
                : isDone(now)
                  ? "Not done after all"
                  : leftAt(now).length
                    ? `${leftAt(now).length} to look at first`
                    : "Done"}
            </Button>
            <Button
              className="min-h-12 px-5 text-lg max-[700px]:px-3"
              disabled={at >= steps.length - 1}
              onClick={() => go(at + 1)}
            >
              Next
            </Button>
          </div>
        </section>
        <aside
          aria-label="All steps"
          className="flex min-h-0 w-[320px] shrink-0 flex-col border border-rule bg-slip max-[1100px]:w-[270px] max-[700px]:w-full"
        >
          <div className="border-b border-rule px-3 py-2">
            <div className="flex items-center gap-2">
              <b className="text-md">Done</b>
              <TallyMarks count={ticked} />
              <span className="ml-auto text-sm text-ink-soft">
                {ticked} of {steps.length}
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
          <StepList steps={steps} at={at} isDone={isDone} onGo={go} />
        </aside>
      </div>
    </div>
  );
}

function StepList({
  steps,
  at,
  isDone,
  onGo,
}: {
  steps: BenchStep[];
  at: number;
  isDone: (s: BenchStep) => boolean;
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
          {s.group !== steps[i - 1]?.group && <h2 className="px-3 pt-3 text-sm font-bold">{s.group}</h2>}
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
          </button>
        </li>
      ))}
    </ol>
  );
}

/** Keeps the screen awake where the browser can; it lets go whenever the page is hidden. */
function useWakeLock() {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const hold = async () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      lock = await navigator.wakeLock.request("screen").catch(() => null);
    };
    void hold();
    const again = () => void hold();
    document.addEventListener("visibilitychange", again);
    return () => {
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, []);
}

/** A finger that moves sideways turns a page. */
function useSwipe(turn: (by: number) => void) {
  const start = useRef<{ x: number; y: number } | null>(null);
  return {
    onTouchStart: (e: React.TouchEvent) => {
      const t = e.touches[0];
      start.current = t ? { x: t.clientX, y: t.clientY } : null;
    },
    onTouchEnd: (e: React.TouchEvent) => {
      const t = e.changedTouches[0];
      if (!t || !start.current) return;
      const [dx, dy] = [t.clientX - start.current.x, t.clientY - start.current.y];
      if (Math.abs(dx) > 60 && Math.abs(dx) > 2 * Math.abs(dy)) turn(dx < 0 ? 1 : -1);
    },
  };
}
