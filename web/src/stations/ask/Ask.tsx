import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useId, useRef, useState } from "react";
import { useSearchParams } from "react-router";

import { client, reason, take, type QuestionOut } from "../../api/client";
import { isUnderWay, questionQuery, questionsQuery, shelfQuery } from "../../state/ask/question";
import { useBuild } from "../../state/build/contexts";
import { Button } from "../../ui/button";
import { StationHead } from "../frame/Head";
import { Answer } from "./Answer";

const EXAMPLES = ["a 450 W card, 16-pin, 358 x 149 x 72", "two 8 TB disks", "without the second card"];

/** What becomes of the machine by a change: one line, one page. */
export default function Ask() {
  const build = useBuild();
  const queries = useQueryClient();
  const [params, setParams] = useSearchParams();
  const id = Number(params.get("q") ?? 0);
  const { data: shown } = useQuery(questionQuery(build.key, id));
  const [text, setText] = useState("");
  const [open, setOpen] = useState<QuestionOut | null>(null);
  const line = useRef<HTMLInputElement>(null);
  const ask = useMutation({
    mutationFn: ({ text, instead = "" }: { text: string; instead?: string }) =>
      take(
        client.POST("/api/v1/builds/{key}/questions", {
          params: { path: { key: build.key } },
          body: { base_version: build.version, text, instead },
        }),
      ),
    onSuccess: (asked) => {
      if (!asked.id) return setOpen(asked);
      setOpen(null);
      queries.setQueryData(questionQuery(build.key, asked.id).queryKey, asked);
      void queries.invalidateQueries({ queryKey: ["questions", build.key] });
      setParams({ q: String(asked.id) });
    },
  });
  const go = (text: string, instead?: string) => {
    setText(text);
    ask.mutate({ text, ...(instead === undefined ? {} : { instead }) });
  };
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead title="Ask" note="what would it take?" />
      <div className="min-h-0 flex-1 overflow-auto px-6 pb-6 max-[700px]:px-3">
        <Line
          line={line}
          text={text}
          busy={ask.isPending || isUnderWay(shown)}
          onText={setText}
          onAsk={() => go(text)}
        />
        {ask.error && (
          <p role="alert" className="mt-2 border-l-4 border-over bg-slip p-3 font-semibold text-over">
            {reason(ask.error)}
          </p>
        )}
        {open ? (
          <Open asked={open} onAnswer={go} />
        ) : shown ? (
          <Answer asked={shown} onInstead={(key) => go(shown.text, key)} onAgain={() => go(shown.text)} />
        ) : (
          <Begin onAsk={go} />
        )}
        <Before now={id} onAgain={(text) => go(text)} />
      </div>
    </div>
  );
}

function Line({
  line,
  text,
  busy,
  onText,
  onAsk,
}: {
  line: React.RefObject<HTMLInputElement | null>;
  text: string;
  busy: boolean;
  onText: (text: string) => void;
  onAsk: () => void;
}) {
  const id = useId();
  const build = useBuild();
  const { data: names = [] } = useQuery(shelfQuery(build.key));
  useEffect(() => line.current?.focus(), [line]);
  return (
    <form
      className="flex gap-2 max-[500px]:flex-col"
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim()) onAsk();
      }}
    >
      <label htmlFor={id} className="sr-only">
        What would you change?
      </label>
      <input
        id={id}
        ref={line}
        data-line
        list={`${id}-names`}
        autoComplete="off"
        enterKeyHint="go"
        maxLength={400}
        placeholder={`What would you change? ${EXAMPLES[0]}`}
        value={text}
        onChange={(e) => onText(e.target.value)}
        onKeyDown={(e) => e.key === "Escape" && onText("")}
        className="h-12 min-w-0 flex-1 max-[500px]:flex-none border-2 border-accent bg-slip px-4 text-lg placeholder:text-ink-soft"
      />
      <datalist id={`${id}-names`}>
        {names.map((n) => (
          <option key={n} value={n} />
        ))}
      </datalist>
      <Button look="main" type="submit" className="min-h-12 px-6 text-md" disabled={busy || !text.trim()}>
        Ask
      </Button>
    </form>
  );
}

function Begin({ onAsk }: { onAsk: (text: string) => void }) {
  return (
    <section className="mt-5 max-w-3xl">
      <p className="text-lg">
        A card, a supply, a case, disks, a part less, a card held to so many watts: said as you would say it,
        several at once with “and”. The answer tells what it would take: watts, leads, room, air, cost, work.
      </p>
      <ul className="mt-3 grid justify-items-start gap-2">
        {EXAMPLES.map((text) => (
          <li key={text}>
            <Button className="text-md max-[700px]:whitespace-normal" onClick={() => onAsk(text)}>
              {text}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What has to be answered first. It takes the focus, so that an answer is one key away. */
function Open({ asked, onAnswer }: { asked: QuestionOut; onAnswer: (text: string) => void }) {
  const first = useRef<HTMLDivElement>(null);
  useEffect(() => first.current?.querySelector("button")?.focus(), [asked]);
  return (
    <div
      ref={first}
      role="group"
      aria-label="To be answered first"
      className="mt-5 border-2 border-ink bg-slip p-4"
    >
      <p className="text-lg font-semibold">{asked.question}</p>
      {asked.unknown.length > 0 && (
        <p className="mt-1 text-md text-ink-soft">
          Not understood: {asked.unknown.map((w) => `“${w}”`).join(", ")}.
        </p>
      )}
      <ul className="mt-3 grid justify-items-start gap-2">
        {asked.choices.map((c) => (
          <li key={c}>
            <Button className="min-h-11 text-md max-[700px]:whitespace-normal" onClick={() => onAnswer(c)}>
              {c}
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What was asked before: a question again by a tap. */
function Before({ now, onAgain }: { now: number; onAgain: (text: string) => void }) {
  const build = useBuild();
  const { data = [] } = useQuery(questionsQuery(build.key, build.version));
  const others = data.filter((q) => q.id !== now);
  if (others.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="text-md font-bold">Asked before</h2>
      <ul className="mt-1 max-w-3xl">
        {others.map((q) => (
          <li key={q.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            <button
              type="button"
              className="min-h-8 text-left text-md underline decoration-dotted underline-offset-4 hover:bg-accent-wash"
              onClick={() => onAgain(q.text)}
            >
              {q.text}
            </button>
            <span className="text-sm text-ink-soft">
              {q.goes || "not answered"}
              {q.current ? "" : ", of the build as it was"}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
