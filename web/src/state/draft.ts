/** What a text is read as: a value, or what is wrong with it. */
export type Read<T> = { ok: true; value: T } | { ok: false; wrong: string };

/** What a field holds beside what is typed into it, at the moment. */
export type Beside<T> = {
  /** How often what is typed everywhere was given up for what the build holds. */
  era: number;
  /** What the build holds. */
  value: T;
  read: (text: string) => Read<T>;
};

type Typed = { text: string; era: number; refused: boolean; wrong: string };

/**
 * What is typed into a field and not taken yet. It is sent once, on Enter or when the field is
 * left; what is typed while it goes in stays; what was refused stays, to be mended, and goes again
 * on Enter alone.
 */
export class Draft<T> {
  private typed: Typed | null = null;
  private sent: string | null = null;
  private readonly listeners = new Set<() => void>();

  readonly subscribe = (heard: () => void) => {
    this.listeners.add(heard);
    return () => this.listeners.delete(heard);
  };

  /** Another object whenever something of it is another. */
  readonly snapshot = () => this.typed;

  /** The text that is not taken yet; null where the field shows what the build holds. */
  text({ era, value, read }: Beside<T>): string | null {
    if (!this.typed || this.typed.era !== era) return null;
    if (this.typed.refused) {
      const found = read(this.typed.text);
      if (found.ok && found.value === value) return null; // taken after all: the builder kept his
    }
    return this.typed.text;
  }

  /** What is wrong with it, once it was to be sent. */
  get wrong(): string {
    return this.typed?.wrong ?? "";
  }

  type(text: string, era: number) {
    this.put({ text, era, refused: this.typed?.refused === true && this.typed.text === text, wrong: "" });
  }

  drop() {
    this.put(null);
  }

  /** Sends it, where there is something new to send; `again`: although it was refused. */
  async commit(beside: Beside<T>, again: boolean, send: (value: T) => Promise<unknown>): Promise<void> {
    const text = this.text(beside);
    if (text === null || text === this.sent || (!again && this.typed?.refused)) return;
    const found = beside.read(text);
    if (!found.ok) return this.put({ text, era: beside.era, refused: false, wrong: found.wrong });
    if (found.value === beside.value && this.sent === null) return this.drop();
    this.sent = text;
    let done = false;
    try {
      done = Boolean(await send(found.value));
    } finally {
      if (this.sent === text) this.sent = null;
      if (this.typed?.text === text) this.put(done ? null : { ...this.typed, refused: true });
    }
  }

  private put(typed: Typed | null) {
    this.typed = typed;
    for (const heard of this.listeners) heard();
  }
}
