import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";

import { client, reason, take, type HeldAnswer, type ReadingsOut, type TakenOut } from "../../api/client";
import { PinBars } from "../../drawing/PinBars";
import { useBuild, useWrite } from "../../state/build/contexts";
import { day, time } from "../../state/clock";
import { lastThrown } from "../../state/thrown";
import { heldQuery, readingsKey, readingsQuery } from "../../state/queries";
import { firstChoice } from "../../state/readings/choice";
import { timeWords, type Range } from "../../state/readings/range";
import { MOST_TOLD, told } from "../../state/readings/told";
import { Button } from "../../ui/button";
import { Menu, MenuItem } from "../../ui/menu";
import { useWords } from "../../words";
import { BinDialog } from "../frame/Bin";
import { StationHead } from "../frame/Head";
import { Channels } from "./Channels";
import { FileDialog } from "./FileDialog";
import { LiveDialog, SimulateDialog } from "./Instruments";
import { NameStates } from "./NameStates";
import { Pictures } from "./Pictures";
import { savePicture } from "./picture";
import { SettleDialog } from "./SettleDialog";
import { TypeDialog } from "./TypeDialog";

const SEVERITY: Record<string, { words: string; look: string }> = {
  over: { words: "over", look: "text-over" },
  tight: { words: "differs", look: "text-tight" },
  unknown: { words: "not measured", look: "text-unknown" },
  note: { words: "as expected", look: "text-within" },
};
const VERDICT_LOOK: Record<string, string> = {
  over: "text-over",
  tight: "text-tight",
  unknown: "text-unknown",
  within: "text-within",
};

/** The machine held against the tally: what was measured, what differs, what to look at. */
export default function Readings() {
  const build = useBuild();
  const { say } = useWrite();
  const queries = useQueryClient();
  const [params, setParams] = useSearchParams();
  const { data, error } = useQuery(readingsQuery(build.key, build.version));
  const sets = data?.sets ?? [];
  const set = sets.find((s) => s.key === params.get("set")) ?? sets[0];
  const shown = params.get("open") ?? "";
  const open = (what: string) =>
    setParams((p) => {
      if (what) p.set("open", what);
      else p.delete("open");
      return p;
    });
  const choose = (key: string) => setParams(key ? { set: key } : {}, { replace: true });
  const made = async (row: TakenOut) => {
    await queries.invalidateQueries({ queryKey: readingsKey(build.key) });
    choose(row.key);
  };
  const at = (of: TakenOut) => ({ params: { path: { key: build.key, taken: of.key } } });
  const run = async (call: () => Promise<unknown>) => {
    try {
      await call();
      await queries.invalidateQueries({ queryKey: readingsKey(build.key) });
    } catch (error_) {
      say(reason(error_));
    }
  };
  const bringBack = (of: string) =>
    run(() =>
      take(
        client.POST("/api/v1/builds/{key}/bin/readings/{taken}", {
          params: { path: { key: build.key, taken: of } },
        }),
      ),
    );
  if (error && !data) return <p className="p-8 text-over">{reason(error)}</p>;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead
        title="Readings"
        note={set ? set.name : "the machine held against the tally"}
        rest={[
          { label: "Trainer", to: `/b/${build.key}/readings/trainer` },
          {
            label: "Take readings",
            items: [
              { label: "Type in what a meter says…", onSelect: () => open("typed") },
              { label: "From a file of a logger, CSV…", onSelect: () => open("file") },
              { label: "Live, from instruments…", onSelect: () => open("live") },
              { label: "From the simulated instruments…", onSelect: () => open("simulated") },
            ],
          },
          { label: "The bin", quiet: true, onSelect: () => open("bin") },
        ]}
      />
      {data && (
        <Dialogs
          shown={shown}
          data={data}
          set={set}
          onClose={() => open("")}
          onMade={made}
          bringBack={bringBack}
        />
      )}
      {data && !set && <Nothing onOpen={open} />}
      {set && (
        <OneSet
          key={set.key}
          set={set}
          sets={sets}
          onChoose={choose}
          onOpen={open}
          onStop={() =>
            void run(() => take(client.POST("/api/v1/builds/{key}/readings/{taken}/stop", at(set))))
          }
          onRemove={() =>
            void run(async () => {
              await take(client.DELETE("/api/v1/builds/{key}/readings/{taken}", at(set)));
              choose("");
              const { key, name } = set;
              lastThrown.was({ words: name, back: () => bringBack(key) });
            })
          }
        />
      )}
    </div>
  );
}

