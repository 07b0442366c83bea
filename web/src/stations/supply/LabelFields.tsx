import type { Supply } from "../../api/client";
import { useWrite } from "../../state/build/contexts";
import { NumberField, TextField } from "../../ui/fields";

const FIELDS: { name: keyof Supply; label: string; unit: string }[] = [
  { name: "rated_w", label: "Rated", unit: "W" },
  { name: "v12_a", label: "12 V", unit: "A" },
  { name: "v5_a", label: "5 V", unit: "A" },
  { name: "v3v3_a", label: "3.3 V", unit: "A" },
  { name: "v5sb_a", label: "5 V standby", unit: "A" },
  { name: "combined_w", label: "5 V + 3.3 V", unit: "W" },
];

/** The figures on the label of the supply in the build, to be set right. */
export function LabelFields({ supply }: { supply: Supply }) {
  const { act, preview } = useWrite();
  const edit = (changes: Record<string, unknown>) =>
    ({ type: "change supply", changes, release: false }) as const;
  return (
    <details className="mt-2 border-t border-rule pt-2">
      <summary className="cursor-pointer text-base font-semibold">Its label says otherwise?</summary>
      <div className="mt-2 grid gap-2">
        <TextField label="Name" value={supply.name} onCommit={(name) => act(edit({ name }))} />
        <div className="grid grid-cols-2 gap-2">
          {FIELDS.map((f) => (
            <NumberField
              key={f.name}
              label={f.label}
              unit={f.unit}
              empty
              placeholder="?"
              value={supply[f.name] as number | null}
              onPreview={(v) => preview(edit({ [f.name]: v }))}
              onCommit={(v) => act(edit({ [f.name]: v }))}
            />
          ))}
        </div>
      </div>
    </details>
  );
}
