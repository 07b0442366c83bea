type Acts = string[][];

/** A socket, or the supply end of a cable, with what may be found there. */
export type Place = {
  place: string;
  words: string;
  wanted: string;
  choices: { id: string; words: string; acts: Acts }[];
};

/** Ids of the answers that say that nothing is there, or that nobody sees. */
export const NOTHING = "nothing";
export const NOT_SEEN = "unseen";

/** One thing that is told of a machine as it stands: where, in words, and the acts. */
export type Told = { place: string; words: string; acts: Acts };

/**
 * A machine that is taken over socket by socket: which place one is at, and what was said of each.
 * The supply ends follow, of the cables that were found in a socket alone.
 */
export class Taking {
  readonly said = new Map<string, string>();

  constructor(private readonly all: Place[]) {}

  /** The places to be looked at, as far as one knows by now. */
  places(): Place[] {
    const used = new Set([...this.said.values()].map((id) => id.split("/")[0]));
    return this.all.filter(({ place }) => !place.endsWith(">") || used.has(place.slice(0, -1)));
  }

  /** Say what is at a place. */
  say(place: string, choice: string): void {
    this.said.set(place, choice);
  }

  /** How many are as the build has them, otherwise, not seen, and not said. */
  counts(): { like: number; other: number; unseen: number; left: number } {
    const counts = { like: 0, other: 0, unseen: 0, left: 0 };
    for (const { place, wanted } of this.places()) {
      const said = this.said.get(place);
      if (said === undefined) counts.left += 1;
      else if (said === NOT_SEEN) counts.unseen += 1;
      else if (said === wanted) counts.like += 1;
      else counts.other += 1;
    }
    return counts;
  }

  /** All that was said, in its order; what was not said is not seen. */
  told(): Told[] {
    return this.places().flatMap((p) => {
      const id = this.said.get(p.place) ?? NOT_SEEN;
      const choice = p.choices.find((c) => c.id === id);
      return choice?.acts.length
        ? [{ place: p.place, words: `${p.words}: ${choice.words}`, acts: choice.acts }]
        : [];
    });
  }
}
