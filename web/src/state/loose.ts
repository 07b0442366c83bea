import type { Doc, LooseOut, Thing } from "../api/client";

type Loose = LooseOut["entry"]["thing"];
type Cable = Doc["cables"][number];
type Bracket = NonNullable<Doc["bracket"]>;

/** The cable that a thing sold by itself is, if it is one. */
export function asCable(thing: Loose | null): Cable | null {
  return thing && "supply_end" in thing ? thing : null;
}

/** The bracket that it is, if it is one. */
export function asBracket(thing: Loose | null): Bracket | null {
  return thing && "place" in thing ? thing : null;
}

/** One of one's own as a build holds it: it knows which thing of the drawer it is. */
export function ownCable({ thing: { key, thing } }: Thing): Cable | null {
  const cable = asCable(thing);
  return cable && { ...cable, owned: key };
}

/** One's own bracket as a build holds it. */
export function ownBracket({ thing: { key, thing } }: Thing): Bracket | null {
  const bracket = asBracket(thing);
  return bracket && { ...bracket, owned: key };
}
