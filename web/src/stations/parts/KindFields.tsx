import type { Part } from "../../api/client";
import { useBuild } from "../../state/build";
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
          <Choice
            label="Spikes" value={part.spikes}
            options={[{ value: "usual", words: "usual" }, { value: "by-standard worst", words: "by-standard worst" }]}
            onChange={(spikes) => void set({ spikes })}
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
          label="Form" value={part.form} options={[
            { value: "3.5", words: "3.5-inch" }, { value: "2.5", words: "2.5-inch" },
            { value: "optical", words: "optical" }, { value: "floppy", words: "floppy" },
          ]}
          onChange={(form) => void set({ form })}
        />
      );
    case "fan":
      return (
        <div className="flex flex-wrap gap-3">
          <NumberField label="Size" unit="mm" whole value={part.size_mm} onCommit={(size_mm) => set({ size_mm })} />
          <HangsOn part={part} set={set} />
        </div>
      );
    case "cooler":
      return (
        <div className="flex flex-wrap gap-3">
          <NumberField label="Fans with it" unit="" whole value={part.fans} onCommit={(fans) => set({ fans })} />
          <HangsOn part={part} set={set} />
        </div>
      );
    case "strip":
      return (
        <div className="flex flex-wrap gap-3">
          <Choice label="Volts" value={String(part.volts)} options={[{ value: "5", words: "5 V" }, { value: "12", words: "12 V" }]} onChange={(v) => void set({ volts: Number(v) })} />
          <HangsOn part={part} set={set} />
        </div>
      );
    case "pump":
    case "hub":
      return <HangsOn part={part} set={set} />;
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

type Hanging = Extract<Part, { on: string | null }>;

/** The hub, or the board, whose headers feed a part without a plug of its own. */
function HangsOn({ part, set }: { part: Hanging; set: (c: Record<string, unknown>) => Promise<unknown> }) {
  const { build } = useBuild();
  if (part.sockets.length > 0) return null;
  const hubs = build.doc.parts.filter((p) => p.kind === "hub" && p.key !== part.key);
  return (
    <Choice
      label="Hangs on" value={part.on ?? ""}
      options={[{ value: "", words: "the board’s headers" }, ...hubs.map((h) => ({ value: h.key, words: h.name }))]}
      onChange={(on) => void set({ on: on || null, headers: [] })}
    />
  );
}
