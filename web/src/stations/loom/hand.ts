import { useEffect, useRef, useState } from "react";

import type { Offers } from "../../api/client";
import { PickMachine, type Next, type Picked } from "../../state/loom/pick";

/** What is in hand on the Loom. Hits on plugs and sockets are decided in the order in which they come,
 * each by what is in hand then: a quick hand is not outrun by an answer on its way. */
export function useHand(offersOf: (held: Picked) => Promise<Offers | undefined>) {
  const [picked, setPicked] = useState<Picked | null>(null);
  const [opened, setOpened] = useState<Picked | null>(null);
  const held = useRef(picked);
  const turn = useRef(Promise.resolve());
  useEffect(() => {
    if (opened) held.current = opened;
  }, [opened]);

  /** As `hold`, while drawing: what a link opens. */
  const open = (next: Picked) => {
    setOpened(next);
    setPicked(next);
  };
  const hold = (next: Picked | null) => {
    held.current = next;
    setPicked(next);
  };
  const hit = (on: (machine: PickMachine) => Next, step: (next: Next) => void) => {
    const decide = async () => {
      for (;;) {
        const now = held.current;
        const offers = now ? await offersOf(now) : undefined;
        if (held.current === now) {
          step(on(new PickMachine(now, offers)));
          return;
        }
      }
    };
    // One that broke holds up none that follows.
    turn.current = turn.current.then(decide, decide);
  };
  return { picked, open, hold, hit, held };
}
