import { useMutation, useQuery } from "@tanstack/react-query";
import { useId, useState } from "react";
import { useSearchParams } from "react-router";

import { client, take, type Case, type Doc } from "../../api/client";
import { priceFor } from "../../state/buying";
import { asBracket, ownBracket } from "../../state/loose";
import { useBuild, useWrite } from "../../state/build/contexts";
import { casesQuery, drawerQuery, looseQuery, pricesQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Choice, NumberField, Tick } from "../../ui/fields";
import { Remove } from "../parts/Outputs";
import { FindOutHere } from "../frame/ToFindOut";
import { ItsBox } from "../parts/InBoxes";

const MEASURES: { name: keyof Case & `${string}_mm`; label: string }[] = [
  { name: "card_length_mm", label: "Room for a card’s length" },
  { name: "card_height_mm", label: "Slot to side panel" },
  { name: "supply_length_mm", label: "Room for the supply, plugs too" },
  { name: "feet_mm", label: "Room under its bottom" },
];
const COUNTS: { name: "slots" | "bays_35" | "bays_25"; label: string }[] = [
  { name: "slots", label: "Slot places" },
  { name: "bays_35", label: "3.5-inch bays" },
  { name: "bays_25", label: "2.5-inch places" },
];
const SIDES = ["front", "top", "rear", "bottom", "left", "right"] as const;
type Bracket = NonNullable<Doc["bracket"]>;
const SIZES = ["small", "mid", "large"] as const;
const UNKNOWN = { value: "", words: "not known" };

/** The case of the build: which it is, its measures, vents and places for radiators. */
export function CaseFields() {
  const { case: now, place, bracket } = useBuild().doc;
  const { act } = useWrite();
  const { data: cases = [] } = useQuery(casesQuery);
  const change = (made: (doc: Doc) => Record<string, unknown>) =>
    act((doc) => ({ type: "change build", changes: made(doc), house_rules: {}, assumptions: {} }));
  const set = (made: Partial<Case> | ((c: Case) => Partial<Case>)) =>
    change((doc) => ({
      case: doc.case && { ...doc.case, ...(typeof made === "function" ? made(doc.case) : made) },
    }));
  const known = cases.some((c) => c.slug === now?.slug);
  return (
    <aside aria-label="The case" className="grid content-start gap-3 border border-rule bg-slip p-3">
      <Choice
        label="Case"
        value={now?.slug ?? ""}
        options={[
          { value: "", words: "none chosen" },
          ...(now && !known ? [{ value: now.slug, words: now.name }] : []),
          ...cases.map((c) => ({ value: c.slug, words: c.name })),
        ]}
        onChange={(slug) => void change(() => ({ case: cases.find((c) => c.slug === slug) ?? null }))}
      />
      <CaseLine key={now?.slug ?? ""} put={(c) => change(() => ({ case: c }))} />
      {now && (
        <>
          <Choice
            label="Size"
            value={now.size ?? ""}
            options={[
              UNKNOWN,
              { value: "small", words: "small: up to about 25 litres" },
              { value: "mid", words: "mid tower" },
              { value: "large", words: "full tower" },
            ]}
            onChange={(size) => void set({ size: SIZES.find((s) => s === size) ?? null })}
          />
          <FindOutHere of="case" />
          <ItsBox of={(x) => x.of === "case"} set={(made) => set((c) => ({ in_box: made(c.in_box) }))} />
          <div className="grid grid-cols-2 gap-x-3 gap-y-2">
            {MEASURES.map((m) => (
              <span key={m.name} data-field={m.name}>
                <NumberField
                  empty
                  label={m.label}
                  unit="mm"
                  placeholder="?"
                  value={now[m.name] as number | null}
                  onCommit={(v) => set({ [m.name]: v })}
                />
              </span>
            ))}
            {COUNTS.map((m) => (
              <span key={m.name} data-field={m.name}>
                <NumberField
                  empty
                  whole
                  label={m.label}
                  unit=""
                  placeholder="?"
                  value={now[m.name]}
                  onCommit={(v) => set({ [m.name]: v })}
                />
              </span>
            ))}
            <span data-field="supply_at">
              <Choice
                label="Its supply stands at the"
                value={now.supply_at ?? ""}
                options={[UNKNOWN, ...["bottom", "top", "front"].map((v) => ({ value: v, words: v }))]}
                onChange={(v) => void set({ supply_at: (v || null) as Case["supply_at"] })}
              />
            </span>
          </div>
          <Vents now={now} set={set} />
          <Radiators now={now} set={set} />
        </>
      )}
      <div data-field="stands_on">
        <Choice
          label="It stands on"
          value={place.stands_on ?? ""}
          options={[UNKNOWN, ...["table", "hard floor", "carpet"].map((v) => ({ value: v, words: v }))]}
          onChange={(v) => void change((doc) => ({ place: { ...doc.place, stands_on: v || null } }))}
        />
      </div>
      <BracketChoice now={bracket} set={(b) => change(() => ({ bracket: b }))} />
    </aside>
  );
}

