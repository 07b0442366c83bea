import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { useSearchParams } from "react-router";

import { client, reason, take, type Exercise, type JudgedAnswer } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { firstChoice } from "../../state/readings/choice";
import type { Range } from "../../state/readings/range";
import { Button } from "../../ui/button";
import { StationHead } from "../frame/Head";
import { Channels } from "./Channels";
import { Pictures } from "./Pictures";
import { Figures, Plugs } from "./Readings";

const trainerKey = ["trainer"] as const;

/** A machine with a fault, its readings, and the bench to look at: which joint, and why? */
export default function Trainer() {
  const build = useBuild();
  const [params, setParams] = useSearchParams();
  const { data } = useQuery({ queryKey: trainerKey, queryFn: () => take(client.GET("/api/v1/trainer")) });
  const said = params.get("exercise");
  const number = Number(said ?? -1);
  // The first that is not found yet; it stays, with what was said of it, once it is.
  const next = data && said === null ? (data.exercises.find((e) => !e.solved)?.number ?? 1) : null;
  useEffect(() => {
    if (next !== null) setParams({ exercise: String(next) }, { replace: true });
  }, [next, setParams]);
  const seed = Number(params.get("seed") ?? 1);
  const solved = data?.exercises.filter((e) => e.solved).length ?? 0;
  const go = (to: Record<string, string>) => setParams(to);
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead
        title="Trainer"
        note={data ? `${solved} of ${data.exercises.length} found` : "…"}
        rest={[
          { label: "Readings", to: `/b/${build.key}/readings` },
          {
            label: "A fault in this build",
            onSelect: () => go({ exercise: "0", seed: String(1 + Math.floor(Math.random() * 1e6)) }),
          },
        ]}
      />
      <div className="flex min-h-0 flex-1 gap-4 px-6 pb-3 max-[1000px]:flex-col max-[1000px]:overflow-auto max-[700px]:px-3">
        <ol
          aria-label="Exercises, in order of difficulty"
          tabIndex={0}
          className="w-[150px] shrink-0 overflow-auto border border-rule bg-slip max-[1000px]:flex max-[1000px]:min-h-14 max-[1000px]:w-full max-[1000px]:overflow-x-auto"
        >
          {data?.exercises.map((e) => (
            <li key={e.number} className="max-[1000px]:shrink-0">
              <button
                type="button"
                data-exercise={e.number}
                aria-current={e.number === number || undefined}
                onClick={() => go({ exercise: String(e.number) })}
                className="block min-h-11 w-full border-b border-rule px-3 py-1 text-left text-base leading-tight hover:bg-accent-wash aria-[current=true]:bg-accent-wash aria-[current=true]:font-bold"
              >
                {e.number} · {e.machine}
                <span className={`block text-sm font-normal ${e.solved ? "text-within" : "text-ink-soft"}`}>
                  {e.solved
                    ? "found"
                    : e.tries
                      ? `${e.tries} ${e.tries === 1 ? "try" : "tries"}`
                      : "not tried"}
                </span>
              </button>
            </li>
          ))}
        </ol>
        {data && said !== null && (
          <Play
            key={`${number} ${seed}`}
            number={number}
            seed={seed}
            onNext={() => go({ exercise: String(number + 1) })}
            last={number >= data.exercises.length}
          />
        )}
      </div>
    </div>
  );
}

function Play({
  number,
  seed,
  last,
  onNext,
}: {
  number: number;
  seed: number;
  last: boolean;
  onNext: () => void;
}) {
  const build = useBuild();
  const own = useMemo(
    () => (number === 0 ? { build: build.key, seed } : { build: "", seed: 1 }),
    [number, build.key, seed],
  );
  const { data, error } = useQuery({
    queryKey: ["exercise", number, own, number === 0 ? build.version : 0],
    queryFn: () => take(client.GET("/api/v1/trainer/{number}", { params: { path: { number }, query: own } })),
    staleTime: Infinity,
  });
  const [picked, setPicked] = useState<string[] | null>(null);
  const [range, setRange] = useState<Range | null>(null);
  const chosen = useMemo(() => picked ?? (data ? firstChoice(data.channels, undefined) : []), [picked, data]);
  const source = useMemo(
    () => ({
      key: ["exercise series", number, own],
      fetch: (channels: string[], r: Range, buckets: number) =>
        take(
          client.GET("/api/v1/trainer/{number}/series", {
            params: {
              path: { number },
              query: { ...own, channels: channels.join(), from_s: r.from, to_s: r.to, buckets },
            },
          }),
        ),
    }),
    [number, own],
  );
  if (error) return <p className="text-lg text-over">{reason(error)}</p>;
  if (!data) return <p className="text-ink-soft">One moment…</p>;
  return (
    <>
      <div
        tabIndex={0}
        role="region"
        aria-label="Its readings"
        className="min-w-0 flex-1 overflow-auto max-[1000px]:flex-none max-[1000px]:overflow-visible"
      >
        <p className="pb-2 text-lg">
          <b>{data.machine}</b> was built by its map and measured. Something is wrong at one joint: find
          which, and why.
        </p>
        <div className="border border-rule bg-slip px-2 py-1">
          <Pictures
            source={source}
            channels={data.channels}
            chosen={chosen}
            held={data.held}
            seconds={data.seconds}
            range={range}
            onRange={setRange}
            height={140}
          />
        </div>
        <div className="flex gap-4 py-2 max-[1150px]:flex-col">
          <div className="flex flex-1 flex-wrap content-start gap-4">
            <Plugs held={data.held} />
          </div>
          <div className="w-[216px] shrink-0 border border-rule bg-slip max-[1150px]:w-full">
            <Channels channels={data.channels} chosen={chosen} onChange={setPicked} />
          </div>
        </div>
        <Figures held={data.held} />
      </div>
      <Answer exercise={data} number={number} own={own} last={last} onNext={onNext} />
    </>
  );
}

