import { useQuery } from "@tanstack/react-query";

import { STATES, type Doc } from "../../api/client";
import { useBuild } from "../../state/build";
import { amount, bounds, SPIKES, STATE_WORDS } from "../../state/format";
import { referenceQuery } from "../../state/queries";
import { Choice, NumberField } from "../../ui/fields";

const PATHS: [string, string][] = [
  ["board lead", "var(--bar-soft)"],
  ["processor leads", "var(--bar)"],
  ["card leads", "var(--bar-dark)"],
  ["drive leads", "var(--bar-sand)"],
];

/** Watts in each state, stacked by path; choosing one sets the state shown everywhere. */
export function Stacks() {
  const { result, state, setState } = useBuild();
  const { spikes } = result.strip;
  const most = Math.max(1, ...STATES.map((s) => result.strip.watts[s].likely));
  return (
    <section aria-labelledby="stacks" className="border border-rule bg-slip p-3">
      <h2 id="stacks" className="mb-1 text-[14px] font-bold">Watts by state</h2>
      <div role="radiogroup" aria-label="State shown">
        {STATES.map((s) => {
          const total = result.strip.watts[s];
          return (
            <button
              key={s} type="button" role="radio" aria-checked={s === state} data-state-choice={s}
              onClick={() => setState(s)}
              className="grid w-full grid-cols-[64px_minmax(0,1fr)_88px] items-center gap-2 px-1.5 py-0.5 text-left outline-offset-0 hover:bg-accent-wash aria-checked:bg-accent-wash aria-checked:shadow-[inset_3px_0_0_var(--accent)]"
            >
              <span className={s === state ? "font-bold" : ""}>{STATE_WORDS[s]}</span>
              <span className="flex h-4">
                {PATHS.map(([path, colour]) => (
                  <span key={path} className="moves h-full" style={{ width: `${(100 * (result.by_path[path]?.[s].likely ?? 0)) / most}%`, background: colour }} />
                ))}
              </span>
              <span className="text-right leading-tight">
                <span className="font-mono text-[16px] font-bold">{amount(total)} W</span>
                {s === state && <span className="block text-[12px] text-ink-soft">{bounds(total)}</span>}
              </span>
            </button>
          );
        })}
      </div>
      <ul aria-label="Spikes" className="mt-1 grid grid-cols-2 gap-x-3 border-t border-rule px-1.5 pt-1 text-[13px]">
        {SPIKES.map(([key, words]) => (
          <li key={key} className="flex justify-between gap-2">
            <span className="text-ink-soft">spike {words}</span>
            <span className="font-mono font-bold whitespace-nowrap">{amount(spikes[key])} W</span>
          </li>
        ))}
      </ul>
      <ul className="mt-1.5 flex flex-wrap gap-x-2.5 text-[12px] text-ink-soft">
        {PATHS.map(([path, colour]) => (
          <li key={path} className="flex items-center gap-1"><span className="size-2.5" style={{ background: colour }} />{path.split(" ")[0]}</li>
        ))}
      </ul>
      <Everyday />
      <SpinUp />
    </section>
  );
}

/** What the build does every day: a preset of duties, or the builder's own. */
function Everyday() {
  const { build, act } = useBuild();
  const { data } = useQuery(referenceQuery);
  if (!data) return null;
  const assume = build.doc.assumptions as Doc["assumptions"] & Record<string, unknown>;
  const named = Object.entries(data.presets);
  const now = named.find(([, duties]) => Object.entries(duties).every(([kind, duty]) => assume[`everyday_${kind}`] === duty));
  const options = [...named.map(([name]) => ({ value: name, words: name })), ...(now ? [] : [{ value: "own", words: "your own mix" }])];
  const set = (name: string) => {
    const duties = data.presets[name];
    if (!duties) return;
    const assumptions = Object.fromEntries(Object.entries(duties).map(([kind, duty]) => [`everyday_${kind}`, duty]));
    void act({ type: "change build", changes: {}, house_rules: {}, assumptions });
  };
  return (
    <div className="mt-1.5 flex items-center gap-2 text-[13px]">
      <span className="text-ink-soft" aria-hidden="true">Everyday is</span>
      <Choice label="Everyday is" hideLabel value={now?.[0] ?? "own"} options={options} onChange={set} />
    </div>
  );
}

/** How many disks spin up at a time, where there are several. */
function SpinUp() {
  const { build, act, preview } = useBuild();
  const disks = build.doc.parts.filter((p) => p.kind === "drive" && p.form === "3.5").reduce((n, p) => n + p.count, 0);
  if (disks < 2) return null;
  const edit = (n: number | null) => ({ type: "change build", changes: { spin_up_at_once: n }, house_rules: {}, assumptions: {} }) as const;
  return (
    <div className="mt-1.5 flex items-center gap-2 text-[13px]">
      <span aria-hidden="true" className="text-ink-soft">Disks spin up</span>
      <NumberField compact narrow whole empty label="Disks that spin up at a time" placeholder="all" unit={`of ${disks} at a time`} value={build.doc.spin_up_at_once} onPreview={(n) => preview(edit(n))} onCommit={(n) => act(edit(n))} />
    </div>
  );
}
