import { useDraggable } from "@dnd-kit/core";
import { useEffect, useRef } from "react";

import type { Lane, Offers, Onward, PlugAnswer } from "../../api/client";
import { Face } from "../../drawing/Face";
import { UsualMark } from "../../ui/marks";
import { useShown } from "../../state/build/contexts";
import { amps, percent, VERDICT_TEXT, verdictWord } from "../../state/format";
import { useWords } from "../../words";
import type { Drawn } from "../../state/loom/lanes";
import { CHANGES } from "../../state/loom/map";
import type { Picked } from "../../state/loom/pick";

const LABELS = 112;

/** Millimetres along the top of the lanes; stays put while they scroll. */
export function Ruler({ length }: { length: number }) {
  const ticks = Array.from({ length: Math.floor(length / 100) }, (_, i) => i * 100);
  return (
    <div
      aria-hidden="true"
      className="relative h-4 shrink-0 font-mono text-xs text-ink-soft"
      style={{ marginLeft: LABELS }}
    >
      {ticks.map((mm) => (
        <span
          key={mm}
          className="absolute -translate-x-1/2 first:translate-x-0"
          style={{ left: `${(100 * mm) / length}%` }}
        >
          {mm}
          {mm === 0 && " mm"}
        </span>
      ))}
    </div>
  );
}

/** What a cable ends in, for whoever does not see it drawn. */
function feedsOf(lane: Lane): string {
  const fed = lane.plugs.flatMap((p) => p.feeds || []);
  return fed.length ? `feeds ${fed.join(", ")}` : "feeds nothing yet";
}

/** What a cable is called by its ports, and how it stands. */
function LaneName({
  drawn: { cable, lane, where, labels },
  chosen,
  change,
  onChoose,
}: {
  drawn: Drawn;
  chosen: boolean;
  change: string;
  onChoose: () => void;
}) {
  return (
    <button
      type="button"
      onClick={onChoose}
      aria-pressed={chosen}
      style={{ width: LABELS }}
      className="shrink-0 py-1 pr-2 pl-2 text-left leading-tight"
    >
      <span className={where === "bag" ? "block text-sm" : "block truncate text-base font-bold"}>
        {labels || cable.name}
      </span>
      {labels && <span className="sr-only">{cable.name}</span>}
      {CHANGES[change] && <b className="block text-xs text-accent">{CHANGES[change]}</b>}
      {lane?.pinned && <span className="block text-xs text-ink-soft">kept as it is</span>}
      {lane && (
        <span className={`block text-sm whitespace-nowrap ${VERDICT_TEXT[lane.verdict]}`}>
          <b>{percent(lane.percent)}</b> {verdictWord(lane)}
          {lane.usual && <UsualMark />}
        </span>
      )}
      {lane && <span className="sr-only">, {feedsOf(lane)}</span>}
    </button>
  );
}

