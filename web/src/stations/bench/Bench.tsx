import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import { Link, useSearchParams } from "react-router";

import { reason } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { doneWith, keptHere, lastTicked } from "../../state/bench/queue";
import { keyDoes, Walk, type Key, type Then } from "../../state/bench/walk";
import { lastThrown } from "../../state/thrown";
import { Button } from "../../ui/button";
import { StationHead } from "../frame/Head";
import { BenchHead } from "./BenchHead";
import { Notices } from "./Notices";
import { StepCard } from "./StepCard";
import { StepList } from "./StepList";
import { useBench } from "./useBench";
import { useSwipe, useWakeLock } from "./hands";

/** From the map to a machine that runs: one step at a time, large, with all of them at the side. */
export default function Bench() {
  const build = useBuild();
  const isEmpty = !build.doc.runs.length && !build.doc.parts.length;
  if (isEmpty)
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
  return <Mapped />;
}

function Mapped() {
  const { say } = useWrite();
  const bench = useBench();
  const { plan, steps, error, pending, add } = bench;
  const [params, setParams] = useSearchParams();
  const [walk] = useState(() => new Walk(params.get("step") ?? ""));
  useSyncExternalStore(walk.subscribe, walk.snapshot);
  const at = walk.at(steps, pending);
  const now = steps[at];
  const last = lastTicked(steps, pending);
  const isIdle = plan?.left === 0 && !walk.snapshot().wanted && steps.every((s) => s.state === "stands");
  const page = useRef<HTMLDivElement>(null);
  const card = useRef<HTMLElement>(null);
  const go = (place: number) => {
    const step = walk.go(steps, place, pending);
    if (step) setParams({ step }, { replace: true });
    else lookAt(now && walk.leftOf(now, pending)[0]);
  };
  // What is left to look at has the focus: a key more ticks it, and nothing passes it.
  const lookAt = (id: string | undefined) => {
    const open = id ? `[data-look="${id}"]` : '[aria-label="Answers"] button';
    card.current?.querySelector<HTMLElement>(open)?.focus();
  };
  const follow = (then: Then) => {
    if (then.do === "look at") {
      lookAt(then.id);
    } else if (then.do === "add") {
      if (then.kind === "done") lastThrown.forget();
      const answer = then.step.step.answers.find((x) => x.id === then.answer);
      add(then.step, then.kind, answer?.words ?? "", answer?.acts);
      if (then.answer) setParams({}, { replace: true });
      if (then.goTo !== null) setParams({ step: walk.goOn(steps, then.goTo) }, { replace: true });
    }
  };
  const tick = () => {
    if (now?.step.answers.length && !doneWith(now, pending)) lookAt(undefined);
    else follow(walk.tick(steps, pending, Boolean(plan?.stopped)));
  };
  const takeBack = () => last && follow(walk.undo(last, steps.indexOf(last)));
  useWakeLock();
  const swipe = useSwipe((by) => go(at + by));
  const keys = (e: React.KeyboardEvent) => {
    // In a dialog or an open menu the keys are its own.
    if (params.get("open") || !e.currentTarget.contains(e.target as Node)) return;
    const does = keyDoes(keyOf(e));
    if (!does) return;
    e.preventDefault();
    if (does.do === "go") go(at + does.by);
    else if (does.do === "press" && (e.target as HTMLElement).matches("[data-look]"))
      (e.target as HTMLElement).click();
    else if (does.do === "tick" || does.do === "press") tick();
    else if (does.do === "take back" && !lastThrown.bringBack()) takeBack();
  };
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
  if (error && !plan) return <p className="p-8 text-over">{reason(error)}</p>;
  return (
    <div
      ref={page}
      tabIndex={-1}
      onKeyDown={keys}
      data-undo="its-own"
      className="flex h-full min-h-0 flex-col outline-none"
    >
      <BenchHead bench={bench} last={last} onTakeBack={takeBack} />
      <Notices stopped={plan?.stopped ?? ""} pending={pending.length} photos={bench.photosKept} />
      {plan && !plan.is_known && <RunsAlready />}
      <div className="flex min-h-0 flex-1 gap-4 px-6 pb-3 max-[700px]:pb-0 max-[700px]:flex-col max-[700px]:overflow-auto max-[700px]:px-3">
        <section
          {...swipe}
          onClick={(e) => inLowerThird(e) && tick()}
          ref={card}
          aria-label="Step"
          className="flex min-h-0 min-w-0 flex-1 flex-col border border-rule bg-slip max-[700px]:flex-none"
        >
          {isIdle && <StandsAsWanted />}
          {now && !isIdle && (
            <StepCard
              key={now.step.id}
              step={now}
              done={doneWith(now, pending)}
              kept={keptHere(now, pending)}
              stopped={plan?.stopped ? plan.stopped_at : ""}
              seen={walk.seenOf(now)}
              onLook={(id) => follow(walk.look(steps, pending, id))}
              onAnswer={(id) => follow(walk.answer(now, id))}
              onFound={(kind) => add(now, kind)}
              onNote={(text) => add(now, "note", text)}
              onPhoto={bench.photo}
              onPhotos={bench.refresh}
              say={say}
            />
          )}
          {!isIdle && (
            <Turning
              first={at === 0}
              last={at >= steps.length - 1}
              asks={Boolean(now?.step.answers.length) && !(now && doneWith(now, pending))}
              stopped={Boolean(plan?.stopped)}
              words={tickWords(now && doneWith(now, pending), now ? walk.leftOf(now, pending).length : 0)}
              onTick={tick}
              onTurn={(by) => go(at + by)}
            />
          )}
        </section>
        <StepList bench={bench} at={at} onGo={go} />
      </div>
    </div>
  );
}

