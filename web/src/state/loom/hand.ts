import type { Action, Offer, Offers, SocketAnswer } from "../../api/client";
import { PickMachine, type Next, type Picked } from "./pick";

/**
 * What is in hand on the Loom. Hits on plugs and sockets are decided in the order in which they come,
 * each by what is in hand then: a quick hand is not outrun by an answer on its way.
 */
export class Hand {
  private turn: Promise<void> = Promise.resolve();
  private followed = "";
  private readonly listeners = new Set<() => void>();

  constructor(private picked: Picked | null = null) {}

  readonly subscribe = (heard: () => void) => {
    this.listeners.add(heard);
    return () => this.listeners.delete(heard);
  };

  readonly held = () => this.picked;

  hold(next: Picked | null) {
    this.picked = next;
    for (const heard of this.listeners) heard();
  }

  /** Holds nothing, unless something else was picked since: it stays under the pointer then. */
  letGo(since: Picked | null): boolean {
    if (this.picked !== since) return false;
    this.hold(null);
    return true;
  }

  /** A link that leads to a socket without a plug picks it, once. */
  follow(place: string, isFed: boolean) {
    if (place === this.followed) return;
    this.followed = place;
    if (place.includes("#") && !isFed) this.hold({ kind: "socket", ref: place });
  }

  /** One end was hit: what follows is worked out when its turn comes, by what fits what is held. */
  hit(
    on: (machine: PickMachine) => Next,
    offersOf: (held: Picked) => Promise<Offers | undefined>,
    step: (next: Next) => void,
  ): Promise<void> {
    const decide = async () => {
      for (;;) {
        const now = this.picked;
        const offers = now ? await offersOf(now) : undefined;
        if (this.picked === now) return step(on(new PickMachine(now, offers)));
      }
    };
    // One that broke holds up none that follows.
    this.turn = this.turn.then(decide, decide);
    return this.turn;
  }
}

/** The edit that puts an offered plug in: it changes places with the one that is there, where that is
 * wished and another is. */
export function editOf(offer: Offer, swap: boolean, sockets: SocketAnswer[]): Action {
  const { cable, plug, half, at, ports } = offer;
  const there = sockets.find((s) => s.ref === offer.socket);
  const other = swap && there?.carrier && there.plug ? { cable: there.carrier, plug: there.plug } : null;
  return other && (other.cable !== cable || other.plug !== plug)
    ? { type: "swap plugs", cable, plug, other_cable: other.cable, other_plug: other.plug }
    : { type: "connect", cable, plug, half, socket: at, ports };
}
