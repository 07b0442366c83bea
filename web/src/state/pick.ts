import type { Offer, Offers } from "../api/client";
import type { Picked } from "./queries";

/** What a click, a tap or Enter on one end does while the other end may be picked. */
export type Next =
  | { do: "pick"; picked: Picked }
  | { do: "drop" }
  | { do: "put"; offer: Offer }
  | { do: "refuse"; reason: string };

/** A socket was hit: put the picked plug there, or pick the socket. */
export function hitSocket(picked: Picked | null, ref: string, offers: Offers | undefined): Next {
  if (picked?.kind === "socket") return picked.ref === ref ? { do: "drop" } : { do: "pick", picked: { kind: "socket", ref } };
  if (!picked) return { do: "pick", picked: { kind: "socket", ref } };
  return settle(offers, (o) => o.socket === ref);
}

/** A plug was hit: put it in the picked socket, or pick the plug. */
export function hitPlug(picked: Picked | null, cable: string, plug: string, offers: Offers | undefined): Next {
  if (picked?.kind === "plug")
    return picked.cable === cable && picked.plug === plug ? { do: "drop" } : { do: "pick", picked: { kind: "plug", cable, plug } };
  if (!picked) return { do: "pick", picked: { kind: "plug", cable, plug } };
  return settle(offers, (o) => o.cable === cable && o.plug === plug);
}

function settle(offers: Offers | undefined, match: (o: Offer) => boolean): Next {
  const fits = offers?.fitting.find(match);
  if (fits) return { do: "put", offer: fits };
  const refused = offers?.refused.find(match);
  return { do: "refuse", reason: refused?.reason ?? "This end is no longer there; choose again." };
}

/** "part#2/socket" as the action wants it. */
export function socketRef(ref: string): { part: string; instance: number; socket: string } {
  const [part = "", rest = ""] = ref.split("#");
  const [instance = "1", socket = ""] = rest.split("/");
  return { part, instance: Number(instance), socket };
}
