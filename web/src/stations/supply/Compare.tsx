import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";

import { useBuild, useResult } from "../../state/build/contexts";
import { sentence, watts } from "../../state/format";
import { rowsOf } from "../../state/supply/compare";
import { candidatesQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { StationHead } from "../frame/Head";
import { MOST, OWN } from "./chosen";
import { Line, VERDICTS } from "./checks";
import { Tabs } from "./Tabs";
import { supplyPages } from "./pages";

/** Two or three supplies point by point, differences first; to be printed. */
export default function Compare() {
  const build = useBuild();
  const { result } = useResult();
  const [params, setParams] = useSearchParams();
  const { data: candidates = [] } = useQuery(candidatesQuery(build.key, build.version));
  const own = build.doc.supply;
  const all = [
    ...(own && result.supply ? [{ slug: OWN, name: own.name, answer: result.supply }] : []),
    ...candidates
      .filter((c) => !c.in_build)
      .map((c) => ({ slug: c.slug, name: c.supply.name, answer: c.answer })),
  ];
  const asked = (params.get("of") ?? "").split(",").filter(Boolean);
  const slugs = asked.length ? asked : all.slice(0, MOST).map((c) => c.slug);
  const columns = slugs.flatMap((slug) => all.find((c) => c.slug === slug) ?? []);
  const rows = rowsOf(columns.map((c) => c.answer));
  const put = (i: number, slug: string) => {
    const next = columns.map((c) => c.slug);
    if (slug) next[i] = slug;
    else next.splice(i, 1);
    setParams({ of: [...new Set(next)].join(",") }, { replace: true });
  };
  const differ = rows.filter((r) => r.differs).length;
  return (
    <div className="flex h-full min-h-0 flex-col print:block print:h-auto">
      <StationHead
        title="Supply"
        note={`compared point by point; ${differ} of ${rows.length} differ`}
        rest={[
          ...supplyPages(build.key),
          { label: "Print", onSelect: () => window.print() },
          { label: "All as CSV", file: `/api/v1/builds/${build.key}/candidates.csv` },
        ]}
      >
        <Tabs />
      </StationHead>
      <div className="min-h-0 flex-1 overflow-auto px-6 pb-5 max-[700px]:px-3 print:overflow-visible">
        <table className="w-full min-w-[640px] table-fixed border-collapse text-base print:min-w-0">
          <caption className="sr-only">Supplies compared for {build.doc.name}</caption>
          <thead>
            <tr className="align-bottom">
              <th className="w-36 text-left text-sm font-normal text-ink-soft">differences first</th>
              {columns.map((c, i) => (
                <th key={c.slug} className="px-2 pb-2 text-left">
                  <select
                    aria-label={`Supply ${i + 1}`}
                    className="field w-full text-md font-bold print:appearance-none print:border-0"
                    value={c.slug}
                    onChange={(e) => put(i, e.target.value)}
                  >
                    {all.map((o) => (
                      <option key={o.slug} value={o.slug}>
                        {o.name}
                        {o.slug === OWN ? ", in this build" : ""}
                      </option>
                    ))}
                    {columns.length > 1 && <option value="">leave this one out</option>}
                  </select>
                  <span className={`mt-1 block ${VERDICTS[c.answer.verdict]}`}>{c.answer.verdict}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr
                key={r.key}
                data-differs={r.differs}
                className="border-t border-rule align-top data-[differs=false]:text-ink-soft"
              >
                <th className="py-1.5 pr-2 text-left font-semibold">{sentence(r.key)}</th>
                {r.cells.map((cell, i) => (
                  <td key={i} className="px-2 py-1.5">
                    <ul>
                      {cell ? (
                        <Line status={cell.status} text={sentence(cell.text.replace(`${r.key}: `, ""))} />
                      ) : (
                        <li className="text-ink-soft">not asked</li>
                      )}
                    </ul>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        {columns.length < MOST && all.length > columns.length && (
          <p className="mt-3 print:hidden">
            <Button
              onClick={() => {
                const next = all.find((c) => !columns.includes(c));
                if (next) setParams({ of: [...columns.map((c) => c.slug), next.slug].join(",") });
              }}
            >
              Add another to compare
            </Button>
          </p>
        )}
        <p className="mt-3 text-sm text-ink-soft">
          {build.doc.name}: the rules ask for{" "}
          {watts(result.sizing.needed?.likely ?? result.sizing.at_least_w)} W. What a circuit may carry is
          arithmetic here: local codes and a licensed electrician decide.{" "}
          <Link to="../supply" className="text-accent underline print:hidden">
            Back to all of them
          </Link>
        </p>
      </div>
    </div>
  );
}