/** One cable drawn to scale; open and tall where it is the chosen one. */
export function LaneRow({
  drawn,
  length,
  chosen,
  change,
  firstInBag,
  picked,
  offers,
  onChoose,
  onPlug,
}: {
  drawn: Drawn;
  length: number;
  chosen: boolean;
  /** What a map that is shown would do to it. */
  change: string;
  firstInBag: boolean;
  picked: Picked | null;
  offers: Offers | undefined;
  onChoose: () => void;
  onPlug: (plug: string) => void;
}) {
  const { cable, lane, where } = drawn;
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (chosen) ref.current?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  const end = drawn.plugs.at(-1)?.at_mm ?? 0;
  // Adapters and extensions hang below the cable, in a row of their own.
  const below = lane?.onward.some((o) => o.kind !== "backplane") ? (chosen ? 40 : 30) : 0;
  return (
    <li ref={ref} data-lane={cable.key} data-verdict={lane?.verdict ?? where}>
      {firstInBag && <h2 className="mt-2 mb-1 border-b border-rule text-sm font-bold">In the bag</h2>}
      <div
        className="flex border-b border-rule data-[chosen=true]:bg-accent-wash data-[chosen=true]:shadow-[inset_4px_0_0_var(--accent)]"
        data-chosen={chosen}
      >
        <LaneName drawn={drawn} chosen={chosen} change={change} onChoose={onChoose} />
        <div className="relative min-w-0 flex-1" style={{ height: (chosen ? 124 : 44) + below }}>
          {chosen && (
            <p className="absolute top-1 left-1 text-xs text-ink-soft">
              {cable.name}
              {cable.gauge ? `, ${cable.gauge} AWG` : ", gauge as usual"}, {cable.family}
            </p>
          )}
          {lane && <Profile lane={lane} length={length} tall={chosen} below={below} />}
          <span
            className="absolute left-0 h-[3px] bg-ink"
            style={{
              bottom: (chosen ? 26 : 9) + below,
              width: `${(100 * end) / length}%`,
              opacity: where === "bag" ? 0.4 : 1,
            }}
          />
          {lane?.onward.map((o) => (
            <OnwardMark key={`${o.between} ${o.plug.key}`} onward={o} length={length} tall={chosen} />
          ))}
          {drawn.plugs.map((p, i) => (
            <PlugMark
              key={p.key}
              plug={p}
              drawn={drawn}
              length={length}
              tall={chosen}
              below={below}
              room={Math.min(
                (drawn.plugs[i + 1]?.at_mm ?? length) - p.at_mm,
                p.at_mm - (drawn.plugs[i - 1]?.at_mm ?? 0),
              )}
              picked={picked}
              offers={offers}
              onHit={() => onPlug(p.key)}
            />
          ))}
        </div>
      </div>
    </li>
  );
}

/** A lead of an adapter or extension behind its cable's plug, to its own plug; of a drive cage the bays. */
function OnwardMark({ onward: o, length, tall }: { onward: Onward; length: number; tall: boolean }) {
  const bay = o.kind === "backplane";
  return (
    <>
      {!bay && (
        <span
          className="absolute border-t-[3px] border-dashed border-ink"
          style={{
            bottom: tall ? 10 : 7,
            left: `${(100 * o.from_mm) / length}%`,
            width: `${(100 * (o.to_mm - o.from_mm)) / length}%`,
          }}
        />
      )}
      {!bay && (
        <span
          className="absolute border-l-[3px] border-dashed border-ink"
          style={{ bottom: tall ? 10 : 7, height: tall ? 56 : 32, left: `${(100 * o.from_mm) / length}%` }}
        />
      )}
      {!bay && (
        <span
          data-onward={o.between}
          title={`${o.name}: ${o.plug.feeds || "parked"}`}
          className="absolute flex -translate-x-1/2 flex-col items-center"
          style={{ left: `${(100 * o.to_mm) / length}%`, bottom: 1 }}
        >
          <span className="bg-slip/85 px-1 text-xs leading-tight font-bold whitespace-nowrap">
            {o.plug.tag || "parked"}
          </span>
          <Face kind={o.plug.face} size={tall ? "open lane" : "lane"} hollow={o.plug.socket === ""} />
        </span>
      )}
    </>
  );
}

