import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";

import { client, take, type BenchStep } from "../../api/client";
import { useBuild } from "../../state/build/contexts";
import { BenchQueue, pendingIn, type Entry } from "../../state/bench/queue";
import { benchQuery } from "../../state/queries";

const WHO = "easy-tally bench who";
/** Milliseconds after which what could not be sent is tried again. */
const AGAIN = 4_000;

/** The work first, then what stands already. */
function inOrder(steps: BenchStep[]): BenchStep[] {
  return [...steps.filter((s) => s.state !== "stands"), ...steps.filter((s) => s.state === "stands")];
}

export type BenchState = ReturnType<typeof useBench>;

/** The plan of the open build, and one way to add to its record. */
export function useBench() {
  const { key, version } = useBuild();
  const queries = useQueryClient();
  const { queryKey } = benchQuery(key, version);
  const plan = useQuery(benchQuery(key, version));
  const kept = `easy-tally bench ${key}`;
  const [pending, setPending] = useState<Entry[]>(() => pendingIn(kept, localStorage));
  const [who, setWho] = useState(() => localStorage.getItem(WHO) ?? "");
  const queue = useMemo(
    () =>
      new BenchQueue(
        kept,
        localStorage,
        async (entries) => {
          const found = await take(
            client.POST("/api/v1/builds/{key}/bench", { params: { path: { key } }, body: { entries } }),
          );
          queries.setQueryData(benchQuery(key, found.version).queryKey, found);
        },
        setPending,
      ),
    [key, kept, queries],
  );
  useEffect(() => {
    const flush = () => void queue.flush();
    flush();
    const timer = setInterval(flush, AGAIN);
    window.addEventListener("online", flush);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", flush);
    };
  }, [queue]);
  const put = (entry: Omit<Entry, "uid" | "at" | "who">) => {
    const at = new Date().toISOString();
    const uid = globalThis.crypto.randomUUID?.() ?? `${at}-${Math.random()}`;
    void queue.add({ ...entry, uid, at, who });
  };
  const add = (step: BenchStep, kind: Entry["kind"], text = "", acts = kind === "done" ? step.acts : []) =>
    put({ step: step.step.id, kind, of: step.of, words: step.step.title, text, acts });
  /** Tell how the machine stands: not a step of any work. */
  const find = (place: string, words: string, acts: Entry["acts"]) =>
    put({ step: `found:${place}`.slice(0, 200), kind: "found", of: "", words, text: "", acts });
  const steps = useMemo(() => inOrder(plan.data?.steps ?? []), [plan.data]);
  const name = (text: string) => {
    localStorage.setItem(WHO, text);
    setWho(text);
  };
  const refresh = () => queries.invalidateQueries({ queryKey });
  return { plan: plan.data, error: plan.error, pending, steps, add, find, who, name, refresh };
}
