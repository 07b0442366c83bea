import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";

import type { Action, Doc, Reference } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { widened } from "../../state/parts/figure";
import { referenceQuery, usesQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { NumberField } from "../../ui/fields";
import { usePlace } from "../frame/Frame";

type Declared = Reference["assumptions"][number];
type Bounds = { low: number; likely: number; high: number };

/** What is assumed where no figure is known: a table to search, with where each counts here. */
export function Assumptions() {
  const build = useBuild();
  const place = usePlace();
  const { data: reference } = useQuery(referenceQuery);
  const { data: uses } = useQuery(usesQuery(build.key, build.version));
  const [text, setText] = useState("");
  const [usedOnly, setUsedOnly] = useState(false);
  const value = (a: Declared) => build.doc.assumptions[a.name as keyof Doc["assumptions"]];
  const all = reference?.assumptions ?? [];
  const shown = all.filter(
    (a) =>
      a.name === place ||
      ((!usedOnly || (uses?.[a.name] ?? []).length > 0) &&
        `${a.text} ${a.unit} ${(uses?.[a.name] ?? []).join(" ")}`.toLowerCase().includes(text.toLowerCase())),
  );
  const counting = all.filter((a) => (uses?.[a.name] ?? []).length > 0).length;
  return (
    <section>
      <h2 className="text-lg font-bold">What is assumed</h2>
      <p className="mb-2 text-base text-ink-soft">
        Used where a part has no figure of its own. Set what you know better; it stays in the build file.
        Source of each default: an assumption of Easy Tally.
      </p>
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <input
          type="search"
          aria-label="Search what is assumed"
          placeholder="Search: fan, wire, spike"
          className="field w-72 max-w-full text-md"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <label className="flex min-h-8 items-center gap-2 text-base">
          <input type="checkbox" checked={usedOnly} onChange={(e) => setUsedOnly(e.target.checked)} />
          Only what counts in this build{uses && `, ${counting}`}
        </label>
      </div>
      <div data-sideways className="overflow-x-auto">
        <table className="w-full min-w-[760px] text-left text-base">
          <thead className="text-sm text-ink-soft">
            <tr>
              <th className="font-normal">What</th>
              <th className="w-44 font-normal">Bounds</th>
              <th className="w-24 font-normal">Default</th>
              <th className="w-36 font-normal">Taken here</th>
              <th className="w-[30%] pl-3 font-normal">Counts here in</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((a) => (
              <AssumptionRow key={a.name} declared={a} value={value(a)} uses={uses?.[a.name]} />
            ))}
            {shown.length === 0 && (
              <tr>
                <td colSpan={5} className="py-3 text-ink-soft">
                  Nothing that is assumed is called that.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function AssumptionRow({
  declared: d,
  value,
  uses,
}: {
  declared: Declared;
  value: number | Bounds;
  uses: string[] | undefined;
}) {
  const { act, preview } = useWrite();
  const line = useRef<HTMLTableRowElement>(null);
  const here = usePlace() === d.name;
  useEffect(() => {
    if (!here) return;
    line.current?.scrollIntoView({ block: "center" });
    line.current?.querySelector<HTMLInputElement>("[data-taken] input")?.focus();
  }, [here]);
  const edit = (v: number | Bounds) =>
    ({ type: "change build", changes: {}, house_rules: {}, assumptions: { [d.name]: v } }) as const;
  const wide = typeof value === "object";
  const likely = wide ? value.likely : value;
  const own = (now: Doc) => now.assumptions[d.name as keyof Doc["assumptions"]] as number | Bounds;
  const to = (old: number | Bounds, v: number): number | Bounds =>
    typeof old === "object" ? widened(old, v) : v;
  const changed = JSON.stringify(value) !== JSON.stringify(d.default);
  const usual = typeof d.default === "object" ? (d.default as Bounds).likely : (d.default as number);
  return (
    <tr ref={line} data-assumption={d.name} className="border-t border-rule">
      <td className={`py-1 pr-3 first-letter:uppercase ${changed ? "font-semibold" : ""}`}>{d.text}</td>
      <td className="py-1 pr-3 text-sm">
        {wide ? <Edges declared={d} value={value} own={own} edit={edit} /> : ""}
      </td>
      <td className="py-1 pr-3 font-mono text-sm whitespace-nowrap text-ink-soft">
        {changed ? (
          <Button
            look="quiet"
            className="min-h-7 px-1.5 text-sm"
            aria-label={`Default for ${d.text}`}
            onClick={() => void act(edit(d.default as number | Bounds))}
          >
            back to {usual}
          </Button>
        ) : (
          `${usual} ${d.unit}`
        )}
      </td>
      <td className="py-1" data-taken>
        <NumberField
          compact
          label={d.text}
          unit={d.unit}
          value={likely}
          onPreview={(v) => v !== null && preview(edit(to(value, v)))}
          onCommit={(v) => act((now) => edit(to(own(now), v ?? likely)))}
        />
      </td>
      <td className="py-1 pl-3 text-sm [overflow-wrap:anywhere] text-ink-soft">
        {uses === undefined ? "" : uses.length ? uses.join(", ") : "nowhere"}
      </td>
    </tr>
  );
}

function Edges({
  declared: d,
  value,
  own,
  edit,
}: {
  declared: Declared;
  value: Bounds;
  own: (now: Doc) => number | Bounds;
  edit: (v: number | Bounds) => Action;
}) {
  const { act } = useWrite();
  const box = useRef<HTMLDivElement>(null);
  const [open, setOpen] = useState(false);
  useEffect(() => {
    // The button that was in hand is gone; its fields stand in its place.
    if (open) box.current?.querySelector("input")?.focus();
  }, [open]);
  const edge = (name: "low" | "high") => (v: number | null) =>
    v !== null ? act((now) => edit({ ...(own(now) as Bounds), [name]: v })) : Promise.resolve(null);
  if (!open)
    return (
      <button
        type="button"
        aria-label={`Bounds: ${d.text}, from ${value.low} to ${value.high}`}
        aria-expanded={false}
        className="min-h-6 underline decoration-dotted underline-offset-2"
        onClick={() => setOpen(true)}
      >
        {value.low} to {value.high}
      </button>
    );
  return (
    <div ref={box} className="flex items-center gap-1">
      <NumberField compact narrow label={`Low: ${d.text}`} unit="" value={value.low} onCommit={edge("low")} />
      to
      <NumberField
        compact
        narrow
        label={`High: ${d.text}`}
        unit={d.unit}
        value={value.high}
        onCommit={edge("high")}
      />
    </div>
  );
}
