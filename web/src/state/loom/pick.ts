import type { Doc, Offer, Offers } from "../../api/client";
import type { Drawn } from "./lanes";

/** One end of a connection that is in hand. */
export type Picked = { kind: "socket"; ref: string } | { kind: "plug"; cable: string; plug: string };

/** What a click, a tap or Enter on one end does while the other end may be picked. */
export type Next =
  | { do: "pick"; picked: Picked }
  | { do: "drop" }
  | { do: "put"; offer: Offer }
  | { do: "refuse"; reason: string };

/** Drag, tap and keys drive the same machine: an end in hand, and what fits it. */
export class PickMachine {
  constructor(
    readonly picked: Picked | null,
    readonly offers: Offers | undefined,
  ) {}

  /** A socket was hit: put the picked plug there, or pick the socket. */
  hitSocket(ref: string): Next {
    if (this.picked?.kind === "plug") return this.settle((o) => o.socket === ref);
    return this.picked?.ref === ref ? { do: "drop" } : { do: "pick", picked: { kind: "socket", ref } };
  }

  /** A plug was hit: put it in the picked socket, or pick the plug. */
  hitPlug(cable: string, plug: string): Next {
    const match = (o: { cable: string; plug: string }) => o.cable === cable && o.plug === plug;
    if (this.picked?.kind === "socket") return this.settle(match);
    return this.picked && match(this.picked)
      ? { do: "drop" }
      : { do: "pick", picked: { kind: "plug", cable, plug } };
  }

  private settle(match: (o: Offer) => boolean): Next {
    const fits = this.offers?.fitting.find(match);
    if (fits) return { do: "put", offer: fits };
    const refused = this.offers?.refused.find(match);
    return { do: "refuse", reason: refused?.reason ?? "This end is no longer there; choose again." };
  }
}

/** What a click on a port of the panel does. */
export type PortNext =
  | { do: "choose"; cable: string }
  | { do: "plug in"; plugged: { cable: string; ports?: string[] } }
  | { do: "refuse"; reason: string }
  | { do: "nothing" };

/** A port was hit: what hangs in it is chosen; what is chosen goes into it, where it is free. */
export function portHit(port: string, free: boolean, runs: Doc["runs"], chosen: Drawn | null): PortNext {
  const run = runs.find((r) => r.ports.includes(port));
  if (run) return { do: "choose", cable: run.cable };
  if (!chosen) return { do: "nothing" };
  const { key, name, needs } = chosen.cable;
  if (free && needs.length === 1) return { do: "plug in", plugged: { cable: key, ports: [port] } };
  if (free && chosen.where === "bag") return { do: "plug in", plugged: { cable: key } };
  if (needs.length > 1)
    return {
      do: "refuse",
      reason: `${name} takes ${needs.length} ports at once; put it back in the bag first, then into a port.`,
    };
  return { do: "nothing" };
}
