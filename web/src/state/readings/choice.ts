import type { ChannelWords, HeldAnswer } from "../../api/client";

/** How many channels are drawn at once. */
export const MOST_DRAWN = 16;

/** What is drawn first: the whole, then the pins and the heat of the plug that comes first. */
export function firstChoice(channels: ChannelWords[], held: HeldAnswer | undefined): string[] {
  const there = new Set(channels.map((c) => c.channel));
  const chosen = ["wall.w", "dc.w"].filter((c) => there.has(c));
  const first = held?.plugs[0];
  if (first) {
    chosen.push(...first.pins.map((p) => `${first.ref}.pin${p.pin}.a`));
    if (there.has(`${first.ref}.degc`)) chosen.push(`${first.ref}.degc`);
  }
  if (chosen.length) return chosen.slice(0, MOST_DRAWN);
  return channels.slice(0, 4).map((c) => c.channel);
}

/** Channels by instrument, in the order in which they come. */
export function byInstrument(channels: ChannelWords[]): [string, ChannelWords[]][] {
  const found = new Map<string, ChannelWords[]>();
  for (const c of channels) {
    const own = found.get(c.instrument) ?? [];
    own.push(c);
    found.set(c.instrument, own);
  }
  return [...found];
}

/** The unit of a channel, by its text. */
export const unitOf = (channel: string): string => channel.slice(channel.lastIndexOf(".") + 1);
