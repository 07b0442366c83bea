import createClient from "openapi-fetch";

import type { components, paths } from "./schema";

/** Everything that the server always sends, though the declaration gives it a default. */
export type Whole<T> = T extends Blob
  ? T
  : T extends (infer E)[]
    ? Whole<E>[]
    : T extends object
      ? { [K in keyof T]-?: Whole<T[K]> }
      : T;

type Schemas = components["schemas"];
export type Doc = Whole<Schemas["Build"]>;
export type Part = Doc["parts"][number];
export type Supply = Whole<Schemas["Supply"]>;
export type Cable = Whole<Schemas["Cable"]>;
export type Socket = Whole<Schemas["Socket"]>;
export type Figure = Whole<Schemas["Figure"]>;
export type Amount = Whole<Schemas["Amount"]>;
export type Result = Whole<Schemas["Compact"]>;
export type Lane = Whole<Schemas["Lane"]>;
export type PlugAnswer = Whole<Schemas["PlugAnswer"]>;
export type SocketAnswer = Whole<Schemas["SocketAnswer"]>;
export type Element = Whole<Schemas["ElementAnswer"]>;
export type Mend = Whole<Schemas["Mend"]>;
export type FindOut = Whole<Schemas["FindOutAnswer"]>;
export type Offers = Whole<Schemas["Offers"]>;
export type Offer = Whole<Schemas["Offer"]>;
export type Row = Whole<Schemas["RowAnswer"]>;
export type Candidate = Whole<Schemas["CandidateOut"]>;
export type SupplyAnswer = Whole<Schemas["SupplyAnswer"]>;
export type Reference = Whole<Schemas["ReferenceOut"]>;
export type FieldOf = Reference["fields"][string][number];
export type SpikeRow = Whole<Schemas["SpikeRowAnswer"]>;
export type Found = Whole<Schemas["FoundOut"]>;
export type FileChange = Whole<Schemas["Change"]>;
export type Onward = Whole<Schemas["OnwardAnswer"]>;
export type MapOut = Whole<Schemas["MapOut"]>;
export type MapAnswer = Whole<Schemas["MapAnswer"]>;
/** What a map is asked for: what of the build, and how much may change. */
export type MapWish = Schemas["Wish"];
export type BenchPlan = Whole<Schemas["PlanOut"]>;
export type BenchStep = BenchPlan["steps"][number];
export type ReadingsOut = Whole<Schemas["ReadingsOut"]>;
export type TakenOut = Whole<Schemas["TakenOut"]>;
export type ChannelWords = Whole<Schemas["ChannelWords"]>;
export type HeldAnswer = Whole<Schemas["HeldAnswer"]>;
export type DrawnOut = Whole<Schemas["DrawnOut"]>;
export type InBin = Whole<Schemas["InBin"]>;
export type SettledOut = Whole<Schemas["SettledOut"]>;
export type ReadingJob = Whole<Schemas["ReadingOut"]>;
export type Exercise = Whole<Schemas["PlayedOut"]>;
export type JudgedAnswer = Whole<Schemas["Judged"]>;
export type Between = Whole<Schemas["BetweenAnswer"]>;
export type Fit = Whole<Schemas["FitAnswer"]>;
export type Room = Fit["checks"][number];
export type Shape = Fit["shapes"][number];
export type Sizes = Whole<Schemas["SizesAnswer"]>;
export type Week = Whole<Schemas["WeekAnswer"]>;
export type Thing = Whole<Schemas["ThingOut"]>;
export type LooseOut = Whole<Schemas["LooseOut"]>;
export type SaidOut = Whole<Schemas["SaidOut"]>;
export type PutIn = Schemas["PutIn"];
export type Case = NonNullable<Doc["case"]>;
export type Header = Whole<Schemas["Header"]>;
export type Line = Schemas["LineOut"];
export type Said = Whole<Schemas["EntryOut"]>;
export type Heard = Whole<Schemas["SayOut"]>;
export type QuestionOut = Whole<Schemas["QuestionOut"]>;
export type VerdictOut = Whole<Schemas["VerdictAnswer"]>;
export type WayOfAnswer = Whole<Schemas["WayAnswer"]>;
export type Compared = Whole<Schemas["ComparedAnswer"]>;
export type SchoolOut = Whole<Schemas["SchoolOut"]>;
export type SchoolsState = Whole<Schemas["SchoolsState"]>;
export type Moment = Whole<Schemas["MomentOut"]>;
export type BuildCard = Whole<Schemas["BuildCard"]>;
export type BuildOut = Whole<Schemas["BuildOut"]>;
export type Here = Whole<Schemas["HereOut"]>;
export type News = Whole<Schemas["NewsOut"]>;
export type Door = Whole<Schemas["DoorOut"]>;
export type WrittenOut = Whole<Schemas["WrittenOut"]>;
export type Action = Schemas["ActIn"]["action"];
export type State = keyof Result["strip"]["watts"] & ("sleep" | "idle" | "everyday" | "full" | "start");
/** A state in which runs are judged; asleep nothing flows but on standby. */
export type RunState = Exclude<State, "sleep">;
export type Verdict = Lane["verdict"];
export const STATES: State[] = ["sleep", "idle", "everyday", "full", "start"];

