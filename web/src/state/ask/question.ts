import { queryOptions } from "@tanstack/react-query";

import { client, take, type QuestionOut, type VerdictOut } from "../../api/client";

/** Whether an answer is still worked out. */
export const isUnderWay = (q: Pick<QuestionOut, "state"> | undefined) =>
  q?.state === "waiting" || q?.state === "running";

/** A question that was asked, looked at until its answer is there. */
export const questionQuery = (key: string, id: number) =>
  queryOptions({
    queryKey: ["question", key, id],
    enabled: id > 0,
    queryFn: () => take(client.GET("/api/v1/builds/{key}/questions/{id}", { params: { path: { key, id } } })),
    refetchInterval: (query) => (isUnderWay(query.state.data) ? 150 : false),
  });

export const questionsQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["questions", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/questions", { params: { path: { key } } })),
  });

/** What may be asked about by its name. */
export const shelfQuery = (key: string) =>
  queryOptions({
    queryKey: ["shelf", key],
    staleTime: 60_000,
    queryFn: () => take(client.GET("/api/v1/builds/{key}/shelf", { params: { path: { key } } })),
  });

/** How a verdict is marked: by a shape and a word, never by colour alone. */
export const MARKS: Record<string, { mark: string; look: string; words: string }> = {
  pass: { mark: "mark-within", look: "text-within", words: "goes" },
  warn: { mark: "mark-tight", look: "text-tight", words: "worth a look" },
  fail: { mark: "mark-over", look: "text-over", words: "does not go" },
  unknown: { mark: "mark-unknown", look: "text-unknown", words: "not known" },
};

/** What a verdict says of how it was before, where that tells something. */
export function before(v: VerdictOut): string {
  if (!v.now || v.now === v.figure) return v.was === v.status ? "" : `now: ${MARKS[v.was]?.words ?? v.was}`;
  return `now ${v.now}`;
}

/** Whether a verdict only tells something, and judges nothing: what it costs, what is to be done. */
export const isTold = (v: VerdictOut) => v.status === "pass" && (v.id === "cost" || v.id === "work");
