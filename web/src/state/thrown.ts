/** Something that was thrown away, in words, and what brings it back. */
export interface Thrown {
  words: string;
  back: () => Promise<unknown>;
}

/** What was thrown away last: undo brings it back, until something else is done. */
export class LastThrown {
  private now: Thrown | null = null;
  private readonly listeners = new Set<() => void>();

  current = (): Thrown | null => this.now;

  subscribe = (heard: () => void) => {
    this.listeners.add(heard);
    return () => void this.listeners.delete(heard);
  };

  /** Something was thrown away. */
  was = (thrown: Thrown) => this.set(thrown);

  /** Something else was done since. */
  forget = () => this.set(null);

  /** Bring it back; whether there was anything. */
  bringBack = (): boolean => {
    const thrown = this.now;
    if (!thrown) return false;
    this.set(null);
    void thrown.back();
    return true;
  };

  private set(thrown: Thrown | null) {
    if (thrown === this.now) return;
    this.now = thrown;
    this.listeners.forEach((heard) => heard());
  }
}

export const lastThrown = new LastThrown();
