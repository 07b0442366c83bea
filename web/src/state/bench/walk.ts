import type { BenchStep } from "../../api/client";
import { doneWith, type Entry } from "./queue";

/** What is to be done after a tick or a look: an entry, the focus on what is left to look at, nothing.
 * `answer`: of a step that asks, which of its answers. */
export type Then =
  | { do: "add"; kind: "done" | "undone"; step: BenchStep; goTo: number | null; answer?: string }
  | { do: "look at"; id: string }
  | { do: "nothing" };

type State = { wanted: string; seen: Record<string, string[]> };

const NOTHING: Then = { do: "nothing" };
const nameOf = ({ step, of }: BenchStep) => `${step.id} ${of}`;

/**
 * Where one is among the steps, and what was looked at so far: a step is done when nothing of it is
 * left to look at. Kept here and told to the address: a key that follows on a key meets the next step
 * already.
 */
export class Walk {
  private state: State;
  private readonly listeners = new Set<() => void>();

  constructor(wanted: string) {
    this.state = { wanted, seen: {} };
  }

  readonly subscribe = (heard: () => void) => {
    this.listeners.add(heard);
    return () => this.listeners.delete(heard);
  };

  readonly snapshot = () => this.state;

  /** The place of the step that is shown: the wanted one, where one may be; else the first that is
   * open, else the last of the work. */
  at(steps: BenchStep[], pending: Entry[]): number {
    const { wanted } = this.state;
    const place = wanted ? steps.findIndex((s) => s.step.id === wanted) : -1;
    if (place !== -1 && this.mayBe(steps, place, pending)) return place;
    if (place !== -1) return this.gate(steps, pending);
    const open = steps.findIndex((s) => !doneWith(s, pending));
    return Math.max(0, open !== -1 ? open : steps.filter((s) => s.state !== "stands").length - 1);
  }

  /** The first step that nobody passes: it is open, and asks to look or to answer. */
  private gate(steps: BenchStep[], pending: Entry[]): number {
    const shut = ({ step }: BenchStep) => step.looks.length > 0 || step.answers.length > 0;
    const place = steps.findIndex((s) => !doneWith(s, pending) && shut(s));
    return place === -1 ? steps.length : place;
  }

  private mayBe(steps: BenchStep[], place: number, pending: Entry[]): boolean {
    const s = steps[place];
    return s !== undefined && (place <= this.gate(steps, pending) || doneWith(s, pending));
  }

  /** Goes to a step by its place, the nearest there is; its id. Nothing where what is open has
   * something to be looked at or answered before. */
  go(steps: BenchStep[], place: number, pending: Entry[]): string {
    const wanted = Math.min(steps.length - 1, Math.max(0, place));
    const to = steps[wanted];
    if (!to || !this.mayBe(steps, wanted, pending)) return "";
    return this.goOn(steps, wanted);
  }

  /** Goes on to a step by its place, the nearest there is, after the one before it was done; its id. */
  goOn(steps: BenchStep[], place: number): string {
    const id = steps[Math.min(steps.length - 1, place)]?.step.id ?? "";
    this.put({ ...this.state, wanted: id });
    return id;
  }

  /** What of a step was looked at. */
  seenOf(s: BenchStep): string[] {
    return this.state.seen[nameOf(s)] ?? [];
  }

  /** Ids of what is left to look at. */
  leftOf(s: BenchStep, pending: Entry[]): string[] {
    if (doneWith(s, pending)) return [];
    return s.step.looks.map((l) => l.id).filter((id) => !this.seenOf(s).includes(id));
  }

  /** The large button: what is left to look at comes first; what is done is not done after all. */
  tick(steps: BenchStep[], pending: Entry[], stopped: boolean): Then {
    const place = this.at(steps, pending);
    const now = steps[place];
    if (!now || stopped) return NOTHING;
    if (doneWith(now, pending)) return this.undo(now, null);
    if (now.step.answers.length) return NOTHING;
    const [first] = this.leftOf(now, pending);
    return first ? { do: "look at", id: first } : { do: "add", kind: "done", step: now, goTo: place + 1 };
  }

  /** One thing was looked at, or was not after all; the last of a step makes it done. */
  look(steps: BenchStep[], pending: Entry[], id: string): Then {
    const place = this.at(steps, pending);
    const now = steps[place];
    if (!now) return NOTHING;
    const before = this.seenOf(now);
    const seen = before.includes(id) ? before.filter((x) => x !== id) : [...before, id];
    this.see(now, seen);
    if (seen.length === now.step.looks.length) return { do: "add", kind: "done", step: now, goTo: place + 1 };
    const next = this.leftOf(now, pending).find((x) => x !== id);
    return before.includes(id) || !next ? NOTHING : { do: "look at", id: next };
  }

  /** A step that asks is answered: what comes next is another work by that. */
  answer(step: BenchStep, answer: string): Then {
    this.put({ ...this.state, wanted: "" });
    return { do: "add", kind: "done", step, goTo: null, answer };
  }

  /** A tick is taken back: all of it is to be looked at once more. */
  undo(s: BenchStep, goTo: number | null): Then {
    this.see(s, []);
    return { do: "add", kind: "undone", step: s, goTo };
  }

  private see(s: BenchStep, ids: string[]) {
    this.put({ ...this.state, seen: { ...this.state.seen, [nameOf(s)]: ids } });
  }

  private put(state: State) {
    this.state = state;
    for (const heard of this.listeners) heard();
  }
}

/** A key, where it was hit. */
export type Key = {
  key: string;
  /** With Control or the command key. */
  command: boolean;
  shift: boolean;
  alt: boolean;
  repeat: boolean;
  /** On a field to write in, or on a box, a button, a link, whose own Space is. */
  on: "page" | "field" | "control";
};

/** What a key does at the bench; null: it is not the bench's. */
export function keyDoes(
  k: Key,
): { do: "go"; by: 1 | -1 } | { do: "tick" | "press" | "take back" | "swallow" } | null {
  if (k.on === "field" || k.alt) return null;
  if (k.command) return k.key.toLowerCase() === "z" && !k.shift ? { do: "take back" } : null;
  if (k.key === "ArrowRight" || k.key === "ArrowDown") return { do: "go", by: 1 };
  if (k.key === "ArrowLeft" || k.key === "ArrowUp") return { do: "go", by: -1 };
  if (k.key === "PageUp") return { do: "go", by: -1 };
  // Pedals and presenters send it: it does what Space does, on what has the focus too.
  if (k.key === "PageDown" && !k.repeat) return { do: k.on === "control" ? "press" : "tick" };
  if (k.key === "PageDown") return { do: "swallow" };
  if (k.key !== " " || k.on === "control") return null;
  return { do: k.repeat ? "swallow" : "tick" };
}
