import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";

import type { Doc, Reference } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { widened } from "../../state/parts/figure";
import { positionsQuery, referenceQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { NumberField } from "../../ui/fields";
import { Radio, RadioGroup } from "../../ui/radio";
import { StationHead, usePlace } from "../frame/Frame";

type Rules = Doc["house_rules"];
/** Where good builders disagree, and what is assumed where a figure is missing; for this build. */
export default function RulesPage() {
  const build = useBuild();
  const { result } = useResult();
  const { act, preview } = useWrite();
  const { data: reference } = useQuery(referenceQuery);
  const rules = build.doc.house_rules;
  const set = (house_rules: Partial<Rules>) =>
    void act({ type: "change build", changes: {}, house_rules, assumptions: {} });
  const { data: effects } = useQuery(positionsQuery(build.key, build.version));
  const of = (rule: string) =>
    (reference?.house_rules[rule] ?? []).map((o) => ({
      ...o,
      effect: effects?.find((e) => e.rule === rule && e.value === o.value)?.text ?? "",
    }));
  const worst = result.lanes.filter((l) => l.verdict === "over" || l.verdict === "unknown").length;
  return (
    <>
      <StationHead
        title="House rules"
        note={`for this build, ${worst ? `${worst} of its runs to mend` : "no run to mend"}`}
      />
      <div className="grid max-w-[1120px] gap-6 px-6 pb-8">
        <div className="grid grid-cols-2 gap-6">
          <div className="grid content-start gap-6">
            <Question
              legend="Both plugs of one chained graphics cable"
              options={of("chained_graphics")}
              value={rules.chained_graphics}
              onChange={(v) => set({ chained_graphics: v as Rules["chained_graphics"] })}
            />
            <Question
              legend="Short spikes"
              options={of("spikes")}
              value={rules.spikes}
              onChange={(v) => set({ spikes: v as Rules["spikes"] })}
            />
          </div>
          <div className="grid content-start gap-6">
            <Question
              legend="The card maker’s smallest supply"
              options={of("maker_floor")}
              value={rules.maker_floor}
              onChange={(v) => set({ maker_floor: v as Rules["maker_floor"] })}
            />
            <NumberField
              label="Headroom over the sustained load"
              unit="%"
              value={Math.round(rules.headroom * 1000) / 10}
              onPreview={(v) =>
                v !== null &&
                preview({
                  type: "change build",
                  changes: {},
                  house_rules: { headroom: v / 100 },
                  assumptions: {},
                })
              }
              onCommit={(v) =>
                act({
                  type: "change build",
                  changes: {},
                  house_rules: { headroom: (v ?? 0) / 100 },
                  assumptions: {},
                })
              }
            />
          </div>
        </div>
        <section>
          <h2 className="text-lg font-bold">What is assumed</h2>
          <p className="mb-2 text-base text-ink-soft">
            Used where a part has no figure of its own. Set what you know better; it stays in the build file.
          </p>
          <ul className="grid grid-cols-2 gap-x-8">
            {reference?.assumptions.map((a) => (
              <AssumptionLine
                key={a.name}
                declared={a}
                value={build.doc.assumptions[a.name as keyof Doc["assumptions"]]}
              />
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}

function Question({
  legend,
  options,
  value,
  onChange,
}: {
  legend: string;
  options: { value: string; words: string; text: string; effect: string }[];
  value: string;
  onChange: (v: string) => void;
}) {
  return (
    <section>
      <h2 className="mb-2 text-lg font-bold">{legend}</h2>
      <RadioGroup label={legend} value={value} onChange={onChange}>
        {options.map((o) => (
          <Radio
            key={o.value}
            value={o.value}
            className="group mb-2 flex w-full gap-3 border border-rule bg-slip p-3 text-left hover:border-ink data-[state=checked]:border-accent data-[state=checked]:bg-accent-wash"
          >
            <span
              aria-hidden="true"
              className="mt-1 size-4 shrink-0 rounded-full border border-ink group-data-[state=checked]:border-[5px] group-data-[state=checked]:border-accent"
            />
            <span>
              <b>{o.words}</b>
              <span className="block text-base text-ink-soft">{o.text}</span>
              <span className="block text-base">{o.effect}</span>
            </span>
          </Radio>
        ))}
      </RadioGroup>
    </section>
  );
}

type Declared = Reference["assumptions"][number];
type Bounds = { low: number; likely: number; high: number };

function AssumptionLine({ declared: d, value }: { declared: Declared; value: number | Bounds }) {
  const { act, preview } = useWrite();
  const line = useRef<HTMLLIElement>(null);
  const here = usePlace() === d.name;
  useEffect(() => {
    if (!here) return;
    line.current?.scrollIntoView({ block: "center" });
    line.current?.querySelector("input")?.focus();
  }, [here]);
  const edit = (v: number | Bounds) =>
    ({ type: "change build", changes: {}, house_rules: {}, assumptions: { [d.name]: v } }) as const;
  const wide = typeof value === "object";
  const likely = wide ? value.likely : value;
  const own = (now: Doc) => now.assumptions[d.name as keyof Doc["assumptions"]] as number | Bounds;
  const to = (old: number | Bounds, v: number): number | Bounds =>
    typeof old === "object" ? widened(old, v) : v;
  const changed = JSON.stringify(value) !== JSON.stringify(d.default);
  const [open, setOpen] = useState(false);
  useEffect(() => {
    // The button that was in hand is gone; its fields stand in its place.
    if (open) line.current?.querySelector("input")?.focus();
  }, [open]);
  const edge = (name: "low" | "high") => (v: number | null) =>
    wide && v !== null ? act((now) => edit({ ...(own(now) as Bounds), [name]: v })) : Promise.resolve(null);
  return (
    <li ref={line} data-assumption={d.name} className="flex items-center gap-2 border-b border-rule py-1.5">
      <div className={`min-w-0 flex-1 text-base ${changed ? "font-semibold" : ""}`}>
        <p className="first-letter:uppercase">{d.text}</p>
        {wide && !open && (
          <button
            type="button"
            aria-label={`Bounds: ${d.text}, from ${value.low} to ${value.high}`}
            aria-expanded={false}
            className="min-h-6 text-xs font-normal text-ink-soft underline decoration-dotted underline-offset-2"
            onClick={() => setOpen(true)}
          >
            from {value.low} to {value.high}
          </button>
        )}
        {wide && open && (
          <div className="flex items-center gap-2 pt-1 text-sm font-normal text-ink-soft">
            from{" "}
            <NumberField
              compact
              narrow
              label={`Low: ${d.text}`}
              unit=""
              value={value.low}
              onCommit={edge("low")}
            />
            to{" "}
            <NumberField
              compact
              narrow
              label={`High: ${d.text}`}
              unit={d.unit}
              value={value.high}
              onCommit={edge("high")}
            />
          </div>
        )}
      </div>
      {changed && (
        <Button
          look="quiet"
          className="min-h-7 px-1.5 text-sm"
          aria-label={`Default for ${d.text}`}
          onClick={() => void act(edit(d.default as number | Bounds))}
        >
          default
        </Button>
      )}
      <NumberField
        compact
        label={d.text}
        unit={d.unit}
        value={likely}
        onPreview={(v) => v !== null && preview(edit(to(value, v)))}
        onCommit={(v) => act((now) => edit(to(own(now), v ?? likely)))}
      />
    </li>
  );
}
