import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";

import { client, take, type Supply } from "../../api/client";
import { Panel } from "../../drawing/Panel";
import { useWrite } from "../../state/build/contexts";
import { drawerKey, readThingQuery } from "../../state/queries";
import {
  LEADS,
  linesOf,
  NO_LABEL,
  portsOf,
  TAPS,
  withLead,
  type Label,
  type Lying,
  type PortKind,
} from "../../state/supply/infront";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

const FIGURES: { name: keyof Label; words: string; unit: string }[] = [
  { name: "rated", words: "Rated", unit: "W" },
  { name: "v12", words: "12 V", unit: "A" },
  { name: "v5", words: "5 V", unit: "A" },
  { name: "v3v3", words: "3.3 V", unit: "A" },
  { name: "combined", words: "5 V + 3.3 V", unit: "W" },
  { name: "standby", words: "Standby", unit: "A" },
];
const FORMS = ["ATX", "SFX", "SFX-L", "TFX", "Flex ATX"];
const DESIGNS = ["", "3.1", "3.0", "classic"];

/** A supply without a ruler: its panel as it looks, its cables as they lie, its label. */
export function InFront({ onClose }: { onClose: () => void }) {
  const [rows, setRows] = useState<PortKind[][]>([[]]);
  const [lying, setLying] = useState<Lying[]>([]);
  const [label, setLabel] = useState(NO_LABEL);
  const text = linesOf(rows, lying, label);
  const said = label.rated !== "" || rows.some((r) => r.length) || lying.length > 0;
  const { data } = useQuery(readThingQuery("supply", useDeferredValue(said ? text : "")));
  const queries = useQueryClient();
  const { takeSupply } = useWrite();
  const put = useMutation({
    mutationFn: async (takes: boolean) => {
      const made = await take(client.POST("/api/v1/drawer", { body: { kind: "supply", text } }));
      await queries.invalidateQueries({ queryKey: drawerKey });
      await queries.invalidateQueries({ queryKey: ["candidates"] });
      onClose();
      if (takes) void takeSupply(`drawer:${made.thing.key}`);
    },
  });
  const problems = said ? (data?.problems ?? []) : [];
  const ready = said && label.rated !== "" && problems.length === 0;
  return (
    <Dialog open onClose={onClose} title="The one in front of me" wide>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-6 gap-y-4 max-[800px]:grid-cols-1">
        <LabelTaps label={label} onLabel={setLabel} />
        <PanelTaps rows={rows} onRows={setRows} />
        <LeadTaps lying={lying} onLying={setLying} />
      </div>
      {problems.length > 0 && (
        <ul aria-label="What is not understood" className="mt-2 font-semibold text-over">
          {problems.map((p) => (
            <li key={p}>{p}</li>
          ))}
        </ul>
      )}
      {put.error && (
        <p role="alert" className="mt-2 font-semibold text-over">
          {put.error.message}
        </p>
      )}
      <p className="mt-3 flex flex-wrap items-center gap-2">
        <Button look="main" disabled={!ready || put.isPending} onClick={() => put.mutate(true)}>
          Take it into this build
        </Button>
        <Button disabled={!ready || put.isPending} onClick={() => put.mutate(false)}>
          Only put it in the drawer
        </Button>
        <span className="text-sm text-ink-soft">
          No length and no gauge is asked: what is usual is taken, and what could matter is said.
        </span>
      </p>
    </Dialog>
  );
}

/** The panel, put together row by row. */
function PanelTaps({ rows, onRows }: { rows: PortKind[][]; onRows: (rows: PortKind[][]) => void }) {
  const ports = portsOf(rows);
  const last = rows.length - 1;
  const out = (key: string) => {
    const gone = ports.find((p) => p.key === key);
    onRows(
      rows.map((kinds, row) => kinds.filter((_, column) => row !== gone?.row || column !== gone.column)),
    );
  };
  return (
    <section aria-label="Its panel" className="grid content-start gap-2">
      <h3 className="text-base font-bold">Its panel, as it looks</h3>
      <div className="flex flex-wrap gap-1.5">
        {TAPS.map((t) => (
          <Button
            key={t.words}
            className="min-h-10"
            onClick={() => onRows(rows.map((r, i) => (i === last ? [...r, ...t.kinds] : r)))}
          >
            {t.words}
          </Button>
        ))}
        <Button className="min-h-10" disabled={!rows[last]?.length} onClick={() => onRows([...rows, []])}>
          Next row
        </Button>
      </div>
      {ports.length > 0 ? (
        <>
          <Panel
            supply={{ name: "this supply", ports } as unknown as Supply}
            runs={[]}
            chosen={[]}
            onPort={out}
          />
          <p className="text-sm text-ink-soft">Tap a port to take it out again.</p>
        </>
      ) : (
        <p className="text-sm text-ink-soft">No sockets on it: no cable comes off.</p>
      )}
    </section>
  );
}

