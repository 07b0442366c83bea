import { useQuery } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";

import { STATES, type Doc } from "../../api/client";
import { useBuild, useResult, useShown, useWrite } from "../../state/build/contexts";
import { amount, amps, bounds, SPIKES } from "../../state/format";
import { referenceQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Choice, NumberField } from "../../ui/fields";
import { Radio, RadioGroup } from "../../ui/radio";
import { capital, useWords } from "../../words";

/** A colour a path, in the order in which the core gives them. */
const COLOURS = ["var(--bar-soft)", "var(--bar)", "var(--bar-dark)", "var(--bar-sand)"];
const FIGURE =
  "text-right font-mono font-bold whitespace-nowrap underline decoration-dotted underline-offset-4 hover:text-accent";
type Open = (more: Record<string, string>) => void;

/**
 * Watts in each state and spike, stacked by path; choosing a state sets the one shown everywhere.
 * Folded to the states alone while a part is in hand, which needs the room.
 */
export function Stacks({ folds, onOpen }: { folds: boolean; onOpen: Open }) {
  const [unfolded, setUnfolded] = useState(false);
  const toggle = folds && (
    <Button
      look="quiet"
      className="min-h-6 px-1 text-sm"
      aria-expanded={unfolded}
      onClick={() => setUnfolded(!unfolded)}
    >
      {unfolded ? "fold" : "all of it"}
    </Button>
  );
  return folds && !unfolded ? <Folded toggle={toggle} /> : <Whole toggle={toggle} onOpen={onOpen} />;
}

/** The states with their watts, side by side. */
function Folded({ toggle }: { toggle: ReactNode }) {
  const { result } = useResult();
  const { state, setState } = useShown();
  const { states } = useWords();
  return (
    <section aria-labelledby="stacks" className="border border-rule bg-slip px-3 py-1.5">
      <div className="flex items-baseline justify-between">
        <h2 id="stacks" className="text-base font-bold">
          Watts by state
        </h2>
        {toggle}
      </div>
      <RadioGroup label="State shown" value={state} onChange={setState}>
        <div className="flex flex-wrap justify-between">
          {STATES.map((s) => (
            <Radio
              key={s}
              value={s}
              data-state-choice={s}
              className={`px-0.5 text-left leading-tight whitespace-nowrap hover:bg-accent-wash ${s === state ? "bg-accent-wash shadow-[inset_0_-3px_0_var(--accent)]" : ""}`}
            >
              <span className="block text-xs text-ink-soft">{capital(states[s] ?? s)}</span>
              <span className="block pb-1 font-mono text-base font-bold">
                {amount(result.strip.watts[s])}
              </span>
            </Radio>
          ))}
        </div>
      </RadioGroup>
    </section>
  );
}

function Whole({ toggle, onOpen }: { toggle: ReactNode; onOpen: Open }) {
  const { result } = useResult();
  const { state, setState } = useShown();
  const { spikes } = result.strip;
  const { states } = useWords();
  const most = Math.max(
    1,
    ...STATES.map((s) => result.strip.watts[s].likely),
    ...SPIKES.map(([k]) => spikes[k].likely),
  );
  return (
    <section aria-labelledby="stacks" className="border border-rule bg-slip p-3">
      <div className="mb-1 flex items-baseline justify-between">
        <h2 id="stacks" className="text-base font-bold">
          Watts by state
        </h2>
        {toggle}
      </div>
      <RadioGroup label="State shown" value={state} onChange={setState}>
        {STATES.map((s) => {
          const total = result.strip.watts[s];
          return (
            <div
              key={s}
              data-chosen={s === state}
              className="grid grid-cols-[minmax(0,1fr)_74px] items-center gap-2 pr-1 data-[chosen=true]:bg-accent-wash data-[chosen=true]:shadow-[inset_3px_0_0_var(--accent)]"
            >
              <Radio
                value={s}
                data-state-choice={s}
                className="grid grid-cols-[64px_minmax(0,1fr)] items-center gap-2 px-1.5 py-0.5 text-left outline-offset-0 hover:bg-accent-wash"
              >
                <span className={s === state ? "font-bold" : ""}>{capital(states[s] ?? s)}</span>
                <Stack most={most} state={s} />
              </Radio>
              <span className="text-right leading-tight">
                <button
                  type="button"
                  aria-label={`${amount(total)} W: open ${states[s] ?? s}`}
                  onClick={() => onOpen({ open: s })}
                  className={`${FIGURE} text-md`}
                >
                  {amount(total)} W
                </button>
                {s === state && <span className="block text-xs text-ink-soft">{bounds(total)}</span>}
              </span>
            </div>
          );
        })}
      </RadioGroup>
      <ul aria-label="Spikes" className="mt-1 border-t border-rule pt-1">
        {SPIKES.map(([key, words]) => (
          <li
            key={key}
            className="grid grid-cols-[64px_minmax(0,1fr)_74px] items-center gap-2 py-px pr-1 pl-1.5 text-sm"
          >
            <span className="whitespace-nowrap text-ink-soft">{words}</span>
            <Stack most={most} state="full" above={spikes[key].likely - result.strip.watts.full.likely} />
            <button
              type="button"
              aria-label={`${amount(spikes[key])} W: open spike ${words}`}
              onClick={() => onOpen({ open: key })}
              className={FIGURE}
            >
              {amount(spikes[key])} W
            </button>
          </li>
        ))}
      </ul>
      <ul className="mt-1.5 flex flex-wrap gap-x-2 text-xs text-ink-soft">
        {Object.keys(result.by_path).map((path, i) => (
          <li key={path} className="flex items-center gap-1">
            <span className="size-2.5" style={{ background: COLOURS[i] }} />
            {path.split(" ")[0]}
          </li>
        ))}
        <li className="flex items-center gap-1">
          <span className="size-2.5 border border-ink" />
          above full
        </li>
      </ul>
      <div className="mt-1.5 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
        <Everyday />
        <SpinUp />
      </div>
      <ByRail onOpen={onOpen} />
    </section>
  );
}