/** The ways to take readings, what they settle, the bin: each by the address. */
function Dialogs({
  shown,
  data,
  set,
  onClose,
  onMade,
  bringBack,
}: {
  shown: string;
  data: ReadingsOut;
  set: TakenOut | undefined;
  onClose: () => void;
  onMade: (row: TakenOut) => Promise<void>;
  bringBack: (taken: string) => Promise<void>;
}) {
  const { key } = useBuild();
  const dialog = { buildKey: key, onClose, onMade };
  return (
    <>
      {shown === "typed" && <TypeDialog {...dialog} channels={data.channels} />}
      {shown === "file" && <FileDialog {...dialog} channels={data.channels} />}
      {shown === "live" && <LiveDialog {...dialog} faults={data.faults} />}
      {shown === "simulated" && <SimulateDialog {...dialog} faults={data.faults} />}
      {shown === "settle" && set && <SettleDialog buildKey={key} of={set.key} onClose={onClose} />}
      {shown === "bin" && (
        <BinDialog
          title="Readings in the bin"
          load={() => take(client.GET("/api/v1/builds/{key}/bin/readings", { params: { path: { key } } }))}
          back={(x) => bringBack(x.key)}
          onClose={onClose}
        />
      )}
    </>
  );
}

function Nothing({ onOpen }: { onOpen: (what: string) => void }) {
  return (
    <section
      aria-label="Nothing measured yet"
      className="mx-6 max-w-[720px] border border-rule bg-slip p-6 max-[700px]:mx-3"
    >
      <h2 className="text-xl font-bold">Nothing is measured yet</h2>
      <p className="mt-2 text-lg">
        Run the machine idle, in everyday use and at full load, a few minutes each, and read what it draws.
        One figure of a wall meter is enough to begin with.
      </p>
      <div className="mt-4 flex flex-wrap gap-2">
        <Button look="main" onClick={() => onOpen("typed")}>
          Type in what a meter says
        </Button>
        <Button onClick={() => onOpen("file")}>Read a logger’s file</Button>
        <Button onClick={() => onOpen("simulated")}>Try the simulated instruments</Button>
      </div>
      <p className="mt-4 text-base text-ink-soft">
        Never open a supply or a plug that carries current to measure it. A plug that is warm, browned or
        loose ends the work: switch off at the wall.
      </p>
    </section>
  );
}

