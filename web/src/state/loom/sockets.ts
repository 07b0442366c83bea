import type { Offer, SocketAnswer } from "../../api/client";

/** The sockets that are called so, of all or of those that nothing feeds. */
export function sought(sockets: SocketAnswer[], text: string, openOnly: boolean): SocketAnswer[] {
  return sockets.filter(
    (s) =>
      (!openOnly || !s.cable) &&
      `${s.words} ${s.kind_words} ${s.fed_by}`.toLowerCase().includes(text.toLowerCase()),
  );
}

/** What tells a socket from the others of its part, and its kind. */
export function short(s: SocketAnswer): string {
  return s.own_words ? `${s.own_words}, ${s.kind_words}` : s.kind_words;
}

/** By device, those with something required and unfed first; within one, unfed first. */
export function grouped(sockets: SocketAnswer[]): [string, SocketAnswer[]][] {
  const found = new Map<string, SocketAnswer[]>();
  for (const s of sockets) found.set(s.part, [...(found.get(s.part) ?? []), s]);
  const open = (s: SocketAnswer) => (s.required && !s.cable ? 0 : 1);
  const rank = (of: SocketAnswer[]) => Math.min(...of.map(open));
  return [...found]
    .map(([part, of]): [string, SocketAnswer[]] => [part, [...of].sort((a, b) => open(a) - open(b))])
    .sort((a, b) => rank(a[1]) - rank(b[1]));
}

/** Refused offers with the same reason stand together. */
export function byReason(refused: Offer[]): [string, Offer[]][] {
  const found = new Map<string, Offer[]>();
  for (const o of refused) found.set(o.reason, [...(found.get(o.reason) ?? []), o]);
  return [...found];
}