/** A bar stacked by path; a spike's part above full load is drawn hollow. */
function Stack({ most, state, above = 0 }: { most: number; state: (typeof STATES)[number]; above?: number }) {
  const { result } = useResult();
  return (
    <span className="flex h-3.5">
      {Object.entries(result.by_path).map(([path, watts], i) => (
        <span
          key={path}
          className="h-full"
          style={{ width: `${(100 * watts[state].likely) / most}%`, background: COLOURS[i] }}
        />
      ))}
      {above > 0 && (
        <span className="h-full border border-l-0 border-ink" style={{ width: `${(100 * above) / most}%` }} />
      )}
    </span>
  );
}

/** Amperes and watts of each rail in the state shown, for who thinks in rails. */
function ByRail({ onOpen }: { onOpen: Open }) {
  const { result } = useResult();
  const { state } = useShown();
  const { rails, states } = useWords();
  const used = Object.keys(rails).filter((r) => (result.by_rail[r]?.[state].high ?? 0) > 0);
  return (
    <details className="mt-1.5 border-t border-rule pt-1 text-sm">
      <summary className="cursor-pointer font-semibold">By rail, at {states[state] ?? state}</summary>
      <ul className="mt-1">
        {used.map((r) => {
          const a = result.by_rail[r]?.[state];
          const i = result.rail_amps[r]?.[state];
          return a && i ? (
            <li key={r} className="grid grid-cols-[84px_minmax(0,1fr)_74px] items-baseline gap-2 py-px pr-1">
              {rails[r]}
              <span className="text-right font-mono">
                {amps(i.likely)} A{" "}
                <span className="text-ink-soft">{bounds(a) && `${amps(i.low)}–${amps(i.high)}`}</span>
              </span>
              <button
                type="button"
                aria-label={`${amount(a)} W: open the ${rails[r] ?? r} rail`}
                onClick={() => onOpen({ open: state, rail: r })}
                className={FIGURE}
              >
                {amount(a)} W
              </button>
            </li>
          ) : null;
        })}
      </ul>
    </details>
  );
}

/** What the build does every day: a preset of duties, or the builder's own. */
function Everyday() {
  const build = useBuild();
  const { act } = useWrite();
  const { data } = useQuery(referenceQuery);
  if (!data) return null;
  const assume = build.doc.assumptions as Doc["assumptions"] & Record<string, unknown>;
  const named = Object.entries(data.presets);
  const now = named.find(([, duties]) =>
    Object.entries(duties).every(([kind, duty]) => assume[`everyday_${kind}`] === duty),
  );
  const options = [
    ...named.map(([name]) => ({ value: name, words: name })),
    ...(now ? [] : [{ value: "own", words: "your own mix" }]),
  ];
  const set = (name: string) => {
    const duties = data.presets[name];
    if (!duties) return;
    const assumptions = Object.fromEntries(
      Object.entries(duties).map(([kind, duty]) => [`everyday_${kind}`, duty]),
    );
    void act({ type: "change build", changes: {}, house_rules: {}, assumptions });
  };
  return (
    <div className="flex items-center gap-2">
      <span className="text-ink-soft" aria-hidden="true">
        Everyday is
      </span>
      <Choice label="Everyday is" hideLabel value={now?.[0] ?? "own"} options={options} onChange={set} />
      <Link
        to={`/b/${build.key}/rules?at=everyday_board`}
        className="font-semibold text-accent underline-offset-2 hover:underline"
      >
        duty by kind
      </Link>
    </div>
  );
}

/** How many disks spin up at a time, where there are several. */
function SpinUp() {
  const build = useBuild();
  const { act, preview } = useWrite();
  const disks = build.doc.parts
    .filter((p) => p.kind === "drive" && p.form === "3.5")
    .reduce((n, p) => n + p.count, 0);
  if (disks < 2) return null;
  const edit = (n: number | null) =>
    ({ type: "change build", changes: { spin_up_at_once: n }, house_rules: {}, assumptions: {} }) as const;
  return (
    <div className="flex items-center gap-2">
      <span aria-hidden="true" className="text-ink-soft">
        Disks spin up
      </span>
      <NumberField
        compact
        narrow
        whole
        empty
        label="Disks that spin up at a time"
        placeholder="all"
        unit={`of ${disks} at a time`}
        value={build.doc.spin_up_at_once}
        onPreview={(n) => preview(edit(n))}
        onCommit={(n) => act(edit(n))}
      />
    </div>
  );
}
