import { useQuery, useQueryClient } from "@tanstack/react-query";
import { createContext, useCallback, useContext, useMemo, useRef, useState, type ReactNode } from "react";

import { client, Problem, take, type Action, type BuildOut, type Doc, type Result, type RunState, type State, type WrittenOut } from "../api/client";
import { GivenUp } from "../ui/fields";
import { buildQuery, buildsKey } from "./queries";
import { merge } from "./merge";

/** Something that a write met and the builder has to decide. */
export type Question =
  | { kind: "stale"; problem: Problem; retry: (version: number) => Promise<BuildOut | null> }
  | { kind: "release"; problem: Problem; retry: () => Promise<BuildOut | null> };

interface BuildState {
  build: BuildOut;
  /** The result shown: of what is being typed while it is, else of the build. */
  result: Result;
  typing: boolean;
  state: State;
  /** The state in which runs are shown: idle where the build is shown asleep. */
  runState: RunState;
  setState: (s: State) => void;
  /**
   * Makes an edit; gives the build after it, or null where it did not go in. An edit that depends
   * on what the build holds is a function of it: it is asked when its turn comes.
   */
  act: (action: Action | ((now: Doc) => Action)) => Promise<BuildOut | null>;
  takeSupply: (slug: string) => Promise<BuildOut | null>;
  preview: (action: Action | null) => void;
  undo: () => Promise<BuildOut | null>;
  redo: () => Promise<BuildOut | null>;
  said: string;
  say: (text: string) => void;
  question: Question | null;
  /** Puts a question away, unless another has come since. */
  answered: (q: Question) => void;
  /** Drops what is being typed and fetches what the build holds. */
  giveUp: () => Promise<void>;
  reload: () => Promise<void>;
}

const Context = createContext<BuildState | null>(null);

export function useBuild(): BuildState {
  const found = useContext(Context);
  if (!found) throw new Error("useBuild outside a build");
  return found;
}

/** Loads a build and gives every station one way to read it and one way to write it. */
export function BuildProvider({ buildKey, children }: { buildKey: string; children: ReactNode }) {
  const queries = useQueryClient();
  const query = useQuery(buildQuery(buildKey));
  const [previewed, setPreviewed] = useState<Result | null>(null);
  const [state, setState] = useState<State>("full");
  const [said, say] = useState("");
  const [question, ask] = useState<Question | null>(null);
  const answered = useCallback((q: Question) => ask((now) => (now === q ? null : now)), []);
  const [givenUp, setGivenUp] = useState(0);
  const asked = useRef(0);
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  const reload = useCallback(async () => {
    await queries.invalidateQueries({ queryKey: buildQuery(buildKey).queryKey });
  }, [queries, buildKey]);

  const giveUp = useCallback(async () => {
    asked.current += 1;
    setPreviewed(null);
    await reload();
    setGivenUp((n) => n + 1);
  }, [reload]);

  const write = useCallback(
    (send: (version: number, release: boolean, doc: Doc) => Promise<WrittenOut>): Promise<BuildOut | null> => {
      const attempt = async (version: number | null, release: boolean): Promise<BuildOut | null> => {
        const now = queries.getQueryData<BuildOut>(buildQuery(buildKey).queryKey);
        if (!now) return null;
        try {
          const written = await send(version ?? now.version, release, now.doc);
          const after = merge(now, written);
          // Others wrote in between: what we hold is not what their writes changed.
          if (written.version - now.version > 1) await reload();
          else queries.setQueryData(buildQuery(buildKey).queryKey, after);
          asked.current += 1;
          setPreviewed(null);
          say("");
          void queries.invalidateQueries({ queryKey: buildsKey });
          return after;
        } catch (error) {
          if (!(error instanceof Problem)) throw error;
          if (error.kind === "stale")
            ask({ kind: "stale", problem: error, retry: (v) => attempt(v, release) });
          else if (error.kind === "would-release")
            ask({ kind: "release", problem: error, retry: () => attempt(null, true) });
          else say(error.message);
          return null;
        }
      };
      // One write at a time, in the order they were made, so that none is stale by our own doing.
      const result = queue.current.then(() => attempt(null, false));
      queue.current = result.catch(() => null);
      return result;
    },
    [queries, buildKey, reload],
  );

  const path = useMemo(() => ({ params: { path: { key: buildKey } } }), [buildKey]);

  const act = useCallback(
    (made: Action | ((now: Doc) => Action)) =>
      write((base_version, release, doc) => {
        const action = typeof made === "function" ? made(doc) : made;
        return take(
          client.POST("/api/v1/builds/{key}/actions", {
            ...path,
            body: { base_version, action: release ? withRelease(action) : action },
          }),
        );
      }),
    [write, path],
  );

  const takeSupply = useCallback(
    (slug: string) =>
      write((base_version, release) =>
        take(
          client.POST("/api/v1/builds/{key}/supply", { ...path, body: { base_version, slug, release } }),
        ),
      ),
    [write, path],
  );

  const undo = useCallback(
    () =>
      write((base_version) =>
        take(client.POST("/api/v1/builds/{key}/undo", { ...path, body: { base_version } })),
      ),
    [write, path],
  );
  const redo = useCallback(
    () =>
      write((base_version) =>
        take(client.POST("/api/v1/builds/{key}/redo", { ...path, body: { base_version } })),
      ),
    [write, path],
  );

  const preview = useCallback(
    (action: Action | null) => {
      const turn = (asked.current += 1);
      if (!action) {
        setPreviewed(null);
        return;
      }
      const now = queries.getQueryData<BuildOut>(buildQuery(buildKey).queryKey);
      void take(
        client.POST("/api/v1/builds/{key}/preview", {
          ...path,
          body: { base_version: now?.version ?? 0, action },
        }),
      )
        .then((found) => {
          if (turn === asked.current) setPreviewed(found.result);
        })
        .catch(() => undefined); // the commit says what is wrong; typing only looks ahead
    },
    [queries, buildKey, path],
  );

  if (query.isPending) return <p className="p-8 text-ink-soft">Opening the build…</p>;
  if (query.isError)
    return (
      <p role="alert" className="p-8">
        {query.error.message} <a className="underline text-accent" href="/">All builds</a>
      </p>
    );
  const build = query.data;
  return (
    <Context
      value={{
        build, result: previewed ?? build.result, typing: previewed !== null, state, setState,
        runState: state === "sleep" ? "idle" : state,
        act, takeSupply, preview, undo, redo, said, say, question, answered, giveUp, reload,
      }}
    >
      <GivenUp value={givenUp}>{children}</GivenUp>
    </Context>
  );
}

function withRelease(action: Action): Action {
  const loosens = ["change part", "take entry", "remove part", "change supply", "change cable", "remove cable"];
  return action.type && loosens.includes(action.type) ? ({ ...action, release: true } as Action) : action;
}