/** A case of one's own, said in a line. */
function CaseLine({ put }: { put: (c: Case) => Promise<unknown> }) {
  /** Words that were said on another page, and sent here. */
  const begun = useSearchParams()[0].get("say") ?? "";
  const [text, setText] = useState(begun);
  const read = useMutation({
    mutationFn: () => take(client.POST("/api/v1/cases/read", { body: { text } })),
    onSuccess: (found) => put(found as Case).then(() => setText("")),
  });
  const id = useId();
  return (
    <details className="text-base" open={begun !== ""}>
      <summary className="cursor-pointer">One of my own, in a line</summary>
      <form
        className="mt-1 grid gap-1"
        onSubmit={(e) => {
          e.preventDefault();
          read.mutate();
        }}
      >
        <label htmlFor={id} className="sr-only">
          A case in a line
        </label>
        <textarea
          id={id}
          rows={3}
          spellCheck={false}
          className="field h-auto w-full font-mono text-sm"
          placeholder="My case: ATX supplies up to 180 mm, cards 340 mm, 7 slots, 2 3.5-inch bays, 360 radiator in front"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        {read.error && (
          <p role="alert" className="text-sm font-semibold text-over">
            {read.error.message}
          </p>
        )}
        <Button type="submit" className="justify-self-start" disabled={!text.trim() || read.isPending}>
          Use this case
        </Button>
      </form>
    </details>
  );
}

type SetCase = (made: Partial<Case> | ((c: Case) => Partial<Case>)) => Promise<unknown>;

function Vents({ now, set }: { now: Case; set: SetCase }) {
  return (
    <fieldset data-field="vents">
      <legend className="mb-1 text-sm font-bold">Vents</legend>
      <div className="grid grid-cols-2 gap-x-3">
        {SIDES.map((side) => {
          const vent = now.vents.find((v) => v.side === side);
          return (
            <span key={side} className="flex flex-wrap gap-x-3">
              <Tick
                label={side}
                checked={vent !== undefined}
                onChange={(on) =>
                  void set((c) => ({
                    vents: on
                      ? [...c.vents, { side, filtered: false }]
                      : c.vents.filter((v) => v.side !== side),
                  }))
                }
              />
              {vent && (
                <Tick
                  label={`filter, ${side}`}
                  checked={vent.filtered}
                  onChange={(filtered) =>
                    void set((c) => ({
                      vents: c.vents.map((v) => (v.side === side ? { side, filtered } : v)),
                    }))
                  }
                />
              )}
            </span>
          );
        })}
      </div>
    </fieldset>
  );
}

function Radiators({ now, set }: { now: Case; set: SetCase }) {
  const places = now.radiators ?? [];
  const free = SIDES.filter((s) => !places.some((r) => r.side === s));
  return (
    <fieldset data-field="radiators" className="grid gap-1">
      <legend className="mb-1 text-sm font-bold">
        Places for radiators{now.radiators === null && <span className="text-unknown">: not known</span>}
      </legend>
      {places.map((r) => (
        <div key={r.side} className="flex flex-wrap items-center gap-x-2">
          <span className="w-14">{r.side}</span>
          <NumberField
            compact
            narrow
            whole
            label={`Largest radiator at the ${r.side}`}
            unit="mm by"
            value={r.up_to_mm}
            onCommit={(v) =>
              set((c) => ({
                radiators:
                  c.radiators?.map((x) => (x.side === r.side ? { ...x, up_to_mm: v ?? 0 } : x)) ?? null,
              }))
            }
          />
          <NumberField
            compact
            narrow
            empty
            label={`Thickness with fans at the ${r.side}`}
            unit="mm"
            placeholder="?"
            value={r.room_mm}
            onCommit={(v) =>
              set((c) => ({
                radiators: c.radiators?.map((x) => (x.side === r.side ? { ...x, room_mm: v } : x)) ?? null,
              }))
            }
          />
          <Remove
            what={`place for a radiator at the ${r.side}`}
            onRemove={() =>
              void set((c) => ({ radiators: c.radiators?.filter((x) => x.side !== r.side) ?? null }))
            }
          />
        </div>
      ))}
      <div className="flex flex-wrap gap-1">
        {free.map((side) => (
          <Button
            key={side}
            look="quiet"
            onClick={() =>
              void set((c) => ({
                radiators: [...(c.radiators ?? []), { side, up_to_mm: 240, room_mm: null }],
              }))
            }
          >
            Add {side}
          </Button>
        ))}
        {now.radiators === null && (
          <Button look="quiet" onClick={() => void set({ radiators: [] })}>
            It has none
          </Button>
        )}
      </div>
    </fieldset>
  );
}

/** The bracket that the supply is mounted by, from the catalogue. */
function BracketChoice({ now, set }: { now: Doc["bracket"]; set: (b: Doc["bracket"]) => Promise<unknown> }) {
  const { data: loose = [] } = useQuery(looseQuery);
  const { data: things = [] } = useQuery(drawerQuery);
  const { data: prices } = useQuery(pricesQuery);
  const { currency } = useBuild().doc.place;
  const sold = loose.flatMap(({ entry: { slug, thing } }) => {
    const bracket = asBracket(thing);
    const price = priceFor(prices, `loose:${slug}`, currency);
    return bracket ? { ...bracket, to_buy: { price } } : [];
  });
  // One's own first; each is in one build at a time, so one that is elsewhere is not offered.
  const own = things.flatMap((t) => (t.free > 0 || t.thing.key === now?.owned ? (ownBracket(t) ?? []) : []));
  const brackets = [...own, ...sold];
  const called = (b: Bracket) => `${b.owned}/${b.name}`;
  const known = brackets.some((b) => now && called(b) === called(now));
  return (
    <Choice
      label="The supply is mounted by"
      value={now ? called(now) : ""}
      options={[
        { value: "", words: "no bracket" },
        ...(now && !known ? [{ value: called(now), words: now.name }] : []),
        ...brackets.map((b) => ({ value: called(b), words: b.owned ? `${b.name}, yours` : b.name })),
      ]}
      onChange={(v) => void set(brackets.find((b) => called(b) === v) ?? null)}
    />
  );
}
