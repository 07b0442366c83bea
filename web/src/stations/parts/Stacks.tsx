import { STATES } from "../../api/client";
import { useBuild } from "../../state/build";
import { amount, bounds, STATE_WORDS } from "../../state/format";

const PATHS: [string, string][] = [
  ["board lead", "var(--bar-soft)"],
  ["processor leads", "var(--bar)"],
  ["card leads", "var(--bar-dark)"],
  ["drive leads", "var(--bar-sand)"],
];

/** Watts in each state, stacked by path; choosing one sets the state shown everywhere. */
export function Stacks() {
  const { result, state, setState } = useBuild();
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
              className="grid w-full grid-cols-[64px_minmax(0,1fr)_88px] items-center gap-2 px-1.5 py-1 text-left outline-offset-0 hover:bg-accent-wash aria-checked:bg-accent-wash aria-checked:shadow-[inset_3px_0_0_var(--accent)]"
            >
              <span className={s === state ? "font-bold" : ""}>{STATE_WORDS[s]}</span>
              <span className="flex h-4">
                {PATHS.map(([path, colour]) => (
                  <span key={path} className="moves h-full" style={{ width: `${(100 * (result.by_path[path]?.[s].likely ?? 0)) / most}%`, background: colour }} />
                ))}
              </span>
              <span className="text-right leading-tight">
                <span className="font-mono text-[16px] font-bold">{amount(total)} W</span>
                <span className="block text-[12px] text-ink-soft">{bounds(total)}</span>
              </span>
            </button>
          );
        })}
      </div>
      <ul className="mt-1.5 flex flex-wrap gap-x-3 text-[12px] text-ink-soft">
        {PATHS.map(([path, colour]) => (
          <li key={path} className="flex items-center gap-1"><span className="size-2.5" style={{ background: colour }} />{path}</li>
        ))}
      </ul>
    </section>
  );
}
