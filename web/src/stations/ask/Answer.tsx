import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { useNavigate } from "react-router";

import { client, reason, take, type QuestionOut, type VerdictOut, type WayOfAnswer } from "../../api/client";
import { before, isTold, isUnderWay, MARKS } from "../../state/ask/question";
import { useBuild, useWrite } from "../../state/build/contexts";
import { buildsKey } from "../../state/queries";
import { sentence } from "../../state/format";
import { Button } from "../../ui/button";
import { Menu, MenuItem } from "../../ui/menu";

interface Asked {
  asked: QuestionOut;
  /** Asks the same of another part in whose place it comes. */
  onInstead: (key: string) => void;
  onAgain: () => void;
}

/** The answer: whether it goes, six verdicts, what would make it go. */
export function Answer({ asked, onInstead, onAgain }: Asked) {
  const { answer } = asked;
  const head = useRef<HTMLHeadingElement>(null);
  const done = asked.state === "done" && answer !== null;
  useEffect(() => {
    if (done) head.current?.focus();
  }, [done, asked.id]);
  return (
    <article className="mt-4" data-question={asked.state}>
      <p className="text-md text-ink-soft">{asked.asked}</p>
      {asked.instead.length > 0 && <Instead asked={asked} onInstead={onInstead} />}
      {isUnderWay(asked) && (
        <p role="status" className="mt-3 text-lg">
          {asked.waits || "Working it out on the whole machine…"}
        </p>
      )}
      {(asked.state === "failed" || asked.state === "stopped") && (
        <p role="alert" className="mt-3 border-l-4 border-over bg-slip p-3 text-md font-semibold">
          {asked.error || "It was stopped."}{" "}
          <Button look="quiet" onClick={onAgain}>
            Ask again
          </Button>
        </p>
      )}
      {done && (
        <>
          <h2
            ref={head}
            tabIndex={-1}
            data-goes={answer.goes}
            className="mt-2 max-w-4xl text-title leading-snug font-bold outline-none! data-[goes='does_not_go_in']:text-over"
          >
            {sentence(answer.text)}
          </h2>
          {!asked.current && (
            <p role="status" className="mt-2 flex flex-wrap items-center gap-2 text-md text-tight">
              The build has changed since.
              <Button onClick={onAgain}>Ask again</Button>
            </p>
          )}
          <Doing asked={asked} at={0} main={answer.goes === "goes in"} />
          <ul className="mt-4 grid grid-cols-3 gap-3 max-[1000px]:grid-cols-2 max-[640px]:grid-cols-1">
            {answer.verdicts.map((v) => (
              <Verdict key={v.id} verdict={v} />
            ))}
          </ul>
          {asked.left_out.length > 0 && (
            <p className="mt-2 text-sm text-ink-soft">
              Left out of what was said: {asked.left_out.join(", ")}.
            </p>
          )}
          {answer.undecided && <p className="mt-2 text-md text-tight">{answer.undecided}</p>}
          {answer.ways.length > 0 && (
            <section className="mt-6">
              <h3 className="text-lg font-bold">What would make it go, the cheapest first</h3>
              <ol className="mt-2 grid gap-2">
                {answer.ways.map((w) => (
                  <Way key={w.at} way={w} asked={asked} />
                ))}
              </ol>
            </section>
          )}
        </>
      )}
    </article>
  );
}

function Instead({ asked, onInstead }: { asked: QuestionOut; onInstead: (key: string) => void }) {
  return (
    <div role="group" aria-label="Where it goes" className="mt-1 flex flex-wrap gap-1.5">
      {asked.instead.map((i) => (
        <button
          key={i.key}
          type="button"
          aria-pressed={i.taken}
          className="min-h-9 border border-rule-strong bg-slip px-3 text-base hover:bg-accent-wash aria-pressed:border-2 aria-pressed:border-accent aria-pressed:font-bold max-[700px]:min-h-11"
          onClick={() => !i.taken && onInstead(i.key)}
        >
          {i.words}
        </button>
      ))}
    </div>
  );
}

