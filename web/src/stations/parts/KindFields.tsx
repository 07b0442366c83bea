import type { Part } from "../../api/client";
import { useBuild } from "../../state/build/contexts";
import { SPIKES } from "../../state/format";
import { Choice, NumberField, Tick } from "../../ui/fields";
import { Blowing, Radiator, CardSize } from "./Measures";
import { LANES, Outputs, Slots } from "./Outputs";
import { Signals } from "./Signals";
import { useWords } from "../../words";
import type { SetPart } from "./set";

/** What a kind of part has besides figures and sockets. */
export function KindFields({ part, set }: { part: Part; set: SetPart }) {
  switch (part.kind) {
    case "card":
      return <CardFields part={part} set={set} />;
    case "processor":
      return <Spikes part={part} set={set} />;
    case "memory":
      return (
        <Choice
          label="Generation"
          value={part.generation}
          options={[
            { value: "ddr5", words: "DDR5, unbuffered" },
            { value: "ddr5-registered", words: "DDR5, registered" },
            { value: "ddr4", words: "DDR4" },
            { value: "ddr3", words: "DDR3" },
          ]}
          onChange={(generation) => void set({ generation })}
        />
      );
    case "drive":
      return (
        <div className="flex flex-wrap items-end gap-3">
          <Choice
            label="Form"
            value={part.form}
            options={[
              { value: "3.5", words: "3.5-inch" },
              { value: "2.5", words: "2.5-inch" },
              { value: "optical", words: "optical" },
              { value: "floppy", words: "floppy" },
            ]}
            onChange={(form) => void set({ form })}
          />
          <Choice
            label="Its data goes"
            value={part.data ?? ""}
            options={[
              { value: "", words: "as its plug tells" },
              { value: "sata", words: "to a SATA port" },
              { value: "ribbon", words: "by a ribbon" },
              { value: "expander", words: "to an expander" },
            ]}
            onChange={(data) => void set({ data: data || null })}
          />
          <Tick
            label="Stays off where pin 3 carries 3.3 V"
            checked={part.power_disable}
            onChange={(power_disable) => void set({ power_disable })}
          />
        </div>
      );
    case "fan":
      return (
        <div className="flex flex-wrap gap-3">
          <NumberField
            label="Size"
            unit="mm"
            whole
            value={part.size_mm}
            onCommit={(size_mm) => set({ size_mm })}
          />
          <HangsOn part={part} set={set} />
          <Blowing part={part} set={set} />
        </div>
      );
    case "cooler":
      return (
        <div className="flex flex-wrap gap-3">
          <NumberField
            label="Fans with it"
            unit=""
            whole
            value={part.fans}
            onCommit={(fans) => set({ fans })}
          />
          <HangsOn part={part} set={set} />
          <UsbLead part={part} set={set} />
          <Radiator part={part} set={set} />
          <Blowing part={part} set={set} />
        </div>
      );
    case "strip":
      return (
        <div className="flex flex-wrap gap-3">
          <Choice
            label="Volts"
            value={String(part.volts)}
            options={[
              { value: "5", words: "5 V" },
              { value: "12", words: "12 V" },
            ]}
            onChange={(v) => void set({ volts: Number(v) })}
          />
          <HangsOn part={part} set={set} />
        </div>
      );
    case "pump":
      return <HangsOn part={part} set={set} />;
    case "hub":
      return (
        <div className="grid gap-3">
          <HangsOn part={part} set={set} />
          <UsbLead part={part} set={set} />
          <Outputs field="outputs" title="Outputs" stem="out" headers={part.outputs} set={set} />
        </div>
      );
    case "m2":
      return <InSlot part={part} set={set} />;
    case "usb":
      return (
        <div className="flex flex-wrap items-end gap-3">
          <span data-field="port">
            <Choice
              label="Plugged into"
              value={part.port}
              options={[
                { value: "outside", words: "a port outside" },
                { value: "usb2", words: "an internal USB 2 header" },
                { value: "usb3", words: "an internal USB 3 header" },
                { value: "usb-c", words: "an internal USB-C header" },
              ]}
              onChange={(port) => void set({ port })}
            />
          </span>
          {part.port !== "outside" && (
            <NumberField
              label="Headers it gives"
              unit=""
              whole
              empty
              narrow
              placeholder="none"
              value={part.usb2_headers}
              onCommit={(usb2_headers) => set({ usb2_headers })}
            />
          )}
        </div>
      );
    case "other":
      return (
        <NumberField
          label="Idle, as a share of full"
          unit="×"
          value={part.idle_share}
          onCommit={(idle_share) => set({ idle_share })}
        />
      );
    case "board":
      return (
        <div className="grid gap-3">
          <Slots board={part} set={set} />
          <Outputs field="headers" title="Headers" stem="fan" headers={part.headers} set={set} />
          <Tick
            label="Manual allows a 4-pin processor plug in the 8-pin socket"
            checked={part.eps4_in_eps8}
            onChange={(eps4_in_eps8) => void set({ eps4_in_eps8 })}
          />
          <Signals part={part} set={set} />
        </div>
      );
    default:
      return null;
  }
}

type Card = Extract<Part, { kind: "card" }>;

type Processor = Extract<Part, { kind: "processor" }>;

