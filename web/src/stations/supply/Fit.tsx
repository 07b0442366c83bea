import { useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import { Link, useSearchParams } from "react-router";

import type { Room } from "../../api/client";
import { SideView } from "../../drawing/SideView";
import { useBuild } from "../../state/build/contexts";
import { sentence } from "../../state/format";
import { placeOf } from "../../state/place";
import { fitQuery } from "../../state/queries";
import { StationHead } from "../frame/Head";
import { useField } from "../parts/useField";
import { CaseFields } from "./CaseFields";
import { Line } from "./checks";
import { Tabs } from "./Tabs";
import { supplyPages } from "./pages";

const ORDER = ["fail", "unknown", "warn", "pass", "not checked"];

/** Whether everything has room in the case, and the air through it: drawn to scale and said. */
export default function Fit() {
  const build = useBuild();
  const { data: fit } = useQuery(fitQuery(build.key, build.version));
  const field = useSearchParams()[0].get("field") ?? "";
  const box = useRef<HTMLDivElement>(null);
  useField(box, field, fit !== undefined);
  const { case: now } = build.doc;
  const bad = fit?.checks.filter((c) => c.status === "fail").length ?? 0;
  const note = !now
    ? "no case is chosen"
    : bad
      ? `${now.name}: ${bad} ${bad === 1 ? "thing has" : "things have"} no room`
      : `${now.name}: what is measured has room`;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead title="Supply" note={note} rest={supplyPages(build.key)}>
        <Tabs />
      </StationHead>
      <div
        ref={box}
        className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_380px] gap-5 overflow-auto px-6 pb-5 max-[1100px]:grid-cols-1"
      >
        <div>
          {fit && fit.shapes.length > 0 && (
            <div
              tabIndex={0}
              role="group"
              aria-label="Drawn to scale, from the side"
              className="overflow-x-auto border border-rule bg-slip p-3"
            >
              <SideView fit={fit} />
              {fit.not_drawn.length > 0 && (
                <p className="mt-1 text-sm font-semibold text-unknown">
                  Not drawn for want of a measure: {fit.not_drawn.join(", ")}.
                </p>
              )}
            </div>
          )}
          {fit && <Checks rooms={fit.checks} base={`/b/${build.key}`} />}
          {!now && (
            <p className="border border-dashed border-rule-strong p-6 text-md text-ink-soft">
              Choose the case at the right, and everything in the build is held against its measures.
            </p>
          )}
        </div>
        <CaseFields />
      </div>
    </div>
  );
}

/** Every check of room, those that fail first, under what they are of. */
function Checks({ rooms, base }: { rooms: Room[]; base: string }) {
  const sorted = [...rooms].sort((a, b) => ORDER.indexOf(a.status) - ORDER.indexOf(b.status));
  return (
    <ul aria-label="Checks of room and air" className="mt-3 grid gap-1.5 text-base">
      {sorted.map((c, i) => (
        <li key={i} data-room={c.id} data-status={c.status}>
          <ul>
            <Line status={c.status} text={sentence(c.name ? `${c.name}: ${c.text}` : c.text)} />
          </ul>
          {c.missing.length > 0 && (
            <p className="ml-[26px] flex flex-wrap gap-x-3 text-sm">
              {c.missing.map((m) => (
                <Link key={m.text} to={placeOf(base, m)} className="font-semibold text-accent underline">
                  Measure {m.text}
                </Link>
              ))}
            </p>
          )}
        </li>
      ))}
    </ul>
  );
}