/** Nothing is to be done. */
function StandsAsWanted() {
  const { key } = useBuild();
  return (
    <div className="grid gap-3 px-5 py-4 text-lg">
      <h2 className="text-3xl leading-tight font-bold">This machine stands as it is wanted</h2>
      <p>Change a part, the supply or the map: the work for it is then listed here, and nothing else.</p>
      <p className="flex flex-wrap gap-x-6 gap-y-2">
        <Link className="font-bold text-accent underline" to={`/b/${key}/parts`}>
          Change a part
        </Link>
        <Link className="font-bold text-accent underline" to={`/b/${key}/supply`}>
          Take another supply
        </Link>
        <Link className="font-bold text-accent underline" to={`/b/${key}/loom`}>
          Change the map
        </Link>
      </p>
    </div>
  );
}

/** Most work is on a machine that runs: what stands need not be ticked. */
function RunsAlready() {
  const [, setParams] = useSearchParams();
  return (
    <p className="mx-6 mb-2 flex flex-wrap items-center gap-x-4 gap-y-1 border border-rule px-3 py-1 text-base max-[700px]:mx-3">
      Does this machine run already? Then only what changes is to be done.
      <Button className="min-h-10" onClick={() => setParams({ open: "found" })}>
        It stands like this…
      </Button>
    </p>
  );
}

/** A finger anywhere in the lower third does what the large button does; on a control it is that
 * control's. */
function inLowerThird(e: React.MouseEvent): boolean {
  const touched = (e.nativeEvent as PointerEvent).pointerType === "touch";
  const isControl = (e.target as HTMLElement).closest("button, a, input, label, img, select");
  return touched && !isControl && e.clientY > (2 / 3) * window.innerHeight;
}

/** What the large button says. */
function tickWords(done: boolean | undefined, left: number): string {
  if (done) return "Not done after all";
  return left ? `${left} to look at first` : "Done";
}

function keyOf(e: React.KeyboardEvent): Key {
  const field = e.target instanceof HTMLInputElement && e.target.type !== "checkbox";
  const control = e.target !== e.currentTarget && (e.target as HTMLElement).matches("input, button, a");
  return {
    key: e.key,
    command: e.ctrlKey || e.metaKey,
    shift: e.shiftKey,
    alt: e.altKey,
    repeat: e.repeat,
    on: field ? "field" : control ? "control" : "page",
  };
}

/** Back, done, next: in the lower third, where a thumb is. */
function Turning({
  first,
  last,
  asks,
  stopped,
  words,
  onTick,
  onTurn,
}: {
  first: boolean;
  last: boolean;
  /** It is answered above, and not ticked. */
  asks: boolean;
  stopped: boolean;
  words: string;
  onTick: () => void;
  onTurn: (by: number) => void;
}) {
  return (
    <div className="flex items-center gap-2 border-t border-rule bg-slip p-3 max-[700px]:sticky max-[700px]:bottom-0">
      <Button className="min-h-12 px-5 text-lg max-[700px]:px-3" disabled={first} onClick={() => onTurn(-1)}>
        Back
      </Button>
      <Button
        look="main"
        className="min-h-14 min-w-0 flex-1 px-2 text-xl max-[700px]:text-lg max-[700px]:whitespace-normal"
        disabled={stopped}
        onClick={onTick}
      >
        {asks ? "Choose one above" : words}
      </Button>
      <Button className="min-h-12 px-5 text-lg max-[700px]:px-3" disabled={last} onClick={() => onTurn(1)}>
        Next
      </Button>
    </div>
  );
}
