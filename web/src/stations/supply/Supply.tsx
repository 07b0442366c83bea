import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";

import type { Action, Supply as SupplyDoc } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { watts } from "../../state/format";
import { candidatesQuery, stayQuery } from "../../state/queries";
import { Dialog } from "../../ui/dialog";
import { StationHead } from "../frame/Frame";
import { AllChecks } from "./checks";
import { LabelFields } from "./LabelFields";
import { Place } from "./Place";
import { Ticket } from "./Ticket";
import { WattRuler } from "./WattRuler";

/** What the address calls the supply in the build that no catalogue has. */
const OWN = "in-build";

/** What the rules ask for along one line of watts, and the supplies that hang on it. */
export default function Supply() {
  const build = useBuild();
  const { result } = useResult();
  const { takeSupply } = useWrite();
  const { data } = useQuery(candidatesQuery(build.key, build.version));
  const [lit, setLit] = useState("");
  const [params, setParams] = useSearchParams();
  const opened = params.get("open") ?? "";
  const field = params.get("field") ?? "";
  const open = (slug: string) => setParams(slug ? { open: slug } : {});
  const own = build.doc.supply;
  const governs = result.sizing.rules.find((r) => r.governs);
  const { needed, pick_w } = result.sizing;
  const note = needed
    ? `${governs?.words ?? "the rules"} governs: ${watts(needed.likely)} W, next common size ${pick_w ?? "beyond the common ones"}`
    : `not known yet: at least ${watts(result.sizing.at_least_w)} W`;
  const found = (data ?? []).filter((c) => !c.in_build);
  const told =
    opened === OWN && own && result.supply
      ? { name: own.name, answer: result.supply }
      : found.filter((c) => c.slug === opened).map((c) => ({ name: c.supply.name, answer: c.answer }))[0];
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead title="Supply" note={note}>
        <a
          href={`/api/v1/builds/${build.key}/candidates.csv`}
          download
          className="inline-flex min-h-8 items-center rounded-[3px] border border-ink bg-slip px-3 font-semibold hover:bg-accent-wash"
        >
          Compare as CSV
        </a>
      </StationHead>
      <div className="min-h-0 flex-1 overflow-auto px-6 pb-5">
        <WattRuler candidates={data ?? []} lit={lit} onLight={setLit} />
        <Place />
        <ul className="mt-3 grid grid-cols-3 items-start gap-4 max-[1100px]:grid-cols-2 max-[700px]:grid-cols-1">
          {own && result.supply && (
            <Ticket
              name={own.name}
              about={aboutOf(own, build.doc.cables.length)}
              answer={result.supply}
              inBuild
              lit={lit === own.slug}
              onLight={(on) => setLit(on ? own.slug : "")}
              onOpen={() => open(OWN)}
              stay={<Stay />}
            >
              <LabelFields supply={own} field={field} />
            </Ticket>
          )}
          {found.map((c) => (
            <Ticket
              key={c.slug}
              name={c.supply.name}
              about={aboutOf(c.supply, c.cables.length)}
              answer={c.answer}
              inBuild={false}
              lit={lit === c.slug}
              onLight={(on) => setLit(on ? c.slug : "")}
              onOpen={() => open(c.slug)}
              onTake={() => void takeSupply(c.slug)}
            />
          ))}
        </ul>
      </div>
      {told && (
        <Dialog open onClose={() => open("")} title={`${told.name}, every check`} wide>
          <AllChecks answer={told.answer} />
        </Dialog>
      )}
    </div>
  );
}

function aboutOf(s: SupplyDoc, cables: number): string {
  const design =
    s.design === null ? "design not known" : s.design === "classic" ? "classic design" : `design ${s.design}`;
  const ports = s.ports.length ? `${s.ports.length} ports, ` : "";
  return [s.form, design, s.grade, `${ports}${cables} cables`].filter(Boolean).join(", ");
}

/** What would let the supply in place stay, a button each. */
function Stay() {
  const build = useBuild();
  const { act } = useWrite();
  const { data = [] } = useQuery(stayQuery(build.key, build.version));
  if (!data.length) return null;
  return (
    <div className="mt-2 border-t border-rule pt-2">
      <h3 className="text-base font-bold">Can it stay?</h3>
      {data.map((way) => (
        <button
          key={way.id + way.text}
          type="button"
          className="mt-1 block w-full rounded-[3px] border border-accent px-3 py-1 text-left text-base font-semibold text-accent hover:bg-accent hover:text-accent-ink"
          onClick={() => void act(way.edit as unknown as Action)}
        >
          {way.text}
        </button>
      ))}
    </div>
  );
}
