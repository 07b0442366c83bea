import type { Action, MapAnswer, MapOut, MapWish } from "../../api/client";

/** What a map does to a cable, in a word. */
export const CHANGES: Record<string, string> = {
  changes: "changed",
  "comes in": "new",
  "goes out": "to its bag",
};

/** What the panel of a map says and offers. */
export type MapShown = {
  title: string;
  /** Of a map that is being made: how far it is. */
  progress: { done: number; of: number; words: string } | null;
  /** What went wrong, where it did. */
  error: string;
  /** Whether it is of the build as it was. */
  late: boolean;
  answer: MapAnswer | null;
  /** The edit that takes it, and the words on its button. */
  take: { edit: Action; words: string } | null;
  /** The wish to ask for once more. */
  again: MapWish | null;
  /** Whether it can be stopped, rather than left. */
  busy: boolean;
};

/** What there is to show of a map that was asked for, of a build at a version. */
export function mapShown(job: MapOut | undefined, version: number): MapShown {
  if (!job) return { ...NOTHING, title: "Mapping…" };
  const { state, wish } = job;
  if (state !== "none" && job.version !== version)
    return { ...NOTHING, title: "This map is of the build as it was", late: true, again: wish };
  if (state === "waiting" || state === "running") {
    const progress = { done: job.done, of: Math.max(1, job.of), words: progressWords(job) };
    return { ...NOTHING, title: "Mapping…", progress, busy: true };
  }
  if (state === "stopped") return { ...NOTHING, title: "Stopped; the map is as it was", again: wish };
  if (state === "failed")
    return { ...NOTHING, title: "It could not be mapped", error: job.error, again: wish };
  const { answer } = job;
  return answer ? { ...NOTHING, title: title(answer), answer, take: taking(answer) } : NOTHING;
}

const NOTHING: MapShown = {
  title: "No map is asked for",
  progress: null,
  error: "",
  late: false,
  answer: null,
  take: null,
  again: null,
  busy: false,
};

function taking({ edit, status }: MapAnswer): MapShown["take"] {
  return edit && { edit, words: status === "mapped" ? "Take this map" : "Take what can be fed" };
}

function progressWords(job: MapOut): string {
  if (job.of) return `${job.done} of ${job.of} goals brought down as far as they go`;
  if (job.state === "running") return "Looking at what fits";
  return job.waits ? "Waiting" : "Waiting for its turn";
}

function title(answer: MapAnswer): string {
  if (answer.status === "impossible") return "Not everything can be fed";
  if (answer.status === "not decided") return "Not decided: no whole map was found, and there may be one";
  if (answer.status === "nothing") return "There is nothing to map";
  return answer.proven ? "The best map, proven" : "The best map found so far";
}

/** What a map would do to each cable, by the cable's key; of a map of the build as it was nothing. */
export function movesByCable(job: MapOut | undefined, version: number): Map<string, string> {
  const { answer } = mapShown(job, version);
  return new Map(answer?.swaps.map((s) => [s.cable, s.does]));
}
