import type { Part } from "../../api/client";
import { Choice, NumberField } from "../../ui/fields";
import type { SetPart } from "./set";

type Card = Extract<Part, { kind: "card" }>;
type Cooler = Extract<Part, { kind: "cooler" }>;
type Blower = Extract<Part, { flow_m3h: number | null }>;

const SIDES = ["front", "top", "rear", "bottom", "left", "right"].map((s) => ({ value: s, words: s }));
const UNKNOWN = { value: "", words: "not known" };

/** How large a card is: what the case is held against. */
export function CardSize({ part, set }: { part: Card; set: SetPart<Card> }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-bold">Size</legend>
      <div className="flex flex-wrap gap-x-3 gap-y-1">
        <Measure part={part} field="length_mm" label="Length" set={set as SetPart} />
        <Measure part={part} field="height_mm" label="Height above the slot" set={set as SetPart} />
        <span data-field="covers">
          <NumberField
            narrow
            whole
            empty
            label="Slot places"
            unit=""
            placeholder="?"
            value={part.covers}
            onCommit={(covers) => set({ covers })}
          />
        </span>
        <span data-field="support">
          <Choice
            label="A support for its weight"
            value={part.support ?? ""}
            options={[
              UNKNOWN,
              { value: "not needed", words: "not needed" },
              { value: "in the box", words: "comes with it" },
              { value: "needed", words: "needed" },
            ]}
            onChange={(v) => void set({ support: v || null })}
          />
        </span>
        <Choice
          label="Its plugs stand out to the"
          value={part.plugs_face}
          options={[
            { value: "side panel", words: "side panel" },
            { value: "front", words: "front" },
          ]}
          onChange={(plugs_face) => void set({ plugs_face })}
        />
      </div>
    </fieldset>
  );
}

function Measure({
  part,
  field,
  label,
  set,
}: {
  part: Part;
  field: "length_mm" | "height_mm" | "thick_mm";
  label: string;
  set: SetPart;
}) {
  const value = (part as unknown as Record<string, number | null>)[field] ?? null;
  return (
    <span data-field={field}>
      <NumberField
        narrow
        empty
        label={label}
        unit="mm"
        placeholder="?"
        value={value}
        onCommit={(mm) => set({ [field]: mm })}
      />
    </span>
  );
}

/** A liquid cooler's radiator. */
export function Radiator({ part, set }: { part: Cooler; set: SetPart }) {
  const sizes = [0, 120, 140, 240, 280, 360, 420, 480, part.radiator_mm ?? 0];
  return (
    <>
      <span data-field="radiator_mm">
        <Choice
          label="Radiator"
          value={part.radiator_mm === null ? "" : String(part.radiator_mm)}
          options={[
            UNKNOWN,
            ...[...new Set(sizes)]
              .sort((a, b) => a - b)
              .map((n) => ({ value: String(n), words: n ? `${n} mm` : "none: cooled by air" })),
          ]}
          onChange={(v) => void set({ radiator_mm: v === "" ? null : Number(v) })}
        />
      </span>
      <Measure part={part} field="thick_mm" label="Thick, without fans" set={set} />
    </>
  );
}

/** What air a fan or a cooler's fans move, where they are and which way they blow. */
export function Blowing({ part, set }: { part: Blower; set: SetPart }) {
  return (
    <>
      <span data-field="flow_m3h">
        <NumberField
          narrow
          empty
          label="Air that one moves"
          unit="m³/h"
          placeholder="?"
          value={part.flow_m3h}
          onCommit={(flow_m3h) => set({ flow_m3h })}
        />
      </span>
      <span data-field="side">
        <Choice
          label="Mounted at the"
          value={part.side ?? ""}
          options={[UNKNOWN, ...SIDES]}
          onChange={(v) => void set({ side: v || null })}
        />
      </span>
      <span data-field="blows">
        <Choice
          label="Blows"
          value={part.blows ?? ""}
          options={[UNKNOWN, { value: "in", words: "into the case" }, { value: "out", words: "out of it" }]}
          onChange={(v) => void set({ blows: v || null })}
        />
      </span>
    </>
  );
}