/** The cables, as one sees them lie. */
function LeadTaps({ lying, onLying }: { lying: Lying[]; onLying: (lying: Lying[]) => void }) {
  const [fixed, setFixed] = useState(false);
  const change = (at: number, part: Partial<Lying>) =>
    onLying(lying.map((l, i) => (i === at ? { ...l, ...part } : l)).filter((l) => l.count > 0));
  return (
    <section aria-label="Its cables" className="grid content-start gap-2">
      <h3 className="text-base font-bold">Its cables, as they lie there</h3>
      <div className="flex flex-wrap gap-1.5">
        {LEADS.map((lead) => (
          <Button key={lead.said} className="min-h-10" onClick={() => onLying(withLead(lying, lead, fixed))}>
            {lead.words}
          </Button>
        ))}
        <label className="flex min-h-10 items-center gap-1.5 px-1 text-base">
          <input type="checkbox" checked={fixed} onChange={(e) => setFixed(e.target.checked)} />
          they don’t come off
        </label>
      </div>
      <ul className="grid gap-1">
        {lying.map((l, i) => (
          <li
            key={`${l.lead.said} ${l.fixed}`}
            className="grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-2 border-b border-rule py-1"
          >
            <Stepper
              words={l.lead.words}
              unit=""
              value={l.count}
              least={0}
              onValue={(count) => change(i, { count })}
            />
            <span>
              {l.lead.words}
              {l.fixed && ", fixed"}
            </span>
            {l.lead.plugs !== null ? (
              <Stepper
                words={`Plugs of ${l.lead.words}`}
                unit="plugs each"
                value={l.plugs}
                least={1}
                onValue={(plugs) => change(i, { plugs })}
              />
            ) : l.lead.said === "16-pin" ? (
              <span role="group" aria-label="Printed on its plug" className="flex gap-1">
                {["600", "450", "300"].map((w) => (
                  <Button
                    key={w}
                    className="min-h-10"
                    look={l.code === w ? "main" : "plain"}
                    aria-pressed={l.code === w}
                    onClick={() => change(i, { code: l.code === w ? "" : w })}
                  >
                    {w} W
                  </Button>
                ))}
              </span>
            ) : null}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Stepper({
  words,
  unit,
  value,
  least,
  onValue,
}: {
  words: string;
  unit: string;
  value: number;
  least: number;
  onValue: (value: number) => void;
}) {
  return (
    <span role="group" aria-label={words} className="flex items-center gap-1">
      <Button
        className="min-h-10 min-w-10"
        aria-label={`One less: ${words}`}
        disabled={value <= least}
        onClick={() => onValue(value - 1)}
      >
        −
      </Button>
      <b className="min-w-5 text-center font-mono">{value}</b>
      <Button
        className="min-h-10 min-w-10"
        aria-label={`One more: ${words}`}
        disabled={value >= 12}
        onClick={() => onValue(value + 1)}
      >
        +
      </Button>
      {unit && <span className="text-sm text-ink-soft">{unit}</span>}
    </span>
  );
}

/** The figures of its label; what it leaves out stays not known. */
function LabelTaps({ label, onLabel }: { label: Label; onLabel: (label: Label) => void }) {
  const choices = [
    { name: "form", words: "Form", options: FORMS },
    { name: "design", words: "Design", options: DESIGNS },
  ] as const;
  return (
    <section aria-label="Its label" className="col-span-full grid gap-2">
      <h3 className="text-base font-bold">Its label</h3>
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid text-sm text-ink-soft">
          Name
          <input
            className="field w-44 text-base text-ink"
            value={label.name}
            placeholder="as it is called"
            onChange={(e) => onLabel({ ...label, name: e.target.value })}
          />
        </label>
        {FIGURES.map((f) => (
          <label key={f.name} className="grid text-sm text-ink-soft">
            {f.words}
            <span className="flex items-center gap-1">
              <input
                inputMode="decimal"
                aria-label={f.words}
                className="field w-18 text-right font-mono text-base text-ink"
                value={label[f.name]}
                onChange={(e) => onLabel({ ...label, [f.name]: e.target.value.replace(",", ".").trim() })}
              />
              {f.unit}
            </span>
          </label>
        ))}
        {choices.map((c) => (
          <label key={c.name} className="grid text-sm text-ink-soft">
            {c.words}
            <select
              className="field text-base text-ink"
              value={label[c.name]}
              onChange={(e) => onLabel({ ...label, [c.name]: e.target.value })}
            >
              {c.options.map((o) => (
                <option key={o} value={o}>
                  {o || "not known"}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </section>
  );
}
