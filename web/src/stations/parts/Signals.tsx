import type { Part } from "../../api/client";
import { useResult } from "../../state/build/contexts";
import { numberIn } from "../../state/parts/declared";
import { Button } from "../../ui/button";
import { NumberField, TextField } from "../../ui/fields";
import { capital } from "../../words";
import { freshKey, Remove } from "./Outputs";
import type { SetPart } from "./set";

type Board = Extract<Part, { kind: "board" }>;
type Counted = Extract<Part, { sata_ports: number | null }>;

/** Signal ports that a board or a card gives, each beside what the build needs of it. */
export function Signals({ part, set }: { part: Counted; set: SetPart }) {
  const { signals } = useResult().result;
  const counted = signals.filter((s) => part.kind === "card" || s.kind !== "m2");
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 text-sm font-bold">Signal ports</legend>
      {counted.map((s) => (
        <div
          key={s.kind}
          data-field={s.field}
          className="grid grid-cols-[minmax(0,1fr)_auto_74px] items-center gap-2"
        >
          <span aria-hidden="true" className="text-sm">
            {capital(s.words)}
          </span>
          <NumberField
            compact
            narrow
            whole
            empty
            label={capital(s.words)}
            unit=""
            placeholder="?"
            value={numberIn(part, s.field)}
            onCommit={(n) => set({ [s.field]: n })}
          />
          <Needed of={s} />
        </div>
      ))}
      {part.kind === "board" && <M2Slots board={part} set={set as SetPart<Board>} />}
    </fieldset>
  );
}

type Signal = ReturnType<typeof useResult>["result"]["signals"][number];

/** How many the build needs, and whether that is too many. */
function Needed({ of: s }: { of: Signal }) {
  const most = s.needed_most ?? "?";
  const needed = s.needed === s.needed_most ? s.needed : `${s.needed}–${most}`;
  const short = s.there_most === null ? 0 : s.needed - s.there_most;
  if (s.verdict === "short") return <b className="text-sm text-over">{`${needed} needed, ${short} short`}</b>;
  return (
    <span className={`text-sm ${s.verdict === "unknown" ? "font-semibold text-unknown" : "text-ink-soft"}`}>
      {`${needed} needed`}
    </span>
  );
}

/** A board's M.2 slots, and the SATA data ports that go dead once one is used. */
function M2Slots({ board, set }: { board: Board; set: SetPart<Board> }) {
  type Slots = NonNullable<Board["m2_slots"]>;
  const signal = useResult().result.signals.find((s) => s.kind === "m2");
  const put = (to: (now: Slots) => Slots) => set((now) => ({ m2_slots: to(now.m2_slots ?? []) }));
  const ports = (text: string) =>
    text
      .split(/[\s,;+]+/)
      .filter(Boolean)
      .map((n) => (/^[0-9]+$/.test(n) ? Number(n) : n)) as number[];
  return (
    <div data-field="m2_slots" className="mt-1 grid gap-1">
      <div className="grid grid-cols-[minmax(0,1fr)_74px] items-center gap-2">
        <span className="text-sm">M.2 slots{board.m2_slots === null && ": not known"}</span>
        {signal && <Needed of={signal} />}
      </div>
      {board.m2_slots?.length === 0 && <p className="text-sm text-ink-soft">It has none.</p>}
      {board.m2_slots?.map((s) => (
        <div key={s.key} className="grid grid-cols-[60px_minmax(0,1fr)_auto] items-end gap-1.5">
          <span className="truncate pb-1.5 text-sm" title={s.key}>
            {s.key}
          </span>
          <TextField
            label="Switches off SATA ports"
            value={s.off.join(", ")}
            onCommit={(text) =>
              put((now) => now.map((x) => (x.key === s.key ? { ...x, off: ports(text) } : x)))
            }
          />
          <Remove what={s.key} onRemove={() => void put((now) => now.filter((x) => x.key !== s.key))} />
        </div>
      ))}
      <div className="flex gap-2">
        <Button
          look="quiet"
          onClick={() =>
            void put((now) => [
              ...now,
              {
                key: freshKey(
                  "m2",
                  now.map((x) => x.key),
                ),
                off: [],
              },
            ])
          }
        >
          Add an M.2 slot
        </Button>
        {board.m2_slots === null && (
          <Button look="quiet" onClick={() => void set({ m2_slots: [] })}>
            It has none
          </Button>
        )}
      </div>
    </div>
  );
}
