import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState, useSyncExternalStore } from "react";

import { reason, type Offer } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { editOf, Hand } from "../../state/loom/hand";
import { type Next, type Picked } from "../../state/loom/pick";
import { offersQuery } from "../../state/queries";

export type Picking = ReturnType<typeof usePicking>;

/** Picking both ends of a connection: what is in hand, what fits it, what a hit on an end does.
 * `place`: where a link leads; `choose`: shows a cable; `isLane`: whether one can be shown. */
export function usePicking(
  place: string,
  isFed: boolean,
  choose: (cable: string) => void,
  isLane: (cable: string) => boolean,
) {
  const build = useBuild();
  const { result } = useResult();
  const { act, say } = useWrite();
  const queries = useQueryClient();
  const [hand] = useState(() => new Hand());
  const picked = useSyncExternalStore(hand.subscribe, hand.held);
  const offers = useQuery(offersQuery(build.key, build.version, picked)).data?.offers;
  const [swap, setSwap] = useState(false);
  const [focus, setFocus] = useState("");
  useEffect(() => hand.follow(place, isFed), [hand, place, isFed]);

  /** What fits an end: a tap on the other one that comes before the answer waits for it. */
  const offersOf = async (held: Picked) => {
    try {
      return (await queries.fetchQuery(offersQuery(build.key, build.version, held))).offers;
    } catch (error) {
      say(reason(error));
      return undefined;
    }
  };
  const pick = (next: Picked) => {
    say("");
    hand.hold(next);
    if (next.kind === "plug") choose(next.cable);
  };
  const put = async (offer: Offer) => {
    const before = hand.held();
    const done = await act(editOf(offer, swap, result.sockets));
    if (done && hand.letGo(before)) {
      setFocus(offer.socket);
      setSwap(false);
      if (isLane(offer.cable)) choose(offer.cable);
    }
  };
  const step = (next: Next) => {
    if (next.do === "pick") pick(next.picked);
    else if (next.do === "drop") hand.hold(null);
    else if (next.do === "refuse") say(next.reason);
    else void put(next.offer);
  };
  return {
    picked,
    offers,
    swap,
    setSwap,
    /** The socket that has the focus back once its plug is in. */
    focus,
    hold: (next: Picked | null) => hand.hold(next),
    pick,
    put: (offer: Offer) => void put(offer),
    onPlug: (cable: string, plug: string) => void hand.hit((m) => m.hitPlug(cable, plug), offersOf, step),
    onSocket: (ref: string) => void hand.hit((m) => m.hitSocket(ref), offersOf, step),
    park: async (cable: string, plug: string) => {
      const before = hand.held();
      if (await act({ type: "park", cable, plug })) hand.letGo(before);
    },
    /** Leaves a socket that was picked, and gives it the focus back. */
    backTo: (ref: string) => {
      setFocus(ref);
      hand.hold(null);
    },
  };
}
