import { useQuery } from "@tanstack/react-query";
import { useState } from "react";

import type { Element } from "../../api/client";
import { Face } from "../../drawing/Face";
import { UsualMark } from "../../ui/marks";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { inUnit, percent, sentence, VERDICT_TEXT, verdictWord } from "../../state/format";
import type { Drawn } from "../../state/loom/lanes";
import { reachQuery, whyQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { FindOutHere } from "../frame/ToFindOut";
import { Exchange } from "../frame/Exchange";
import { Ways } from "./Ways";

/** What limits the chosen run: its worst elements, and all of them on demand. */
export function WhyPanel({ drawn }: { drawn: Drawn | null }) {
  const build = useBuild();
  const { act } = useWrite();
  const lane = drawn?.lane;
  const [all, setAll] = useState(false);
  const why = useQuery({
    ...whyQuery(build.key, build.version, drawn?.cable.key ?? ""),
    enabled: Boolean(lane),
  });
  const elements = why.data?.run.elements ?? [];
  if (!drawn)
    return (
      <div className="grid content-center border border-dashed border-rule-strong p-4 text-md text-ink-soft">
        Choose a cable to see what limits it, or a socket to feed.
      </div>
    );
  return (
    <section
      aria-label={`Why: ${drawn.cable.name}`}
      className="@container flex min-h-0 flex-col overflow-hidden border border-rule bg-slip px-3 py-2"
    >
      <div className="flex items-baseline gap-3">
        <h2 className="min-w-0 flex-1 text-md leading-tight font-bold">
          {drawn.cable.name}
          {drawn.labels && ` in ${drawn.labels}`}
        </h2>
        {lane && (
          <span data-verdict-word className={`text-lg font-bold ${VERDICT_TEXT[lane.verdict]}`}>
            {verdictWord(lane)}
            {lane.usual && <UsualMark />}
            {lane.percent !== null && `, ${lane.percent} %`}
          </span>
        )}
      </div>
      {lane ? (
        <>
          <ul tabIndex={0} aria-label="What limits it most" className="min-h-0 flex-1 overflow-y-auto">
            {elements.slice(0, 4).map((e, i) => (
              <ElementLine key={i} element={e} />
            ))}
            {lane.plugs
              .filter((p) => p.warning)
              .map((p) => (
                <li key={p.key} data-warning className="py-0.5 text-sm font-semibold text-tight">
                  {sentence(p.warning)}
                </li>
              ))}
            {elements.length === 0 && !why.isPending && (
              <li className="text-ink-soft">It is in its port and feeds nothing yet.</li>
            )}
          </ul>
          <div className="flex items-center gap-2 pt-1">
            {elements.length > 0 && (
              <Button className="min-h-7 text-sm" onClick={() => setAll(true)}>
                Every limit, {elements.length}
              </Button>
            )}
            {drawn.where === "in" && (
              <Button
                look="quiet"
                className="min-h-7 text-sm"
                onClick={() => void act({ type: "unplug", cable: drawn.cable.key })}
              >
                Back in the bag
              </Button>
            )}
            <label
              title="Mapping the rest leaves its ports and plugs as they are"
              className="ml-auto flex min-h-7 items-center gap-1.5 text-sm whitespace-nowrap"
            >
              <input
                type="checkbox"
                aria-label="Keep as it is"
                checked={lane.pinned}
                onChange={(e) => void act({ type: "pin", cable: drawn.cable.key, pinned: e.target.checked })}
              />
              Keep
            </label>
          </div>
        </>
      ) : (
        <p className="pt-2 text-ink-soft">
          {drawn.where === "bag"
            ? "It lies in the bag. Connect one of its plugs, or choose a free port on the panel."
            : "It is fixed to the supply and feeds nothing."}
        </p>
      )}
      <Dialog
        open={all}
        onClose={() => setAll(false)}
        title={`What limits ${drawn.cable.name}${drawn.labels && ` in ${drawn.labels}`}`}
        wide
      >
        <Pins elements={elements} drawn={drawn} />
        <FindOutHere of="cable" subject={drawn.cable.key} />
        <Better cable={drawn.cable.key} />
        <EveryLimit elements={elements} />
        <Exchange of="cable" thing={drawn.cable.key} name={drawn.cable.name} />
        {build.result.not_checked.length > 0 && (
          <p className="mt-3 text-sm text-ink-soft">
            Not checked yet: {build.result.not_checked.join(", ")}.
          </p>
        )}
      </Dialog>
    </section>
  );
}

function ElementLine({ element: e }: { element: Element }) {
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto_72px_52px] items-center gap-x-2 py-0.5 text-sm @max-[460px]:grid-cols-[minmax(0,1fr)_52px]">
      <span className="@max-[460px]:col-span-2">{e.title}</span>
      <span className="font-mono whitespace-nowrap">
        {inUnit(e.load, e.unit)} <span className="text-ink-soft">of {inUnit(e.limit, e.unit)}</span>
      </span>
      <Share element={e} />
      <b className={`text-right font-mono ${VERDICT_TEXT[e.verdict]}`}>{percent(e.percent)}</b>
    </li>
  );
}