/** Which spike factors a part gets, and its own where it has them. */
function Spikes({ part, set }: { part: Card | Processor; set: SetPart<Card | Processor> }) {
  const { assumptions: a } = useBuild().doc;
  const own = part.spike_factors;
  const usual =
    part.kind === "card"
      ? [a.spike_card_0_1ms, a.spike_card_1ms, a.spike_card_10ms, a.spike_card_100ms]
      : [a.spike_sustained_0_1ms, a.spike_sustained_1ms, a.spike_sustained_10ms, a.spike_sustained_100ms];
  const choose = (way: string) => {
    if (way === "own") return set({ spike_factors: usual });
    return set(part.kind === "card" ? { spikes: way, spike_factors: null } : { spike_factors: null });
  };
  const worst = part.kind === "card" ? [{ value: "by-standard worst", words: "by-standard worst" }] : [];
  return (
    <div data-field="spikes" className="grid gap-2">
      <Choice
        label="Spikes"
        value={own ? "own" : part.kind === "card" ? part.spikes : "usual"}
        options={[{ value: "usual", words: "usual" }, ...worst, { value: "own", words: "its own" }]}
        onChange={(way) => void choose(way)}
      />
      {own && (
        <div className="flex flex-wrap items-end gap-2">
          {SPIKES.map(([key, words], i) => (
            <NumberField
              key={key}
              narrow
              label={words}
              unit="×"
              value={own[i] ?? null}
              onCommit={(v) =>
                set((now) => ({ spike_factors: now.spike_factors?.map((f, k) => (k === i ? v : f)) ?? null }))
              }
            />
          ))}
        </div>
      )}
    </div>
  );
}

/** Slot, lanes, power limit and spikes of a card. */
function CardFields({ part, set }: { part: Card; set: SetPart<Card> }) {
  const build = useBuild();
  const board = build.doc.parts.find((p) => p.kind === "board");
  const slots = board?.kind === "board" ? board.slots : [];
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-3">
        <span data-field="slot">
          <Choice
            label="Stands in"
            value={part.slot ?? ""}
            options={[
              { value: "", words: "not said" },
              ...slots.map((s) => ({ value: s.key, words: `${s.key}, x${s.lanes}` })),
            ]}
            onChange={(slot) => void set({ slot: slot || null })}
          />
        </span>
        <Choice
          label="Lanes of its edge"
          value={String(part.lanes)}
          options={LANES}
          onChange={(v) => void set({ lanes: Number(v) })}
        />
        <Choice
          label="Kind of card"
          value={part.use}
          options={[
            { value: "graphics", words: "graphics" },
            { value: "plain", words: "plain: sound, network, capture" },
          ]}
          onChange={(use) => void set({ use })}
        />
        <NumberField
          label="Power limit"
          unit="× as delivered"
          value={part.power_limit}
          onCommit={(power_limit) => set({ power_limit })}
        />
      </div>
      <CardSize part={part} set={set} />
      <Spikes part={part} set={set} />
      <Signals part={part} set={set as SetPart} />
    </div>
  );
}

/** Whether a controller has a lead for an internal USB header. */
function UsbLead({ part, set }: { part: Extract<Part, { usb_lead: boolean | null }>; set: SetPart }) {
  return (
    <span data-field="usb_lead">
      <Choice
        label="Lead for an internal USB header"
        value={part.usb_lead === null ? "" : part.usb_lead ? "yes" : "no"}
        options={[
          { value: "", words: "not known" },
          { value: "yes", words: "has one" },
          { value: "no", words: "has none" },
        ]}
        onChange={(v) => void set({ usb_lead: v === "" ? null : v === "yes" })}
      />
    </span>
  );
}

/** The board's M.2 slot that a drive is in. */
function InSlot({ part, set }: { part: Extract<Part, { kind: "m2" }>; set: SetPart }) {
  const board = useBuild().doc.parts.find((p) => p.kind === "board");
  const slots = (board?.kind === "board" && board.m2_slots) || [];
  if (part.count > 1 || (!slots.length && !part.slot)) return null;
  return (
    <span data-field="slot">
      <Choice
        label="In the board’s slot"
        value={part.slot ?? ""}
        options={[
          { value: "", words: "where it costs the fewest ports" },
          ...slots.map((s) => ({
            value: s.key,
            words: s.off.length ? `${s.key}, switches off SATA ${s.off.join(", ")}` : s.key,
          })),
        ]}
        onChange={(slot) => void set({ slot: slot || null })}
      />
    </span>
  );
}

type Hanging = Extract<Part, { on: string | null }>;

/** The hub, or the board, whose headers feed a part without a plug of its own, and which of them. */
function HangsOn({ part, set }: { part: Hanging; set: SetPart }) {
  const words = useWords().headers;
  const build = useBuild();
  if (part.sockets.length > 0) return null;
  const hubs = build.doc.parts.filter((p) => p.kind === "hub" && p.key !== part.key);
  const owner = build.doc.parts.find((p) => (part.on ? p.key === part.on : p.kind === "board"));
  const headers = owner?.kind === "hub" ? owner.outputs : owner?.kind === "board" ? owner.headers : [];
  const several = part.headers.length > 1 ? [{ value: "several", words: part.headers.join(", ") }] : [];
  return (
    <span data-field="headers" className="flex flex-wrap gap-3">
      <Choice
        label="Hangs on"
        value={part.on ?? ""}
        options={[
          { value: "", words: "the board’s headers" },
          ...hubs.map((h) => ({ value: h.key, words: h.name })),
        ]}
        onChange={(on) => void set({ on: on || null, headers: [] })}
      />
      <Choice
        label="Header"
        value={part.headers.length > 1 ? "several" : (part.headers[0] ?? "")}
        options={[
          { value: "", words: "all of its kind, in turn" },
          ...several,
          ...headers.map((h) => ({ value: h.key, words: `${h.key}, for ${words[h.kind] ?? h.kind}` })),
        ]}
        onChange={(key) => void set({ headers: key ? [key] : [] })}
      />
    </span>
  );
}
