import { useQuery } from "@tanstack/react-query";
import { useSearchParams } from "react-router";

import { WeekPicture } from "../../drawing/WeekPicture";
import { useBuild, useResult } from "../../state/build/contexts";
import { sentence, watts } from "../../state/format";
import { candidatesQuery, weekQuery } from "../../state/queries";
import { Choice } from "../../ui/fields";
import { StationHead } from "../frame/Head";
import { Line } from "./checks";
import { Place } from "./Place";
import { Tabs } from "./Tabs";
import { supplyPages } from "./pages";
import { Tariff } from "./Tariff";

const TOLD = ["efficiency", "cost", "mains", "hold-up"];

/** What a supply draws from the wall over a week, under the tariff, and what a year costs. */
export default function Energy() {
  const build = useBuild();
  const { result } = useResult();
  const [params, setParams] = useSearchParams();
  const of = params.get("of") ?? "";
  const own = build.doc.supply;
  const { data: week, error } = useQuery({
    ...weekQuery(build.key, build.version, of),
    enabled: own !== null || of !== "",
  });
  const { data: candidates = [] } = useQuery(candidatesQuery(build.key, build.version));
  const chosen = candidates.find((c) => c.slug === of);
  const answer = of ? chosen?.answer : result.supply;
  const cost = week?.cost == null ? "" : `, ${week.cost.toFixed(2)} ${week.currency}`;
  const note = week?.kwh == null ? "what it draws from the wall" : `${watts(week.kwh)} kWh a year${cost}`;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead title="Supply" note={note} rest={supplyPages(build.key)}>
        <Tabs />
      </StationHead>
      <div className="min-h-0 flex-1 overflow-auto px-6 pb-5">
        <div className="mb-2 flex flex-wrap items-end gap-4">
          <Choice
            label="Of"
            value={of}
            options={[
              { value: "", words: own ? `${own.name}, in this build` : "no supply in this build" },
              ...candidates.filter((c) => !c.in_build).map((c) => ({ value: c.slug, words: c.supply.name })),
            ]}
            onChange={(slug) => setParams(slug ? { of: slug } : {})}
          />
          {error && <p className="font-semibold text-over">{error.message}</p>}
        </div>
        {week?.lacks ? (
          <p className="border border-dashed border-rule-strong p-6 text-md font-semibold text-unknown">
            Not known without {week.lacks}.
          </p>
        ) : (
          week && <WeekPicture week={week} />
        )}
        {answer && (
          <ul aria-label="Energy checks" className="mt-3 grid gap-1 text-base">
            {answer.checks
              .filter((c) => TOLD.includes(c.id))
              .map((c) => (
                <Line key={c.id} status={c.status} text={sentence(c.text)} />
              ))}
          </ul>
        )}
        <Place />
        <Tariff />
      </div>
    </div>
  );
}