function Answer({
  exercise,
  number,
  own,
  last,
  onNext,
}: {
  exercise: Exercise;
  number: number;
  own: { build: string; seed: number };
  last: boolean;
  onNext: () => void;
}) {
  const { say } = useWrite();
  const queries = useQueryClient();
  const [joint, setJoint] = useState("");
  const [why, setWhy] = useState("");
  const [seen, setSeen] = useState<string[]>([]);
  const [judged, setJudged] = useState<JudgedAnswer | null>(null);
  const at = { params: { path: { number }, query: own } };
  const look = async (ref: string) => {
    try {
      const found = await take(client.POST("/api/v1/trainer/{number}/seen", { ...at, body: { joint: ref } }));
      setSeen([found.text, ...seen.filter((s) => s !== found.text)]);
    } catch (e) {
      say(reason(e));
    }
  };
  const give = async () => {
    try {
      const body = { joint, reason: why, looks: seen.length };
      setJudged(await take(client.POST("/api/v1/trainer/{number}/answer", { ...at, body })));
      await queries.invalidateQueries({ queryKey: trainerKey });
    } catch (e) {
      say(reason(e));
    }
  };
  const right = judged?.right_joint && judged.right_reason;
  return (
    <aside
      aria-label="Your answer"
      tabIndex={0}
      className="w-[300px] shrink-0 overflow-auto border border-rule bg-slip p-3 max-[1000px]:w-full"
    >
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (joint && why) void give();
        }}
      >
        <fieldset>
          <legend className="text-md font-bold">Which joint?</legend>
          {exercise.joints.map((j) => (
            <div key={j.ref} className="flex items-center gap-2">
              <label className="flex min-h-9 flex-1 items-center gap-2 text-base leading-tight">
                <input
                  type="radio"
                  name="joint"
                  className="size-5 shrink-0"
                  checked={joint === j.ref}
                  onChange={() => setJoint(j.ref)}
                />
                {j.words}
                {j.port && <span className="text-sm text-ink-soft">{j.port}</span>}
              </label>
              <Button look="quiet" className="min-h-8 px-2 text-sm" onClick={() => void look(j.ref)}>
                Look<span className="sr-only"> at {j.words}</span>
              </Button>
            </div>
          ))}
        </fieldset>
        {seen.length > 0 && (
          <ul aria-live="polite" className="border-l-4 border-rule-strong pl-2 text-sm">
            {seen.slice(0, 3).map((s) => (
              <li key={s} className="py-0.5">
                {s}
              </li>
            ))}
          </ul>
        )}
        <fieldset>
          <legend className="text-md font-bold">Why?</legend>
          {exercise.reasons.map(([kind = "", words = ""]) => (
            <label key={kind} className="flex min-h-9 items-center gap-2 text-base leading-tight">
              <input
                type="radio"
                name="why"
                className="size-5 shrink-0"
                checked={why === kind}
                onChange={() => setWhy(kind)}
              />
              <span className="first-letter:uppercase">{words}</span>
            </label>
          ))}
        </fieldset>
        <Button look="main" type="submit" className="min-h-12" disabled={!joint || !why}>
          That is it
        </Button>
      </form>
      {judged && (
        <div
          role="status"
          data-judged={right ? "right" : "wrong"}
          className="mt-3 border-t-2 border-rule-strong pt-2"
        >
          <p className={`text-xl font-bold ${right ? "text-within" : "text-tight"}`}>
            {right
              ? "Found"
              : judged.right_joint
                ? "The joint is right, the reason is another"
                : judged.right_reason
                  ? "Such a fault it is, at another joint"
                  : "It is something else"}
          </p>
          <p className="text-base">
            {judged.joint}: {judged.reason}.
          </p>
          <ul className="list-disc pl-5 text-sm">
            {judged.numbers.map((n) => (
              <li key={n}>{n}</li>
            ))}
          </ul>
          {number > 0 && !last && (
            <Button className="mt-2" onClick={onNext}>
              The next one
            </Button>
          )}
        </div>
      )}
    </aside>
  );
}
