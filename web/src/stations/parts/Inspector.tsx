import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";

import type { FieldOf, Figure, Mend, Part } from "../../api/client";
import { useBuild, useResult, useShown, useWrite } from "../../state/build/contexts";
import { figureIn } from "../../state/parts/declared";
import { withLikely } from "../../state/parts/figure";
import { amount, bounds, sentence } from "../../state/format";
import { referenceQuery, rowsQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Choice, NumberField, TextField } from "../../ui/fields";
import { useWords } from "../../words";
import { Exchange } from "../frame/Exchange";
import { FindOutHere } from "../frame/ToFindOut";
import { FromCatalogue } from "./FromCatalogue";
import { ItsBox } from "./InBoxes";
import { KindFields } from "./KindFields";
import type { Changes, SetPart } from "./set";
import { Sockets } from "./Sockets";
import { useField } from "./useField";

/** The part in hand: the figures that a builder knows, then what follows from them. */
export function Inspector({ part, field, onGone }: { part: Part; field: string; onGone: () => void }) {
  const build = useBuild();
  const { act, preview } = useWrite();
  const box = useRef<HTMLElement>(null);
  const { data: reference } = useQuery(referenceQuery);
  const set: SetPart = (made) =>
    act((doc) => {
      const now = doc.parts.find((p) => p.key === part.key) ?? part;
      return {
        type: "change part",
        part: part.key,
        changes: typeof made === "function" ? made(now) : made,
        release: false,
      };
    });
  const look = (changes: Changes) =>
    preview({ type: "change part", part: part.key, changes, release: false });
  const { result } = useResult();
  const told = [...result.mend, ...result.notes].filter((m) => m.of === "part" && m.subject === part.key);
  const figures = reference?.fields[part.kind]?.filter((f) => f.shape === "figure") ?? [];
  useField(box, field, reference !== undefined);
  const remove = async () => {
    const gone = await act({ type: "remove part", part: part.key, release: false });
    if (gone) onGone();
  };
  return (
    <section
      ref={box}
      aria-label={`Part in hand: ${part.name}`}
      className="grid grid-cols-[minmax(0,1fr)] gap-3 border border-rule bg-slip p-3"
    >
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-2">
        <TextField label="Name" value={part.name} onCommit={(name) => set({ name })} />
        {part.kind !== "board" && part.kind !== "hub" && (
          <NumberField
            label="Count"
            unit=""
            whole
            narrow
            value={part.count}
            onPreview={(count) => look({ count })}
            onCommit={(count) => set({ count })}
          />
        )}
      </div>
      {figures.map((field) => (
        <FigureField
          key={field.name}
          field={field}
          figure={figureIn(part, field.name)}
          told={told.filter((t) => t.field === field.name)}
          look={look}
          set={set}
        />
      ))}
      <KindFields part={part} set={set} />
      {"sockets" in part && <Sockets part={part} set={set} />}
      <FindOutHere of="part" subject={part.key} />
      <ItsBox
        of={(x) => x.of === "part" && x.key === part.key}
        set={(made) => set((now) => ({ in_box: made(now.in_box) }))}
      />
      <Derived part={part.key} buildKey={build.key} version={build.version} />
      <TextField label="Note" value={part.note} max={2000} onCommit={(note) => set({ note })} />
      <FromCatalogue part={part} set={set} />
      <Exchange of="part" thing={part.key} name={part.name} count={part.count} />
      <Button className="whitespace-normal" onClick={() => void remove()}>
        Take {part.name} out
      </Button>
    </section>
  );
}

