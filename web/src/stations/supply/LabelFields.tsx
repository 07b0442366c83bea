import { useRef } from "react";

import type { Supply } from "../../api/client";
import { useWrite } from "../../state/build/contexts";
import { Choice, NumberField, TextField, Tick } from "../../ui/fields";
import { ItsBox } from "../parts/InBoxes";
import { useField } from "../parts/useField";

type NumberName = {
  [K in keyof Supply]: Supply[K] extends number | null ? K : never;
}[keyof Supply];

const NUMBERS: { name: NumberName; label: string; unit: string; share?: true; whole?: true }[] = [
  { name: "rated_w", label: "Rated", unit: "W" },
  { name: "v12_a", label: "12 V", unit: "A" },
  { name: "v5_a", label: "5 V", unit: "A" },
  { name: "v3v3_a", label: "3.3 V", unit: "A" },
  { name: "v5sb_a", label: "5 V standby", unit: "A" },
  { name: "combined_w", label: "5 V + 3.3 V", unit: "W" },
  { name: "vneg12_a", label: "−12 V", unit: "A" },
  { name: "vneg5_a", label: "−5 V", unit: "A" },
  { name: "length_mm", label: "Length without plugs", unit: "mm" },
  { name: "fan_off_share", label: "Its fan stands to", unit: "% of its rating", share: true },
  { name: "fan_off_degc", label: "Or until inside it is", unit: "°C" },
  { name: "hold_up_ms", label: "Hold-up at full", unit: "ms" },
  { name: "made", label: "Made in", unit: "", whole: true },
];
type ChoiceName = "design" | "form" | "modular" | "regulation" | "grade" | "fan_side";
const CHOICES: { name: ChoiceName; label: string; options: string[] }[] = [
  { name: "design", label: "Design", options: ["3.1", "3.0", "classic"] },
  { name: "form", label: "Form", options: ["ATX", "SFX", "SFX-L", "TFX", "Flex ATX"] },
  { name: "modular", label: "Modular", options: ["fully", "semi", "not"] },
  { name: "regulation", label: "Rails regulated", options: ["independent", "group"] },
  { name: "fan_side", label: "Its fan", options: ["wide", "end", "none"] },
  {
    name: "grade",
    label: "Efficiency grade",
    options: ["base", "bronze", "silver", "gold", "platinum", "titanium"],
  },
];

/** The figures on the label and the page of the supply in the build, to be set right. */
export function LabelFields({ supply, field }: { supply: Supply; field: string }) {
  const { act, preview } = useWrite();
  const box = useRef<HTMLDetailsElement>(null);
  const known = [...NUMBERS, ...CHOICES].some((f) => f.name === field);
  useField(box, field, known);
  const edit = (changes: Record<string, unknown>) =>
    ({ type: "change supply", changes, release: false }) as const;
  return (
    <details ref={box} open={known || undefined} className="mt-2 border-t border-rule pt-2">
      <summary className="cursor-pointer text-base font-semibold">Its label says otherwise?</summary>
      <div className="mt-2 grid gap-2">
        <TextField label="Name" value={supply.name} onCommit={(name) => act(edit({ name }))} />
        <div className="grid grid-cols-2 gap-2">
          {CHOICES.map((f) => (
            <span key={f.name} data-field={f.name}>
              <Choice
                label={f.label}
                value={supply[f.name] ?? ""}
                options={[
                  { value: "", words: "not known" },
                  ...f.options.map((o) => ({ value: o, words: o })),
                ]}
                onChange={(v) => void act(edit({ [f.name]: v || null }))}
              />
            </span>
          ))}
          {NUMBERS.map((f) => {
            const factor = f.share ? 100 : 1;
            const to = (v: number | null) => (v === null ? null : v / factor);
            const now = supply[f.name];
            return (
              <span key={f.name} data-field={f.name}>
                <NumberField
                  label={f.label}
                  unit={f.unit}
                  empty
                  whole={f.whole}
                  placeholder="?"
                  value={now === null ? null : now * factor}
                  onPreview={(v) => preview(edit({ [f.name]: to(v) }))}
                  onCommit={(v) => act(edit({ [f.name]: to(v) }))}
                />
              </span>
            );
          })}
        </div>
        <Tick
          label="Has a telemetry lead for an internal USB header"
          checked={supply.telemetry_lead}
          onChange={(telemetry_lead) => void act(edit({ telemetry_lead }))}
        />
        <Tick
          label="Yet to be bought"
          checked={supply.to_buy !== null}
          onChange={(buys) => void act(edit({ to_buy: buys ? { price: null } : null }))}
        />
        <ItsBox
          of={(x) => x.of === "supply"}
          set={(made) => act((doc) => edit({ in_box: made(doc.supply?.in_box ?? []) }))}
        />
      </div>
    </details>
  );
}
