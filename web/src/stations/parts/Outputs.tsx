import type { Header, Part } from "../../api/client";
import { withLikely } from "../../state/parts/figure";
import { Button } from "../../ui/button";
import { Choice, NumberField } from "../../ui/fields";
import { useWords } from "../../words";
import type { SetPart } from "./set";

type Board = Extract<Part, { kind: "board" }>;

/** A key that no other thing in a list has. */
export function freshKey(stem: string, taken: string[]): string {
  let n = taken.length + 1;
  while (taken.includes(`${stem}-${n}`)) n += 1;
  return `${stem}-${n}`;
}

/** Power outputs, of a board or of a hub: what each is for, and what it gives. */
export function Outputs({
  field,
  title,
  stem,
  headers,
  set,
}: {
  field: "headers" | "outputs";
  title: string;
  stem: string;
  headers: Header[];
  set: SetPart;
}) {
  const kinds = Object.entries(useWords().headers).map(([value, words]) => ({
    value: value as Header["kind"],
    words,
  }));
  const put = (to: (now: Header[]) => Header[]) => set((now) => ({ [field]: to(headersOf(now)) }));
  const change = (key: string, to: (h: Header) => Partial<Header>) =>
    put((now) => now.map((h) => (h.key === key ? { ...h, ...to(h) } : h)));
  const add = () =>
    put((now) => [
      ...now,
      {
        key: freshKey(
          stem,
          now.map((h) => h.key),
        ),
        kind: now.at(-1)?.kind ?? "fan",
        limit_a: now.at(-1)?.limit_a ?? null,
        speed: null,
      },
    ]);
  return (
    <fieldset data-field={field} className="grid gap-1">
      <legend className="mb-1 text-sm font-bold">{title}</legend>
      {headers.map((h) => (
        <div key={h.key} className="grid grid-cols-[60px_minmax(0,1fr)_auto_auto] items-center gap-1.5">
          <span className="truncate text-sm" title={h.key}>
            {h.key}
          </span>
          <Choice
            label={`What ${h.key} is for`}
            hideLabel
            value={h.kind}
            options={kinds}
            onChange={(kind) => void change(h.key, () => ({ kind }))}
          />
          <NumberField
            compact
            narrow
            empty
            label={`What ${h.key} gives`}
            unit="A"
            placeholder="?"
            value={h.limit_a?.likely ?? null}
            onCommit={(a) =>
              change(h.key, (now) => ({ limit_a: a === null ? null : withLikely(now.limit_a, a) }))
            }
          />
          <Remove what={h.key} onRemove={() => void put((now) => now.filter((x) => x.key !== h.key))} />
        </div>
      ))}
      <Button look="quiet" className="justify-self-start" onClick={() => void add()}>
        Add a header
      </Button>
      <SpeedsSeen headers={headers} onChange={(key, speed) => void change(key, () => ({ speed }))} />
    </fieldset>
  );
}

/** Which headers show the speed of what hangs on them, where that is not as usual. */
function SpeedsSeen({
  headers,
  onChange,
}: {
  headers: Header[];
  onChange: (key: string, speed: boolean | null) => void;
}) {
  const turning = headers.filter((h) => h.kind === "fan" || h.kind === "pump");
  if (!turning.length) return null;
  return (
    <details className="text-sm">
      <summary className="cursor-pointer text-ink-soft">Which of them show a fan’s speed</summary>
      <div className="mt-1 grid gap-1">
        {turning.map((h) => (
          <div key={h.key} className="grid grid-cols-[60px_minmax(0,1fr)] items-center gap-1.5">
            <span className="truncate" title={h.key}>
              {h.key}
            </span>
            <Choice
              label={`Whether ${h.key} shows a speed`}
              hideLabel
              value={h.speed === null ? "" : h.speed ? "yes" : "no"}
              options={[
                { value: "", words: "as usual" },
                { value: "yes", words: "shows it" },
                { value: "no", words: "does not" },
              ]}
              onChange={(v) => onChange(h.key, v === "" ? null : v === "yes")}
            />
          </div>
        ))}
      </div>
    </details>
  );
}

/** A board's slots: lanes, and the socket that feeds one where the manual says so. */
export function Slots({ board, set }: { board: Board; set: SetPart<Board> }) {
  const put = (to: (now: Board["slots"]) => Board["slots"]) => set((now) => ({ slots: to(now.slots) }));
  const change = (key: string, changes: Partial<Board["slots"][number]>) =>
    put((now) => now.map((s) => (s.key === key ? { ...s, ...changes } : s)));
  const feeds = [
    { value: "", words: "fed as usual" },
    ...board.sockets.map((s) => ({ value: s.key, words: `by ${s.key}` })),
  ];
  return (
    <fieldset data-field="slots" className="grid gap-1">
      <legend className="mb-1 text-sm font-bold">Slots</legend>
      {board.slots.map((s) => (
        <div key={s.key} className="grid grid-cols-[52px_64px_minmax(0,1fr)_56px_auto] items-center gap-1.5">
          <span className="truncate text-sm" title={s.key}>
            {s.key}
          </span>
          <Choice
            label={`Lanes of ${s.key}`}
            hideLabel
            value={String(s.lanes)}
            options={LANES}
            onChange={(v) => void change(s.key, { lanes: Number(v) as 16 })}
          />
          <Choice
            label={`What feeds ${s.key} at 12 V`}
            hideLabel
            value={s.fed_by ?? ""}
            options={feeds}
            onChange={(v) => void change(s.key, { fed_by: v || null })}
          />
          <NumberField
            compact
            narrow
            whole
            empty
            label={`Place of ${s.key} in the case, 1 the topmost`}
            unit=""
            placeholder="place"
            value={s.place}
            onCommit={(place) => change(s.key, { place })}
          />
          <Remove what={s.key} onRemove={() => void put((now) => now.filter((x) => x.key !== s.key))} />
        </div>
      ))}
      <Button
        look="quiet"
        className="justify-self-start"
        onClick={() =>
          void put((now) => [
            ...now,
            {
              key: freshKey(
                "slot",
                now.map((s) => s.key),
              ),
              lanes: 16,
              fed_by: null,
              place: null,
            },
          ])
        }
      >
        Add a slot
      </Button>
    </fieldset>
  );
}

/** The headers that a board or a hub gives. */
function headersOf(part: Part): Header[] {
  return part.kind === "board" ? part.headers : part.kind === "hub" ? part.outputs : [];
}

const LANES = ["16", "8", "4", "1"].map((v) => ({ value: v, words: `x${v}` }));

export function Remove({ what, onRemove }: { what: string; onRemove: () => void }) {
  return (
    <Button
      look="quiet"
      className="px-1.5 text-md font-normal"
      aria-label={`Remove ${what}`}
      title={`Remove ${what}`}
      onClick={onRemove}
    >
      ×
    </Button>
  );
}
