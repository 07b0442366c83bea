import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo, useState, type ReactNode } from "react";

import { client, take, type Action, type BuildOut, type Result, type State } from "../../api/client";
import { GivenUp } from "../../ui/fields";
import { buildQuery, buildsKey } from "../queries";
import {
  BuildContext,
  QuestionContext,
  ResultContext,
  SaidContext,
  ShownContext,
  WriteContext,
} from "./contexts";
import { forgetAnswers } from "./answers";
import { Lookahead } from "./lookahead";
import { useNews } from "./news";
import { lastThrown } from "../thrown";
import { Writer, type Posts, type Question } from "./writer";

/** Loads a build and gives every station one way to read it and one way to write it. */
export function BuildProvider({ buildKey, children }: { buildKey: string; children: ReactNode }) {
  const query = useQuery(buildQuery(buildKey));
  const [previewed, setPreviewed] = useState<Result | null>(null);
  const [state, setState] = useState<State>("full");
  const [said, say] = useState("");
  const [question, ask] = useState<Question | null>(null);
  const [givenUp, setGivenUp] = useState(0);
  const write = useWriting(buildKey, setPreviewed, setGivenUp, say, ask);
  const shown = useMemo(
    () => ({ state, setState, runState: state === "sleep" ? "idle" : state }) as const,
    [state],
  );
  const asked = useMemo(
    () => ({ question, answered: (q: Question) => ask((now) => (now === q ? null : now)) }),
    [question],
  );
  const build = query.data;
  useNews(buildKey);
  const result = useMemo(
    () => (build ? { result: previewed ?? build.result, typing: previewed !== null } : null),
    [build, previewed],
  );

  if (query.isPending) return <p className="p-8 text-ink-soft">Opening the build…</p>;
  // An answer that stays away takes nothing from what is held.
  if (!build)
    return (
      <p role="alert" className="p-8">
        {query.error?.message}{" "}
        <a className="text-accent underline" href="/">
          All builds
        </a>
      </p>
    );
  return (
    <BuildContext value={build}>
      <ResultContext value={result}>
        <ShownContext value={shown}>
          <WriteContext value={write}>
            <SaidContext value={said}>
              <QuestionContext value={asked}>
                <GivenUp value={givenUp}>{children}</GivenUp>
              </QuestionContext>
            </SaidContext>
          </WriteContext>
        </ShownContext>
      </ResultContext>
    </BuildContext>
  );
}

/** The writer and the look ahead of one build, made once. */
function useWriting(
  buildKey: string,
  show: (result: Result | null) => void,
  setGivenUp: (count: (n: number) => number) => void,
  say: (text: string) => void,
  ask: (question: Question) => void,
) {
  const queries = useQueryClient();
  return useMemo(() => {
    const { queryKey } = buildQuery(buildKey);
    const held = () => queries.getQueryData<BuildOut>(queryKey);
    const reload = async () => {
      await queries.invalidateQueries({ queryKey });
    };
    const ahead = new Lookahead((action: Action) => previewOf(buildKey, held()?.version ?? 0, action), show);
    const writer = new Writer(postsOf(buildKey), {
      held,
      hold: (build) => queries.setQueryData(queryKey, build),
      reload,
      wrote: () => {
        void forgetAnswers(buildKey);
        ahead.drop();
        say("");
        lastThrown.forget();
        void queries.invalidateQueries({ queryKey: buildsKey });
      },
      ask,
      say,
    });
    const giveUp = async () => {
      ahead.drop();
      await reload();
      setGivenUp((n) => n + 1);
    };
    const { act, takeSupply, undo, redo } = writer;
    return { act, takeSupply, undo, redo, preview: ahead.ask, say, giveUp, reload };
  }, [buildKey, queries, show, setGivenUp, say, ask]);
}

async function previewOf(key: string, base_version: number, action: Action): Promise<Result> {
  const found = await take(
    client.POST("/api/v1/builds/{key}/preview", {
      params: { path: { key } },
      body: { base_version, action },
    }),
  );
  return found.result;
}

function postsOf(key: string): Posts {
  const params = { path: { key } };
  return {
    act: (base_version, action) =>
      take(client.POST("/api/v1/builds/{key}/actions", { params, body: { base_version, action } })),
    takeSupply: (base_version, slug, release) =>
      take(client.POST("/api/v1/builds/{key}/supply", { params, body: { base_version, slug, release } })),
    undo: (base_version) =>
      take(client.POST("/api/v1/builds/{key}/undo", { params, body: { base_version } })),
    redo: (base_version) =>
      take(client.POST("/api/v1/builds/{key}/redo", { params, body: { base_version } })),
  };
}
