import { useQuery } from "@tanstack/react-query";

import type { Part } from "../../api/client";
import { useBuild, useResult } from "../../state/build/contexts";
import { amount, bounds } from "../../state/format";
import { closedFigure, linesOf, openingWords, sum, type Opening } from "../../state/parts/open";
import { rowsQuery } from "../../state/queries";
import { Dialog } from "../../ui/dialog";
import { useWords } from "../../words";

/** Names of the parts that a figure lacks, three at the most. */
function unspoken(keys: readonly string[], parts: readonly Part[]): string {
  const names = [...new Set(keys.map((k) => parts.find((p) => p.key === k)?.name ?? k))];
  const rest = names.length - 3;
  return rest > 0 ? `${names.slice(0, 3).join(", ")} and ${rest} more` : names.join(" and ");
}

/** An opened number: the rows that add up to it, each with its formula, each leading to its field. */
export function Opened({
  opening,
  onChoose,
  onClose,
}: {
  opening: Opening;
  onChoose: (part: string, field: string) => void;
  onClose: () => void;
}) {
  const build = useBuild();
  const { result } = useResult();
  const { data } = useQuery(rowsQuery(build.key, build.version));
  const words = useWords();
  const figure = closedFigure(result, opening);
  const lines = data ? linesOf(opening, data.rows, data.spike_rows) : [];
  const total = sum(lines.map((r) => r.watts));
  return (
    <Dialog
      open
      onClose={onClose}
      title={`${openingWords(opening, words)}: ${figure ? amount(figure) : "?"} W`}
      wide
    >
      {figure && figure.missing.length > 0 && (
        <p className="mb-3 border-l-4 border-unknown py-1 pl-3 text-md">
          <b>≥ means at least.</b> Not counted, for nobody said what it draws:{" "}
          {unspoken(figure.missing, build.doc.parts)}. Low to high is of what is known alone.
        </p>
      )}
      <table data-opened className="names-first w-full text-left text-base">
        <thead className="text-sm text-ink-soft">
          <tr>
            <th>Part</th>
            <th>Rail</th>
            <th>How it comes about</th>
            <th>From</th>
            <th className="text-right">Watts</th>
            <th className="pl-3 text-right">Low to high</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((r, i) => (
            <tr key={i} className="border-t border-rule align-baseline">
              <td className="py-1.5 pr-3">
                <button
                  type="button"
                  className="text-left font-semibold text-accent underline-offset-2 hover:underline"
                  onClick={() => onChoose(r.part, r.field)}
                >
                  {r.name}
                  {r.count > 1 && ` ×${r.count}`}
                </button>
              </td>
              <td className="pr-3 whitespace-nowrap">{r.rail ? words.rails[r.rail] : ""}</td>
              <td className="pr-3 text-ink-soft">{r.how}</td>
              <td className="pr-3">{r.origin}</td>
              <td className="text-right font-mono font-bold">
                {r.watts.missing.length ? "?" : r.watts.likely.toFixed(1)}
              </td>
              <td className="pl-3 text-right font-mono whitespace-nowrap text-ink-soft">
                {r.watts.low <= r.watts.high ? bounds(r.watts) : "a share"}
              </td>
            </tr>
          ))}
          {data && (
            <tr className="border-t-2 border-ink font-bold">
              <td className="py-1.5" colSpan={4}>
                Together{total.missing.length > 0 && ", at least"}
              </td>
              <td className="text-right font-mono">{total.likely.toFixed(1)}</td>
              <td className="pl-3 text-right font-mono whitespace-nowrap">{bounds(total)}</td>
            </tr>
          )}
        </tbody>
      </table>
      {data && lines.length === 0 && <p className="mt-2 text-ink-soft">Nothing draws here.</p>}
      <p className="mt-2 text-sm text-ink-soft">
        Elsewhere watts stand whole, rounded up. A name leads to the field that sets its row.
      </p>
    </Dialog>
  );
}
