import type { Action, LooseOut, SaidOut, Thing } from "../../api/client";

type Loose = LooseOut["entry"]["thing"];

/** Something that can be added to a build: of the drawer, or to be had. */
export interface Item {
  id: string;
  name: string;
  words: string;
  from: string;
  kind: string;
  family: string;
  /** By what its price is given, of one that could be had. */
  price?: string;
  edit: Action;
}

/** Cables of a family, adapters and extensions that are called so: one's own first. */
export function addable(
  things: Thing[],
  loose: LooseOut[],
  family: string,
  text: string,
  priceOf: (slug: string) => number | null,
): Item[] {
  return [
    ...things.flatMap(owned),
    ...loose.flatMap((l) => sold(l, priceOf(`loose:${l.entry.slug}`))),
  ].filter(
    (i) =>
      (i.kind !== "cable" || i.family === family) &&
      `${i.name} ${i.words}`.toLowerCase().includes(text.toLowerCase()),
  );
}

/** The edit that adds it; `owned`: which thing of the drawer it is, `to_buy`: what it costs where it is none. */
function editOf(thing: Loose | null, owned: string, to_buy: Loose["to_buy"]): Action | null {
  if (!thing || "place" in thing) return null; // a bracket is chosen with the case
  return "supply_end" in thing
    ? { type: "add cable", cable: { ...thing, owned, to_buy } }
    : { type: "add adapter", thing: { ...thing, owned, to_buy } };
}

/** What a line says, as something to add; null where it says nothing of the kind. */
export function said(told: SaidOut | undefined): Item | null {
  if (!told?.thing) return null;
  const isCable = "supply_end" in told.thing;
  return {
    id: "said",
    name: told.name,
    words: told.words.join("; "),
    from: isCable ? "as you say it, of this supply’s own family" : "as you say it",
    kind: isCable ? "cable" : "adapter",
    family: "",
    edit: isCable
      ? { type: "add cable", cable: told.thing as AddCable["cable"] }
      : { type: "add adapter", thing: told.thing as AddBetween["thing"] },
  };
}

type AddCable = Extract<Action, { type?: "add cable" }>;
type AddBetween = Extract<Action, { type?: "add adapter" }>;

function owned(t: Thing): Item[] {
  const edit = editOf(t.thing.thing, t.thing.key, null);
  if (!edit || t.free < 1 || t.thing.condition === "not to be used") return [];
  const from = ["yours", t.family === "any" ? "" : t.family, t.thing.lies];
  return [
    {
      id: `drawer:${t.thing.key}`,
      name: t.name,
      words: t.words,
      from: from.filter(Boolean).join(", "),
      kind: t.kind,
      family: t.family,
      edit,
    },
  ];
}

function sold({ entry, kind, family, words }: LooseOut, price: number | null): Item[] {
  const edit = editOf(entry.thing, "", { price });
  if (!edit) return [];
  const from = ["to be had", family].filter(Boolean).join(", ");
  return [
    { id: entry.slug, price: `loose:${entry.slug}`, name: entry.thing.name, words, from, kind, family, edit },
  ];
}
