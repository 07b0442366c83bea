import { useQuery } from "@tanstack/react-query";
import { useState } from "react";

import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { watts } from "../../state/format";
import { candidatesQuery } from "../../state/queries";
import { StationHead } from "../frame/Frame";
import { LabelFields } from "./LabelFields";
import { Ticket } from "./Ticket";
import { WattRuler } from "./WattRuler";

/** What the rules ask for along one line of watts, and the supplies that hang on it. */
export default function Supply() {
  const build = useBuild();
  const { result } = useResult();
  const { takeSupply } = useWrite();
  const { data } = useQuery(candidatesQuery(build.key, build.version));
  const [lit, setLit] = useState("");
  const governs = result.sizing.rules.find((r) => r.governs);
  const { needed, pick_w } = result.sizing;
  const note = needed
    ? `${governs?.words ?? "the rules"} governs: ${watts(needed.likely)} W, next common size ${pick_w ?? "beyond the common ones"}`
    : `not known yet: at least ${watts(result.sizing.at_least_w)} W`;
  const foreign = build.doc.supply && result.supply && !data?.some((c) => c.in_build);
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead title="Supply" note={note} />
      <div className="min-h-0 flex-1 overflow-auto px-6 pb-5">
        <WattRuler candidates={data ?? []} lit={lit} onLight={setLit} />
        <ul className="mt-3 grid grid-cols-3 gap-4">
          {foreign && build.doc.supply && result.supply && (
            <Ticket
              name={build.doc.supply.name}
              design={build.doc.supply.design}
              answer={result.supply}
              inBuild
              ports={build.doc.supply.ports.length}
              cables={build.doc.cables.length}
              lit={false}
              onLight={() => undefined}
            >
              <LabelFields supply={build.doc.supply} />
            </Ticket>
          )}
          {data?.map((c) => (
            <Ticket
              key={c.slug}
              name={c.in_build && build.doc.supply ? build.doc.supply.name : c.supply.name}
              design={c.supply.design}
              answer={c.in_build && result.supply ? result.supply : c.answer}
              inBuild={c.in_build}
              ports={c.supply.ports.length}
              cables={c.cables.length}
              lit={lit === c.slug}
              onLight={(on) => setLit(on ? c.slug : "")}
              onTake={() => void takeSupply(c.slug)}
            >
              {c.in_build && build.doc.supply && <LabelFields supply={build.doc.supply} />}
            </Ticket>
          ))}
        </ul>
      </div>
    </div>
  );
}
