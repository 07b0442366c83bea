import type { Part } from "../../api/client";
import { Choice, NumberField, Tick } from "../../ui/fields";

/** What a kind of part has besides figures and sockets. */
export function KindFields({ part, set }: { part: Part; set: (c: Record<string, unknown>) => Promise<unknown> }) {
  switch (part.kind) {
    case "card":
      return (
        <div className="flex flex-wrap gap-3">
          <Choice
            label="Slot lanes" value={String(part.lanes)} options={["16", "8", "4", "1"].map((v) => ({ value: v, words: `x${v}` }))}
            onChange={(v) => void set({ lanes: Number(v) })}
          />
          <NumberField
            label="Power limit" unit="× as delivered" value={part.power_limit} onCommit={(power_limit) => set({ power_limit })}
          />
        </div>
      );
    case "memory":
      return (
        <Choice
          label="Generation" value={part.generation}
          options={[
            { value: "ddr5", words: "DDR5, unbuffered" }, { value: "ddr5-registered", words: "DDR5, registered" },
            { value: "ddr4", words: "DDR4" }, { value: "ddr3", words: "DDR3" },
          ]}
          onChange={(generation) => void set({ generation })}
        />
      );
    case "drive":
      return (
        <Choice
          label="Form" value={part.form} options={[{ value: "3.5", words: "3.5-inch" }, { value: "2.5", words: "2.5-inch" }]}
          onChange={(form) => void set({ form })}
        />
      );
    case "fan":
      return <NumberField label="Size" unit="mm" whole value={part.size_mm} onCommit={(size_mm) => set({ size_mm })} />;
    case "board":
      return (
        <Tick
          label="Manual allows a 4-pin processor plug in the 8-pin socket" checked={part.eps4_in_eps8}
          onChange={(eps4_in_eps8) => void set({ eps4_in_eps8 })}
        />
      );
    default:
      return null;
  }
}
