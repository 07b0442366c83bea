import type { components } from "../../api/schema";

export type Entry = components["schemas"]["EntryIn"];

/** Where what is not sent yet is kept: the browser's own store, or one of a test. */
export interface Store {
  getItem: (key: string) => string | null;
  setItem: (key: string, value: string) => void;
}

/** What is kept under a name and not sent yet. */
export function pendingIn(name: string, store: Store): Entry[] {
  try {
    const found: unknown = JSON.parse(store.getItem(name) ?? "[]");
    return Array.isArray(found) ? (found as Entry[]) : [];
  } catch {
    return [];
  }
}

/** What was done at the bench and is on its way. It is kept until the server has it: a connection
 * that drops, a page that is closed lose none. Sent again, an entry stands once, by its `uid`. */
export class BenchQueue {
  private sending = false;

  constructor(
    private readonly name: string,
    private readonly store: Store,
    private readonly post: (entries: Entry[]) => Promise<void>,
    private readonly changed: (pending: Entry[]) => void,
  ) {}

  pending = (): Entry[] => pendingIn(this.name, this.store);

  /** Keep an entry, and try to send all that is kept. */
  add(entry: Entry): Promise<boolean> {
    this.keep([...this.pending(), entry]);
    return this.flush();
  }

  /** Send what is kept; whether nothing is left. */
  async flush(): Promise<boolean> {
    if (this.sending) return false;
    this.sending = true;
    try {
      for (let left = this.pending(); left.length; left = this.pending()) {
        const some = left.slice(0, 100);
        await this.post(some);
        const sent = new Set(some.map((e) => e.uid));
        this.keep(this.pending().filter((e) => !sent.has(e.uid)));
      }
      return true;
    } catch {
      return false; // it stays kept, and is tried again
    } finally {
      this.sending = false;
    }
  }

  private keep(entries: Entry[]) {
    this.store.setItem(this.name, JSON.stringify(entries));
    this.changed(entries);
  }
}

/** A step as the server tells of it: `of` marks the very things that it is about. */
type Placed = { step: { id: string }; of: string; done: boolean };

/** Whether a step is done to the very things that it is about, with what is on its way. */
export function doneWith({ step, of, done }: Placed, pending: Entry[]): boolean {
  return pending
    .filter((e) => e.step === step.id && (!e.of || e.of === of))
    .reduce((now, e) => (e.kind === "done" ? true : e.kind === "undone" ? false : now), done);
}

/** Whether something of a step is on its way and not with the server yet. */
export function keptHere({ step, of }: Placed, pending: Entry[]): boolean {
  return pending.some((e) => e.step === step.id && (!e.of || e.of === of));
}

/** The step that was ticked last: of those done the one with the latest entry on its way, else the
 * latest time. */
export function lastTicked<S extends Placed & { at: string; state: string }>(
  steps: S[],
  pending: Entry[],
): S | undefined {
  const when = (s: S) => pending.filter((e) => e.step === s.step.id && e.kind === "done").at(-1)?.at ?? s.at;
  return steps
    .filter((s) => s.state !== "stands" && doneWith(s, pending))
    .reduce<S | undefined>((last, s) => (last && when(last) > when(s) ? last : s), undefined);
}