/** The current profile: amperes at 12 V (or the rail that carries most) as a staircase. */
function Profile({
  lane,
  length,
  tall,
  below,
}: {
  lane: Lane;
  length: number;
  tall: boolean;
  below: number;
}) {
  const { runState: state } = useShown();
  const words = useWords().rails;
  const rails = [...new Set(lane.steps.map((s) => s.rail))];
  const most = (rail: string) =>
    Math.max(0, ...lane.steps.filter((s) => s.rail === rail).map((s) => s.amps[state]));
  const rail = rails.sort((a, b) => most(b) - most(a))[0];
  const steps = lane.steps.filter((s) => s.rail === rail);
  const limits = steps.map((s) => s.limit_a).filter((x) => x !== null);
  const top = Math.max(0.001, ...steps.map((s) => s.amps[state]), ...limits) * 1.08;
  const [base, height] = tall ? [28 + below, 62] : [12 + below, 22];
  const first = steps[0];
  return (
    <>
      {steps.map((s) => (
        <span
          key={`${s.through} ${s.from_mm}`}
          data-step={s.amps[state]}
          className={`absolute mark-${lane.verdict}`}
          style={{
            left: `${(100 * s.from_mm) / length}%`,
            width: `${(100 * (s.to_mm - s.from_mm)) / length}%`,
            bottom: base,
            height: `${(height * s.amps[state]) / top}px`,
          }}
        />
      ))}
      {steps.map((s) =>
        s.limit_a === null ? null : (
          <span
            key={`${s.through} ${s.from_mm}`}
            className={`absolute border-dashed border-ink ${tall ? "border-t-2" : "border-t opacity-60"}`}
            style={{
              left: `${(100 * s.from_mm) / length}%`,
              width: `${(100 * (s.to_mm - s.from_mm)) / length}%`,
              bottom: base + (height * s.limit_a) / top,
            }}
          />
        ),
      )}
      {tall && first && (
        <p
          className="absolute left-1 bg-slip/85 px-1 font-mono text-base font-bold"
          style={{ bottom: base + 6 }}
        >
          {amps(first.amps[state])} A
          {first.limit_a !== null && <span className="font-normal"> of {amps(first.limit_a)} A</span>}
          <span className="font-sans text-xs font-normal"> at {words[first.rail]}</span>
        </p>
      )}
    </>
  );
}

/** A plug at its distance: what it feeds above, its face, its kind in words where it is open. */
function PlugMark({
  plug,
  drawn,
  length,
  tall,
  below,
  room,
  picked,
  offers,
  onHit,
}: {
  plug: PlugAnswer;
  drawn: Drawn;
  length: number;
  tall: boolean;
  below: number;
  room: number;
  picked: Picked | null;
  offers: Offers | undefined;
  onHit: () => void;
}) {
  const isPicked = picked?.kind === "plug" && picked.cable === drawn.cable.key && picked.plug === plug.key;
  const fits =
    picked?.kind === "socket" &&
    offers?.fitting.some((o) => o.cable === drawn.cable.key && o.plug === plug.key);
  const parked = plug.socket === "";
  const { setNodeRef, listeners } = useDraggable({
    id: `${drawn.cable.key}/${plug.key}`,
    data: { cable: drawn.cable.key, plug: plug.key },
  });
  return (
    <button
      ref={setNodeRef}
      {...listeners}
      type="button"
      onClick={onHit}
      data-plug={plug.key}
      data-parked={parked}
      data-fits={Boolean(fits)}
      aria-pressed={isPicked}
      title={parked ? undefined : plug.feeds}
      className="absolute top-0 flex min-w-11 -translate-x-1/2 flex-col items-center justify-end rounded-[3px] px-0.5 hover:bg-white/40 aria-pressed:bg-accent-wash aria-pressed:outline-2 aria-pressed:outline-accent data-[fits=true]:outline-2 data-[fits=true]:outline-accent data-[fits=true]:outline-dashed"
      style={{
        left: `${(100 * plug.at_mm) / length}%`,
        maxWidth: `${Math.max(6, (96 * room) / length)}%`,
        bottom: below,
        paddingBottom: tall ? 2 : 1,
      }}
    >
      <span
        className={`text-xs leading-tight whitespace-nowrap ${parked ? "text-ink-soft" : "font-bold"} ${parked ? "" : "bg-slip/85 px-1"}`}
      >
        {parked ? (drawn.where === "bag" ? "" : "parked") : plug.tag}
      </span>
      <span className="sr-only">
        {`${parked ? "parked " : ""}plug ${plug.key} of ${drawn.labels || drawn.cable.name}, at`}
        {!tall && ` ${plug.at_mm} mm`}
      </span>
      <Face kind={plug.face} size={tall ? "open lane" : "lane"} hollow={parked} />
      {tall && <span className="text-xs leading-tight whitespace-nowrap">{plug.at_mm} mm</span>}
    </button>
  );
}
