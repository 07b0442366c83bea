import { useQuery } from "@tanstack/react-query";

import type { Row, State } from "../../api/client";
import { useBuild } from "../../state/build";
import { amount, bounds, STATE_WORDS, watts } from "../../state/format";
import { rowsQuery } from "../../state/queries";
import { Dialog } from "../../ui/controls";

const RAILS: Record<string, string> = { v12: "12 V", v5: "5 V", v3v3: "3.3 V", v5sb: "standby", vneg12: "−12 V", vneg5: "−5 V" };

/** An opened number: the rows that add up to it, each with its formula, each leading to its field. */
export function Opened({
  title, state, keep, onChoose, onClose,
}: { title: string; state: State; keep: (r: Row) => boolean; onChoose: (part: string) => void; onClose: () => void }) {
  const { build } = useBuild();
  const { data } = useQuery(rowsQuery(build.key, build.version));
  const rows = (data?.rows ?? []).filter(keep).filter((r) => r.watts[state].high > 0 || r.watts[state].missing.length > 0);
  const total = rows.reduce((sum, r) => sum + r.watts[state].likely, 0);
  return (
    <Dialog open onClose={onClose} title={`${title}, ${STATE_WORDS[state].toLowerCase()}: ${watts(total)} W`} wide>
      <table className="w-full text-left text-[14px]">
        <thead className="text-[13px] text-ink-soft">
          <tr><th>Part</th><th>Rail</th><th>How it comes about</th><th>From</th><th className="text-right">Watts</th><th className="pl-3 text-right">Low to high</th></tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={`${r.part}${r.rail}${r.path}${r.field}${r.formula}`} className="border-t border-rule">
              <td className="py-1.5 pr-3">
                <button type="button" className="text-left font-semibold text-accent underline-offset-2 hover:underline" onClick={() => { onClose(); onChoose(r.part); }}>
                  {r.name}{r.count > 1 && ` ×${r.count}`}
                </button>
              </td>
              <td className="pr-3 whitespace-nowrap">{RAILS[r.rail]}</td>
              <td className="pr-3 text-ink-soft">{r.formula}, {r.path}</td>
              <td className="pr-3">{r.origin}</td>
              <td className="text-right font-mono font-bold">{r.watts[state].missing.length ? "?" : r.watts[state].likely.toFixed(1)}</td>
              <td className="pl-3 text-right font-mono text-ink-soft">{bounds(r.watts[state])}</td>
            </tr>
          ))}
          <tr className="border-t-2 border-ink font-bold"><td className="py-1.5" colSpan={4}>Together</td><td className="text-right font-mono">{total.toFixed(1)}</td><td /></tr>
        </tbody>
      </table>
      {rows.length === 0 && <p className="text-ink-soft">Nothing draws here.</p>}
      <p className="mt-2 text-[13px] text-ink-soft">Shown whole and rounded up elsewhere: {amount({ low: 0, likely: total, high: 0, missing: [] })} W.</p>
    </Dialog>
  );
}