function OneSet({
  set,
  sets,
  onChoose,
  onOpen,
  onStop,
  onRemove,
}: {
  set: TakenOut;
  sets: TakenOut[];
  onChoose: (key: string) => void;
  onOpen: (what: string) => void;
  onStop: () => void;
  onRemove: () => void;
}) {
  const build = useBuild();
  const damaged = set.state === "damaged";
  const { data: held } = useQuery({
    ...heldQuery(build.key, set.key, build.version, set.samples),
    enabled: !damaged,
  });
  const [picked, setPicked] = useState<string[] | null>(null);
  const [range, setRange] = useState<Range | null>(null);
  const chosen = useMemo(() => picked ?? firstChoice(set.channels, held), [picked, set.channels, held]);
  const source = useMemo(
    () => ({
      key: ["series", build.key, set.key, set.samples],
      fetch: (channels: string[], r: Range, buckets: number) =>
        take(
          client.GET("/api/v1/builds/{key}/readings/{taken}/series", {
            params: {
              path: { key: build.key, taken: set.key },
              query: { channels: channels.join(), from_s: r.from, to_s: r.to, buckets },
            },
          }),
        ),
    }),
    [build.key, set.key, set.samples],
  );
  return (
    <div className="flex min-h-0 flex-1 gap-4 px-6 pb-3 max-[1000px]:flex-col max-[1000px]:overflow-auto max-[700px]:px-3">
      <aside
        aria-label="Sets and channels"
        tabIndex={0}
        className="w-[240px] shrink-0 overflow-auto border border-rule bg-slip max-[1000px]:max-h-64 max-[1000px]:w-full"
      >
        <ul aria-label="Sets of readings">
          {sets.map((s) => (
            <li key={s.key}>
              <button
                type="button"
                data-set={s.key}
                aria-current={s.key === set.key || undefined}
                onClick={() => onChoose(s.key)}
                className="block min-h-11 w-full border-b border-rule px-3 py-1.5 text-left text-base leading-tight hover:bg-accent-wash aria-[current=true]:bg-accent-wash aria-[current=true]:font-bold"
              >
                {s.name}
                <span className="block text-sm font-normal text-ink-soft">
                  {s.state === "coming"
                    ? "coming in"
                    : s.state === "damaged"
                      ? "can’t be shown"
                      : `${day(s.at)} ${time(s.at)}`}
                  , {s.samples.toLocaleString("en-GB")} samples
                </span>
              </button>
            </li>
          ))}
        </ul>
        {!damaged && <Channels channels={set.channels} chosen={chosen} onChange={setPicked} />}
      </aside>
      {damaged ? (
        <div className="min-w-0 flex-1">
          <Damaged set={set} onRemove={onRemove} />
        </div>
      ) : (
        <>
          <div
            tabIndex={0}
            role="region"
            aria-label="What was measured"
            className="min-w-0 flex-1 overflow-auto max-[1000px]:flex-none max-[1000px]:overflow-visible"
          >
            {set.source === "simulated" && (
              <p className="mb-2 border-l-4 border-tight py-1 pl-3 text-base">
                <b>Simulated.</b> No machine was measured: these instruments ship with Easy Tally, and what
                they say stays simulated wherever it goes.
              </p>
            )}
            <Verdict held={held} set={set} onStop={onStop} />
            <div className="border border-rule bg-slip px-2 py-1">
              <Pictures
                source={source}
                channels={set.channels}
                chosen={chosen}
                held={held}
                seconds={set.seconds}
                range={range}
                onRange={setRange}
              />
            </div>
            <div className="flex flex-wrap gap-2 py-2">
              <Button onClick={() => onOpen("settle")}>What it settles…</Button>
              <Menu label="Save" align="start">
                <MenuItem
                  onSelect={() =>
                    window.location.assign(`/api/v1/builds/${build.key}/readings/${set.key}/file.csv`)
                  }
                >
                  The figures, CSV
                </MenuItem>
                <MenuItem
                  onSelect={() => {
                    const query = new URLSearchParams({ channels: chosen.join() });
                    if (range) {
                      query.set("from_s", String(range.from));
                      query.set("to_s", String(range.to));
                    }
                    window.location.assign(
                      `/api/v1/builds/${build.key}/readings/${set.key}/picture.svg?${query}`,
                    );
                  }}
                >
                  The picture, SVG
                </MenuItem>
                <MenuItem onSelect={savePicture}>The picture, PNG</MenuItem>
              </Menu>
              {held && <NameStates buildKey={build.key} set={set} held={held} range={range} />}
              <span className="flex-1" />
              <Button look="quiet" onClick={onRemove}>
                Throw these away
              </Button>
            </div>
            {held && <Figures held={held} />}
          </div>
          <aside
            aria-label="Pins"
            tabIndex={0}
            className="flex w-[280px] shrink-0 flex-col gap-3 overflow-auto border border-rule bg-slip p-3 max-[1200px]:w-[250px] max-[1000px]:w-full"
          >
            <Plugs held={held} />
          </aside>
        </>
      )}
    </div>
  );
}

/** A set that an earlier version took and that can't be shown: it says so, and can be thrown away. */
function Damaged({ set, onRemove }: { set: TakenOut; onRemove: () => void }) {
  return (
    <section aria-label="What differs" className="border-2 border-over bg-slip p-4">
      <h2 className="text-xl font-bold">{set.name} can’t be shown</h2>
      <p className="mt-1 text-lg">{set.said}.</p>
      <Button className="mt-3" onClick={onRemove}>
        Throw these away
      </Button>
    </section>
  );
}