function FigureField({
  field,
  figure,
  told,
  look,
  set,
}: {
  field: FieldOf;
  figure: Figure | null;
  /** What is found about this figure: a contradiction, or that it does not count. */
  told: Mend[];
  look: (c: Changes) => void;
  set: SetPart;
}) {
  const [wide, setWide] = useState(false);
  const own = (now: Part) => figureIn(now, field.name);
  const at = (old: Figure | null, likely: number | null) => ({
    [field.name]: likely === null ? null : withLikely(old, likely),
  });
  const put = (changes: Partial<Figure>) =>
    set((now) => {
      const old = own(now);
      return old ? { [field.name]: { ...old, ...changes } } : {};
    });
  const hasWidth = figure !== null && figure.low !== figure.high;
  return (
    <div data-field={field.name} className="grid gap-1 border-b border-rule pb-2">
      <p aria-hidden="true" className="text-sm text-ink-soft first-letter:uppercase">
        {field.text}
      </p>
      <div className="flex items-center justify-between gap-x-2">
        <NumberField
          compact
          label={field.text}
          unit={field.unit}
          empty
          value={figure?.likely ?? null}
          placeholder={field.default_from.length ? "assumed" : field.needed ? "?" : "none"}
          onPreview={(v) => look(at(figure, v))}
          onCommit={(v) => set((now) => at(own(now), v))}
        />
        {figure ? (
          <span className="flex items-center gap-1">
            <Choice
              label={`Where from: ${field.text}`}
              hideLabel
              value={figure.origin}
              options={[
                { value: "maker", words: "maker" },
                ...(figure.origin === "simulated"
                  ? [{ value: "simulated", words: "simulated" } as const]
                  : [{ value: "measured", words: "measured" } as const]),
                { value: "assumed", words: "assumed" },
              ]}
              onChange={(origin) => void put({ origin })}
            />
            <Button
              look="quiet"
              className="px-1.5 text-sm font-normal"
              aria-expanded={wide || hasWidth}
              onClick={() => setWide(!wide)}
            >
              bounds
            </Button>
          </span>
        ) : (
          <span className="text-sm text-ink-soft">
            {field.default_from.length
              ? "a default is used"
              : field.needed
                ? "no default: needed"
                : "none, if left empty"}
          </span>
        )}
      </div>
      {figure && (wide || hasWidth) && (
        <div className="flex items-center gap-2 text-sm text-ink-soft">
          from{" "}
          <NumberField
            compact
            label={`Low: ${field.text}`}
            unit=""
            value={figure.low}
            onCommit={(v) => put(v === null ? {} : { low: v })}
          />
          to{" "}
          <NumberField
            compact
            label={`High: ${field.text}`}
            unit={field.unit}
            value={figure.high}
            onCommit={(v) => put(v === null ? {} : { high: v })}
          />
        </div>
      )}
      {figure &&
        told.map((t) => (
          <p key={t.id} data-told={t.id} className="text-sm font-semibold text-unknown">
            {sentence(t.text)}
          </p>
        ))}
      {figure?.note && <p className="text-xs text-ink-soft">{figure.note}</p>}
    </div>
  );
}

/** The loads that follow, in the state shown: rail, how it comes about, watts. */
function Derived({ part, buildKey, version }: { part: string; buildKey: string; version: number }) {
  const { state } = useShown();
  const { rails } = useWords();
  const { data } = useQuery(rowsQuery(buildKey, version));
  const rows =
    data?.rows.filter(
      (r) => r.part === part && (r.watts[state].high > 0 || r.watts[state].missing.length > 0),
    ) ?? [];
  if (!rows.length) return null;
  return (
    <div>
      <h3 className="text-sm font-bold">Loads that follow</h3>
      <table className="w-full text-sm">
        <tbody>
          {rows.map((r) => (
            <tr key={`${r.rail}${r.path}${r.formula}`} className="border-b border-rule align-top">
              <td className="py-1 pr-2 whitespace-nowrap">{rails[r.rail]}</td>
              <td className="py-1 pr-2 text-ink-soft">
                {r.formula}
                {r.origin === "assumed" && ", assumed"}
              </td>
              <td className="py-1 text-right font-mono whitespace-nowrap">
                {amount(r.watts[state])} W{" "}
                <span className="block text-xs text-ink-soft">{bounds(r.watts[state])}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
