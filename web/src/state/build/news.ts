import {
  queryOptions,
  useQuery,
  useQueryClient,
  type QueryClient,
  type QueryKey,
} from "@tanstack/react-query";
import { useEffect, useRef } from "react";

import { client, Problem, take, type BuildOut, type News } from "../../api/client";
import { hereQuery } from "../frame/here";
import { buildQuery, getBuild, readingsKey, recordQuery } from "../queries";
import { forgetAnswers } from "./answers";

/** Milliseconds between two looks: what another device does shows within two seconds. */
const EACH = 1_500;

export const newsQuery = (key: string) =>
  queryOptions({
    queryKey: ["news", key],
    queryFn: () => take(client.GET("/api/v1/news/{key}", { params: { path: { key } } })),
    refetchInterval: EACH,
    retry: false,
  });

/** What a look brings: which of what is held is out of date. */
export function stale(
  before: News | null,
  now: News,
  held: number,
): ("build" | "bench" | "readings" | "here")[] {
  const out: ReturnType<typeof stale> = [];
  if (now.version > held) out.push("build");
  if (before && before.bench !== now.bench) out.push("bench");
  if (before && before.readings !== now.readings) out.push("readings");
  if (before && before.allows !== now.allows) out.push("here");
  return out;
}

/** Whether a field holds what is typed and not taken yet. It is an edit of the build as it was when
 * the typing began: with a newer one in its place it would go in over what somebody else changed. */
const isTyping = () => document.querySelector("[data-draft=true]") !== null;

/** Takes the build as the server has it, unless something is being typed: then the next look does. */
async function renew(queries: QueryClient, key: string) {
  if (isTyping()) return;
  await forgetAnswers(key);
  const fresh = await getBuild(key).catch(() => null);
  const { queryKey } = buildQuery(key);
  const held = queries.getQueryData<BuildOut>(queryKey)?.version ?? 0;
  if (fresh && fresh.version > held && !isTyping()) queries.setQueryData(queryKey, fresh);
}

/** Since when the server has not answered, as the time of its last answer; "": it answers. */
export function useConnection(key: string): string {
  const { error, dataUpdatedAt, errorUpdatedAt } = useQuery(newsQuery(key));
  const off = error instanceof Problem && error.kind === "offline";
  return off ? new Date(dataUpdatedAt || errorUpdatedAt).toISOString() : "";
}

/** Looks by the second whether another window or device did something, and fetches that alone. */
export function useNews(key: string) {
  const queries = useQueryClient();
  const { data, dataUpdatedAt, error } = useQuery(newsQuery(key));
  const before = useRef<News | null>(null);
  useEffect(() => {
    if (!data) return;
    const held = queries.getQueryData<BuildOut>(buildQuery(key).queryKey)?.version ?? data.version;
    const keys = {
      bench: [["bench", key], recordQuery(key).queryKey],
      readings: [readingsKey(key)],
      here: [hereQuery.queryKey],
    };
    const differ = stale(before.current, data, held);
    if (differ.includes("build")) void renew(queries, key);
    for (const queryKey of differ.flatMap((one): QueryKey[] => (one === "build" ? [] : keys[one])))
      void queries.invalidateQueries({ queryKey });
    before.current = data;
    // By each look, and not by what differs: what one was typing under waits for the next.
  }, [data, dataUpdatedAt, key, queries]);
  useEffect(() => {
    // It was sent away, or the door was closed: nothing of the page answers any more.
    if (error instanceof Problem && error.kind === "not-let-in") window.location.assign("/in");
  }, [error]);
}