/** What differs, worst first, and what has become of the set. */
function Verdict({ held, set, onStop }: { held: HeldAnswer | undefined; set: TakenOut; onStop: () => void }) {
  const [all, setAll] = useState(false);
  const { verdict, title, differs, fine, more } = told(held);
  return (
    <section aria-label="What differs" className="mb-2 border border-rule bg-slip px-4 py-2">
      <Coming set={set} onStop={onStop} />
      {title && (
        <h2 data-held={verdict} className={`text-2xl leading-tight font-bold ${VERDICT_LOOK[verdict] ?? ""}`}>
          {title}
        </h2>
      )}
      <ul>
        {differs.slice(0, all ? undefined : MOST_TOLD).map((f, i) => (
          <li key={i} data-found={f.id} className="border-t border-rule py-1.5 first:border-t-0">
            <p className="text-lg leading-snug">
              <b className={SEVERITY[f.severity]?.look}>{SEVERITY[f.severity]?.words}: </b>
              {f.text}
            </p>
            {f.look && <p className="text-base text-ink-soft">{f.look}</p>}
          </li>
        ))}
      </ul>
      {more && (
        <button
          type="button"
          aria-expanded={all}
          className="min-h-8 font-semibold text-accent underline"
          onClick={() => setAll(!all)}
        >
          {all ? "Less" : more}
        </button>
      )}
      {all && (
        <ul className="text-base">
          {fine.map((f, i) => (
            <li key={i} data-found={f.id} className="py-0.5">
              {f.text}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** How a set comes in, and how it ended. */
function Coming({ set, onStop }: { set: TakenOut; onStop: () => void }) {
  return (
    <>
      {set.state === "coming" && (
        <p role="status" className="flex items-center gap-3 text-lg font-bold text-accent">
          Coming in: {set.samples.toLocaleString("en-GB")} samples, {timeWords(set.seconds)}
          <Button onClick={onStop}>Stop</Button>
        </p>
      )}
      {set.said && (
        <p className="text-base">
          <b>{set.state === "broken off" ? "Broken off: " : ""}</b>
          {set.said}.
          {set.problems.map((p) => (
            <span key={String(p.line)} className="block text-sm text-ink-soft">
              Line {String(p.line)}: {String(p.reason)}
            </span>
          ))}
        </p>
      )}
    </>
  );
}

/** The bars of the plugs in a state, in the order in which they come. */
export function Plugs({ held }: { held: HeldAnswer | undefined }) {
  const words = useWords();
  const states = [...new Set(held?.plugs.map((p) => p.state))];
  const [state, setState] = useState("full");
  const shown = states.includes(state) ? state : states[0];
  const plugs = held?.plugs.filter((p) => p.state === shown) ?? [];
  if (!plugs.length)
    return (
      <p className="text-base text-ink-soft">
        No pin of a plug was measured: how evenly they share a load is not known.
      </p>
    );
  return (
    <>
      <div role="group" aria-label="State of the bars" className="flex w-full flex-wrap gap-1">
        {states.map((s) => (
          <button
            key={s}
            type="button"
            aria-pressed={s === shown}
            onClick={() => setState(s)}
            className="min-h-8 rounded-[3px] border border-rule px-2 text-base aria-pressed:border-ink aria-pressed:font-bold"
          >
            {words.states[s as keyof typeof words.states] ?? s}
          </button>
        ))}
      </div>
      {plugs.map((p) => (
        <PinBars key={`${p.ref}${p.state}`} plug={p} />
      ))}
    </>
  );
}

/** Every channel in every state, against what the tally expects. */
export function Figures({ held }: { held: HeldAnswer }) {
  const words = useWords();
  const number = (x: number | null) => (x === null ? "" : Math.abs(x) >= 100 ? x.toFixed(0) : x.toFixed(2));
  return (
    <details>
      <summary className="min-h-8 cursor-pointer text-base font-semibold text-accent">
        Every figure: {held.figures.length}
      </summary>
      <div data-sideways className="overflow-x-auto">
        <table className="w-full min-w-[640px] text-left text-sm">
          <thead className="text-ink-soft">
            <tr>
              {["Channel", "State", "Mean", "95 %", "99.9 %", "Worst", "Expected", "Settled after"].map(
                (h) => (
                  <th key={h} className="py-1 pr-3 font-normal">
                    {h}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {held.figures.map((f) => (
              <tr key={f.channel + f.state} className="border-t border-rule">
                <td className="py-1 pr-3">{f.words}</td>
                <td className="py-1 pr-3">{words.states[f.state as keyof typeof words.states] ?? f.state}</td>
                <td className="py-1 pr-3 font-bold whitespace-nowrap">
                  {number(f.mean)} {f.unit}
                </td>
                <td className="py-1 pr-3">{number(f.high)}</td>
                <td className="py-1 pr-3">{number(f.top)}</td>
                <td className="py-1 pr-3">{number(f.worst)}</td>
                <td className="py-1 pr-3 whitespace-nowrap">
                  {f.band.low === null ? "" : `${number(f.band.low)} to ${number(f.band.high)}`}
                </td>
                <td className="py-1 whitespace-nowrap">{timeWords(f.settle_s)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