/** A problem+json answer, as an error that can be shown. */
export class Problem extends Error {
  constructor(
    readonly kind: string,
    readonly title: string,
    detail: string,
    readonly problems: { field: string; required: string; got: string }[] = [],
    readonly conflicts: { path: string; yours: unknown; theirs: unknown }[] = [],
    readonly released: string[] = [],
    readonly version = 0,
  ) {
    super(detail);
  }
}

/** What went wrong, in words. */
export function reason(error: unknown): string {
  return error instanceof Error ? error.message : "The server does not answer.";
}

/** The most that is sent at once, in characters of a text or bytes of a picture: the server's own
 * bounds, told before anything is sent. */
export const MOST = { build: 4_000_000, csv: 2_000_000, photo: 12_000_000 };

/** Refuses a file that is larger than what is taken. */
export function seeSize(file: File, most: number) {
  if (file.size > most)
    throw new Problem(
      "too-large",
      "Too large",
      `${file.name} has ${(file.size / 1e6).toFixed(1)} MB; at most ${most / 1e6} MB are taken. Nothing was sent.`,
    );
}

/** The text of a file that is not larger than what is taken. */
export async function textOf(file: File, most: number): Promise<string> {
  seeSize(file, most);
  return file.text();
}

function cookie(name: string): string {
  const found = document.cookie.split("; ").find((c) => c.startsWith(name + "="));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : "";
}

export const client = createClient<paths>({ baseUrl: "/" });
client.use({
  onRequest({ request }) {
    request.headers.set("X-CSRFToken", cookie("csrftoken"));
    return request;
  },
});

/** What is sent as a form, files among it. */
export function asForm(body: Record<string, string | number | boolean | Blob | string[]>): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(body))
    if (Array.isArray(value)) for (const one of value) form.append(name, one);
    else form.set(name, value instanceof Blob ? value : String(value));
  return form;
}

/** Unwrap an answer, or throw the Problem that came instead. */
export async function take<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<Whole<T>> {
  let answer;
  try {
    answer = await call;
  } catch {
    throw new Problem("offline", "No answer", "The server does not answer. Is it still running?");
  }
  if (answer.data !== undefined || answer.response.ok) return answer.data as Whole<T>;
  const body = (answer.error ?? {}) as Record<string, never>;
  throw new Problem(
    String(body["type"] ?? "").replace("urn:easy-tally:", ""),
    body["title"] ?? "That did not work",
    body["detail"] ?? `The server answered ${answer.response.status}.`,
    body["problems"],
    body["conflicts"],
    body["released"],
    body["version"],
  );
}
