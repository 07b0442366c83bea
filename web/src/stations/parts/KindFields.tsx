import type { Part } from "../../api/client";
import { useBuild } from "../../state/build/contexts";
import { SPIKES } from "../../state/format";
import { Choice, NumberField } from "../../ui/fields";
import { DeclaredFields } from "./DeclaredFields";
import { Outputs, Slots } from "./Outputs";
import { Signals } from "./Signals";
import { useWords } from "../../words";
import type { SetPart } from "./set";

/** What a kind of part has besides figures and sockets: what is plain as declared, then the rest. */
export function KindFields({ part, set }: { part: Part; set: SetPart }) {
  return (
    <div className="grid gap-2">
      {part.kind === "card" && <InSlot part={part} set={set} />}
      {part.kind === "m2" && <InM2Slot part={part} set={set} />}
      {"on" in part && <HangsOn part={part} set={set} />}
      <DeclaredFields part={part} set={set} />
      {"spike_factors" in part && <Spikes part={part} set={set} />}
      {part.kind === "hub" && (
        <Outputs field="outputs" title="Outputs" stem="out" headers={part.outputs} set={set} />
      )}
      {part.kind === "board" && (
        <>
          <Slots board={part} set={set} />
          <Outputs field="headers" title="Headers" stem="fan" headers={part.headers} set={set} />
        </>
      )}
      {"sata_ports" in part && <Signals part={part} set={set} />}
    </div>
  );
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

/** The board's slot that a card stands in. */
function InSlot({ part, set }: { part: Card; set: SetPart<Card> }) {
  const board = useBuild().doc.parts.find((p) => p.kind === "board");
  const slots = board?.kind === "board" ? board.slots : [];
  return (
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
  );
}

/** The board's M.2 slot that a drive is in. */
function InM2Slot({ part, set }: { part: Extract<Part, { kind: "m2" }>; set: SetPart }) {
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