function Verdict({ verdict: v }: { verdict: VerdictOut }) {
  const m = MARKS[v.status] ?? { mark: "", look: "", words: v.status };
  const was = before(v);
  return (
    <li
      data-verdict={v.id}
      data-status={v.status}
      className="relative border border-rule bg-slip py-3 pr-3 pl-6"
    >
      <span className={`absolute inset-y-0 left-0 w-3 ${m.mark}`} aria-hidden="true" />
      <h3 className="flex flex-wrap items-baseline justify-between gap-x-3 text-md font-bold">
        {v.title}
        {!isTold(v) && <span className={m.look}>{m.words}</span>}
      </h3>
      {v.figure && <p className="mt-0.5 text-xl leading-tight font-bold">{sentence(v.figure)}</p>}
      {was && <p className="text-sm text-ink-soft">{sentence(was)}</p>}
      <p className="mt-1 text-base">{sentence(v.text)}</p>
      {v.schools.map((s) => (
        <p key={s} className="mt-1 text-base text-ink-soft">
          {s}
        </p>
      ))}
      {v.more.length > 0 && (
        <details className="mt-1.5">
          <summary className="min-h-6 cursor-pointer text-sm font-semibold text-accent max-[700px]:min-h-11">
            {v.more.length} more
          </summary>
          <ul className="mt-1 grid gap-1 text-base">
            {v.more.map((t, i) => (
              <li key={i}>{sentence(t)}</li>
            ))}
          </ul>
        </details>
      )}
    </li>
  );
}

function Way({ way, asked }: { way: WayOfAnswer; asked: QuestionOut }) {
  const mends = way.mends.map((m) => way.verdicts.find((v) => v.id === m)).filter((v) => v !== undefined);
  return (
    <li data-way={way.at} className="border border-rule bg-slip p-3">
      <p className="text-md font-semibold">{sentence(way.text)}</p>
      <p className="mt-0.5 text-base text-ink-soft">
        {sentence(
          mends.map((v) => `${v.title.toLowerCase()}: ${v.figure || MARKS[v.status]?.words}`).join("; "),
        )}
        {" · "}
        {way.price.text}
        {" · "}
        {way.overall.text}
      </p>
      <Doing asked={asked} at={way.at} />
    </li>
  );
}

/** What can be done with an answer: take it, keep it as a variant, work it, print it, send it. */
function Doing({ asked, at, main = false }: { asked: QuestionOut; at: number; main?: boolean }) {
  const build = useBuild();
  const { reload, say } = useWrite();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const path = { key: build.key, id: asked.id };
  const takeIt = useMutation({
    mutationFn: (to: string) =>
      take(
        client.POST("/api/v1/builds/{key}/questions/{id}/take", {
          params: { path },
          body: { base_version: build.version, at },
        }),
      ).then(() => to),
    onSuccess: async (to) => {
      await Promise.all([reload(), queries.invalidateQueries({ queryKey: buildsKey })]);
      await navigate(`/b/${build.key}/${to}`);
    },
    onError: (error) => say(reason(error)),
  });
  const variant = useMutation({
    mutationFn: () =>
      take(
        client.POST("/api/v1/builds/{key}/questions/{id}/variant", {
          params: { path },
          body: { at, name: "" },
        }),
      ),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: buildsKey });
      await navigate(`/compare?of=${build.key},${made.key}`);
    },
    onError: (error) => say(reason(error)),
  });
  const file = (kind: string) => `/api/v1/builds/${build.key}/questions/${asked.id}/answer.${kind}?at=${at}`;
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <Button
        look={main ? "main" : "plain"}
        disabled={takeIt.isPending || !asked.current}
        onClick={() => takeIt.mutate("parts")}
      >
        {at ? "Take it so" : "Take it into the build"}
      </Button>
      <Button disabled={variant.isPending} onClick={() => variant.mutate()}>
        Make it a variant
      </Button>
      <Menu label="More">
        <MenuItem onSelect={() => asked.current && takeIt.mutate("bench")}>Make it the work order</MenuItem>
        <MenuItem onSelect={() => window.location.assign(file("pdf"))}>Print it, PDF</MenuItem>
        <MenuItem onSelect={() => window.location.assign(file("html"))}>
          Send it: one file that opens anywhere
        </MenuItem>
      </Menu>
    </div>
  );
}
