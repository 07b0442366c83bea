import type { BenchStep } from "../../api/client";
import { doneWith, type Entry } from "./queue";

/** What is to be done after a tick or a look: an entry, the focus on what is left to look at, nothing. */
export type Then =
  | { do: "add"; kind: "done" | "undone"; step: BenchStep; goTo: number | null }
  | { do: "look at"; id: string }
  | { do: "nothing" };

type State = { wanted: string; seen: Record<string, string[]> };

const NOTHING: Then = { do: "nothing" };
const nameOf = ({ step }: BenchStep) => `${step.id} ${step.of}`;

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

  /** The place of the step that is shown: the wanted one, else the first that is open, else the last. */
  at(steps: BenchStep[], pending: Entry[]): number {
    const { wanted } = this.state;
    const open = steps.findIndex((s) => !doneWith(s.step, s.done, pending));
    const place = wanted ? steps.findIndex((s) => s.step.id === wanted) : open;
    return Math.max(0, wanted || open !== -1 ? place : steps.length - 1);
  }

  /** Goes to a step by its place, the nearest there is; its id. */
  go(steps: BenchStep[], place: number): string {
    const to = steps[Math.min(steps.length - 1, Math.max(0, place))];
    if (!to) return "";
    this.put({ ...this.state, wanted: to.step.id });
    return to.step.id;
  }

  /** What of a step was looked at. */
  seenOf(s: BenchStep): string[] {
    return this.state.seen[nameOf(s)] ?? [];
  }

  /** Ids of what is left to look at. */
  leftOf(s: BenchStep, pending: Entry[]): string[] {
    if (doneWith(s.step, s.done, pending)) return [];
    return s.step.looks.map((l) => l.id).filter((id) => !this.seenOf(s).includes(id));
  }

  /** The large button: what is left to look at comes first; what is done is not done after all. */
  tick(steps: BenchStep[], pending: Entry[], stopped: boolean): Then {
    const place = this.at(steps, pending);
    const now = steps[place];
    if (!now || stopped) return NOTHING;
    if (doneWith(now.step, now.done, pending)) return this.undo(now, null);
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
