import { useQuery, useQueryClient, type QueryClient } from "@tanstack/react-query";
import { createStore, del, get, keys, set } from "idb-keyval";
import { useEffect, useMemo, useState } from "react";

import { asForm, client, Problem, take, type BenchStep } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { BenchQueue, pendingIn, type Entry } from "../../state/bench/queue";
import { PhotoQueue, type Shelf, type Shot } from "../../state/bench/photos";
import { useHere } from "../../state/frame/here";
import { benchQuery } from "../../state/queries";
import type { OnPhoto } from "./Photos";
import { useKept } from "./useKept";

const WHO = "easy-tally bench who";
/** Milliseconds after which what could not be sent is tried again. */
const AGAIN = 4_000;

const photoStore = createStore("easy-tally photos", "shots");
const SHELF: Shelf = {
  keys: async () => (await keys(photoStore)).map(String),
  get: (key) => get<Shot>(key, photoStore),
  set: (key, shot) => set(key, shot, photoStore),
  del: (key) => del(key, photoStore),
};

/** Whether the server took it; false where it does not answer. */
async function sendPhoto(shot: Shot, queries: QueryClient): Promise<boolean> {
  const { build: key, step, places, file } = shot;
  try {
    await take(
      client.POST("/api/v1/builds/{key}/photos", {
        params: { path: { key } },
        body: { step, photo: file as File, places: [...places] },
        bodySerializer: asForm,
      }),
    );
  } catch (error) {
    if (error instanceof Problem && error.kind === "offline") return false;
    throw error;
  }
  await queries.invalidateQueries({ queryKey: ["bench", key] });
  return true;
}

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
  const [photosKept, setPhotosKept] = useState(0);
  const photos = useMemo(
    () => new PhotoQueue(key, SHELF, (shot) => sendPhoto(shot, queries), setPhotosKept),
    [key, queries],
  );
  useKept(key, version, plan.data);
  useEffect(() => {
    const flush = () => {
      void queue.flush();
      void photos.flush();
    };
    flush();
    const timer = setInterval(flush, AGAIN);
    window.addEventListener("online", flush);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", flush);
    };
  }, [queue, photos]);
  const here = useHere();
  const { say } = useWrite();
  const put = (entry: Omit<Entry, "uid" | "at" | "who">) => {
    if (here.allows === "look") return say("This device only looks on.");
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
  const photo: OnPhoto = (step, places, file) => photos.add({ build: key, step, places, file });
  return {
    photo,
    photosKept,
    plan: plan.data,
    error: plan.error,
    pending,
    steps,
    add,
    find,
    who,
    name,
    refresh,
  };
}