/** A share as a bar to a line at 100 %; what is beyond sticks out. */
function Share({ element: e }: { element: Element }) {
  const width = Math.min(150, 100 * (e.share ?? 0));
  return (
    <span className="relative block h-3 w-[72px] @max-[460px]:hidden" aria-hidden="true">
      <span
        className={`absolute inset-y-0 left-0 mark-${e.verdict}`}
        style={{ width: `${(width * 2) / 3}%` }}
      />
      <span className="absolute inset-y-[-1px] border-l-2 border-ink" style={{ left: "66.6%" }} />
    </span>
  );
}

const LINES: Record<string, string> = {
  v12: "12 V",
  v5: "5 V",
  v3v3: "3.3 V",
  v5sb: "standby",
  ground: "ground",
};

/** Which pin of each plug carries what: its face large, and the amperes of one pin by line. */
function Pins({ elements, drawn }: { elements: Element[]; drawn: Drawn }) {
  const plugs = drawn.plugs.filter((p) => p.socket !== "");
  if (!plugs.length) return null;
  return (
    <section aria-label="Pin by pin" className="mb-3">
      <h3 className="mb-1 text-base font-bold">Pin by pin, seen into each plug’s mated face</h3>
      <ul className="flex flex-wrap gap-x-8 gap-y-3">
        {plugs.map((p) => (
          <li key={p.key} data-pins={p.key} className="grid justify-items-start gap-1">
            <b className="text-sm">{p.feeds}</b>
            <Face kind={p.face} size="large" />
            <ul className="text-sm">
              {elements
                .filter((e) => e.kind === "plug pins" && e.at === p.key)
                .map((e) => (
                  <li key={e.line} className={VERDICT_TEXT[e.verdict]}>
                    {LINES[e.line] ?? e.line}: {inUnit(e.load, e.unit)} a pin of {inUnit(e.limit, e.unit)}
                  </li>
                ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What would make the run better, where something of it is to mend: as a sentence or a button. */
function Better({ cable }: { cable: string }) {
  const { result } = useResult();
  const { act } = useWrite();
  const found = result.mend.filter((m) => m.of === "cable" && m.subject === cable);
  const ways = found.flatMap((m) => m.remedies);
  const { key, version } = useBuild();
  const short = found.some((m) => m.id === "run.reach");
  const { data: reach, isPending } = useQuery({ ...reachQuery(key, version), enabled: short });
  if (!ways.length) return null;
  return (
    <section aria-label="What would make it better" className="mb-3">
      <h3 className="mb-1 text-base font-bold">What would make it better</h3>
      {ways.map(({ id, text, edit }) =>
        edit === null ? (
          <p key={id}>{sentence(text)}</p>
        ) : (
          <Button key={id} onClick={() => void act(edit)}>
            {sentence(text)}
          </Button>
        ),
      )}
      {short && isPending && <p className="text-ink-soft">Looking for what reaches…</p>}
      {short && reach && <Ways ways={reach} onTake={(edit) => void act(edit)} />}
    </section>
  );
}

function EveryLimit({ elements }: { elements: Element[] }) {
  return (
    <table className="names-first w-full text-left text-sm">
      <thead className="sticky top-0 bg-slip text-ink-soft">
        <tr>
          <th>Element</th>
          <th className="text-right">Load</th>
          <th className="text-right">Limit</th>
          <th className="pl-2 text-right">Share</th>
          <th className="px-3">Verdict</th>
          <th>At</th>
          <th>How it comes about, and source</th>
        </tr>
      </thead>
      <tbody>
        {elements.map((e, i) => (
          <tr key={i} className="border-t border-rule align-top">
            <td className="py-1.5 pr-3 font-semibold">{e.title}</td>
            <td className="py-1.5 pr-2 text-right font-mono whitespace-nowrap">{inUnit(e.load, e.unit)}</td>
            <td className="py-1.5 pr-3 text-right font-mono whitespace-nowrap">{inUnit(e.limit, e.unit)}</td>
            <td className="py-1.5 text-right font-mono whitespace-nowrap">{percent(e.percent)}</td>
            <td className={`px-3 py-1.5 font-bold ${VERDICT_TEXT[e.verdict]}`}>
              {e.refused ? "refused" : e.verdict}
            </td>
            <td className="py-1.5 pr-3">{e.state}</td>
            <td className="py-1.5 text-ink-soft">
              {e.formula}
              {e.formula && ". "}
              <i>{e.source}</i>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
