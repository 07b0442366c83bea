import { useEffect, useRef, useState } from "react";

import type { PlugAnswer } from "../../api/client";
import { Face } from "../../drawing/Face";
import { percent, VERDICT_TEXT, verdictWord } from "../../state/format";
import type { Drawn } from "../../state/loom/lanes";
import { CHANGES } from "../../state/loom/map";
import { Dialog } from "../../ui/dialog";
import { UsualMark } from "../../ui/marks";
import { WhyPanel } from "./WhyPanel";

/** The cables as a list: from which port to which sockets, how much each carries of what it may. */
export function CableList({
  lanes,
  chosen,
  moved,
  onChoose,
  onPlug,
}: {
  lanes: Drawn[];
  chosen: Drawn | null;
  moved: Map<string, string>;
  onChoose: (cable: string) => void;
  onPlug: (cable: string, plug: string) => void;
}) {
  const [why, setWhy] = useState(false);
  const bag = lanes.findIndex((d) => d.where === "bag");
  return (
    <>
      <ul aria-label="Cables">
        {lanes.map((d, i) => (
          <Cable
            key={d.cable.key}
            drawn={d}
            first={i === bag ? "In the bag" : ""}
            chosen={chosen?.cable.key === d.cable.key}
            change={CHANGES[moved.get(d.cable.key) ?? ""] ?? ""}
            onOpen={() => {
              onChoose(d.cable.key);
              setWhy(true);
            }}
            onPlug={(plug) => onPlug(d.cable.key, plug)}
          />
        ))}
      </ul>
      <Dialog open={why && chosen !== null} onClose={() => setWhy(false)} title={chosen?.cable.name ?? ""}>
        <WhyPanel drawn={chosen} />
      </Dialog>
    </>
  );
}

function Cable({
  drawn: { cable, lane, labels, plugs },
  first,
  chosen,
  change,
  onOpen,
  onPlug,
}: {
  drawn: Drawn;
  /** What stands over it, where it is the first of several. */
  first: string;
  chosen: boolean;
  change: string;
  onOpen: () => void;
  onPlug: (plug: string) => void;
}) {
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (chosen) ref.current?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  return (
    <li ref={ref} data-lane={cable.key} data-verdict={lane?.verdict ?? "bag"}>
      {first && <h2 className="mt-4 mb-1 text-md font-bold">{first}</h2>}
      <div
        data-chosen={chosen}
        className="border-b border-rule data-[chosen=true]:bg-accent-wash data-[chosen=true]:shadow-[inset_4px_0_0_var(--accent)]"
      >
        <button
          type="button"
          aria-pressed={chosen}
          onClick={onOpen}
          className="flex min-h-12 w-full items-baseline gap-3 px-2 pt-2 text-left"
        >
          <span className="min-w-0 flex-1">
            {labels && <b className="mr-2 text-lg">{labels}</b>}
            <span className={labels ? "text-base text-ink-soft" : "text-md"}>{cable.name}</span>
            {change && <b className="ml-2 text-accent">{change}</b>}
          </span>
          {lane && (
            <span className={`shrink-0 text-md ${VERDICT_TEXT[lane.verdict]}`}>
              <b className="text-lg">{percent(lane.percent)}</b> {verdictWord(lane)}
              {lane.usual && <UsualMark />}
            </span>
          )}
        </button>
        <ul aria-label={`Plugs of ${cable.name}`}>
          {plugs.map((p) => (
            <li key={p.key}>
              <Plug plug={p} of={cable.name} onHit={() => onPlug(p.key)} />
            </li>
          ))}
        </ul>
      </div>
    </li>
  );
}

function Plug({ plug: p, of, onHit }: { plug: PlugAnswer; of: string; onHit: () => void }) {
  return (
    <button
      type="button"
      data-plug={p.key}
      onClick={onHit}
      className="flex min-h-11 w-full items-center gap-3 px-2 text-left text-md"
    >
      <Face kind={p.face} hollow={!p.feeds} />
      <span aria-hidden="true" className="text-ink-soft">
        →
      </span>
      <span className={p.feeds ? "font-semibold" : "text-ink-soft"}>{p.feeds || "nothing yet"}</span>
      {p.warning && <span className="ml-auto text-sm font-semibold text-tight">see why</span>}
      <span className="sr-only">, plug of {of}</span>
    </button>
  );
}
