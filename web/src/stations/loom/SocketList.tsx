import { useDroppable } from "@dnd-kit/core";
import { useEffect, useRef, useState } from "react";

import type { Offers, SocketAnswer } from "../../api/client";
import { Face } from "../../drawing/Face";
import { useBuild, useResult } from "../../state/build/contexts";
import type { Picked } from "../../state/loom/pick";
import { grouped, short, sought } from "../../state/loom/sockets";
import { Button } from "../../ui/button";
import { walkList } from "../../ui/walk";

/** The sockets by device, unfed ones first; a walk with the arrow keys, Enter picks. */
export function SocketList({
  picked,
  offers,
  focus,
  swap,
  onSwap,
  onSocket,
  onPark,
  onBack,
}: {
  picked: Picked | null;
  offers: Offers | undefined;
  focus: string;
  swap: boolean;
  onSwap: (on: boolean) => void;
  onSocket: (ref: string) => void;
  onPark: (cable: string, plug: string) => Promise<void>;
  onBack: () => void;
}) {
  const build = useBuild();
  const { result } = useResult();
  const { sockets, strip } = result;
  const list = useRef<HTMLUListElement>(null);
  const [text, setText] = useState("");
  const [openOnly, setOpenOnly] = useState(false);
  const shown = sought(sockets, text, openOnly);
  const groups = grouped(shown);

  useEffect(() => {
    if (focus) list.current?.querySelector<HTMLElement>(`[data-socket="${CSS.escape(focus)}"]`)?.focus();
  }, [focus]);

  const walk = (e: React.KeyboardEvent) => walkList(e, list.current, "[data-socket]");
  const parts = new Map([...result.betweens, ...build.doc.parts].map((p) => [p.key, p.name]));
  const plug = picked?.kind === "plug" ? picked : null;
  const feeds =
    plug &&
    [...result.lanes.map((l) => ({ ...l, key: l.cable })), ...result.betweens]
      .find((l) => l.key === plug.cable)
      ?.plugs.find((p) => p.key === plug.plug)?.feeds;
  return (
    <>
      <div className="border-b border-rule px-3 py-2">
        <h2 className="flex items-baseline justify-between text-md font-bold">
          {plug ? "Where does it go?" : "Sockets"}
          <span className="text-sm font-normal text-ink-soft">
            {strip.sockets_fed} of {strip.sockets_needed} fed
          </span>
        </h2>
        {plug && (
          <div className="mt-1">
            {/* Its line is there before its words: a button that moves under the hand is missed. */}
            <p className="min-h-[1lh] text-sm">{offers?.picked}</p>
            <div className="mt-1 flex gap-1">
              {feeds && (
                <Button className="min-h-7 text-sm" onClick={() => void onPark(plug.cable, plug.plug)}>
                  Park it
                </Button>
              )}
              <Button look="quiet" className="min-h-7 text-sm" onClick={onBack}>
                Let go
              </Button>
            </div>
            {feeds && (
              <label className="mt-1 flex min-h-8 items-center gap-2 text-sm">
                <input type="checkbox" checked={swap} onChange={(e) => onSwap(e.target.checked)} />
                Swap it with the plug that is there
              </label>
            )}
          </div>
        )}
      </div>
      {sockets.length > 8 && (
        <div className="flex items-center gap-2 border-b border-rule px-3 py-1.5">
          <input
            type="search"
            aria-label="Find a socket"
            placeholder="Find: disk, G1"
            className="field min-w-0 flex-1 text-sm"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          <label className="flex min-h-8 items-center gap-1.5 text-sm whitespace-nowrap">
            <input type="checkbox" checked={openOnly} onChange={(e) => setOpenOnly(e.target.checked)} />
            open ones
          </label>
        </div>
      )}
      <ul ref={list} onKeyDown={walk} className="min-h-0 flex-1 overflow-auto pb-2">
        {groups.map(([part, of]) => (
          <li key={part}>
            <h3 className="flex justify-between px-3 pt-2 text-sm font-bold">
              {parts.get(part) ?? part}
              {of.length > 3 && (
                <span className="font-normal text-ink-soft">
                  {of.filter((s) => s.cable).length} of {of.length}
                </span>
              )}
            </h3>
            <ul>
              {of.map((s) => (
                <SocketLine
                  key={s.ref}
                  socket={s}
                  words={short(s)}
                  offers={plug ? offers : undefined}
                  onHit={() => onSocket(s.ref)}
                />
              ))}
            </ul>
          </li>
        ))}
        {sockets.length > 0 && shown.length === 0 && (
          <li className="p-3 text-ink-soft">{openOnly ? "None of them is open." : "None is called that."}</li>
        )}
        {sockets.length === 0 && <li className="p-3 text-ink-soft">No part has a power socket yet.</li>}
      </ul>
    </>
  );
}

function SocketLine({
  socket: s,
  words,
  offers,
  onHit,
}: {
  socket: SocketAnswer;
  words: string;
  offers: Offers | undefined;
  onHit: () => void;
}) {
  const fits = offers?.fitting.some((o) => o.socket === s.ref);
  const { setNodeRef, isOver } = useDroppable({ id: s.ref });
  return (
    <li ref={setNodeRef} className={isOver ? "outline-2 outline-accent" : ""}>
      <button
        type="button"
        data-socket={s.ref}
        data-fed={s.cable !== null}
        data-fits={offers ? Boolean(fits) : undefined}
        onClick={onHit}
        className="grid min-h-9 w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-2 px-3 py-1 text-left outline-offset-[-2px] hover:bg-accent-wash data-[fits=false]:text-ink-soft data-[fits=true]:bg-accent-wash pointer-coarse:min-h-11"
      >
        <span className="flex min-w-0 items-center gap-2">
          <Face kind={s.kind} hollow={s.cable === null} />
          <span className="min-w-0 text-sm leading-tight">
            <span className="block">{words}</span>
            {!s.required && <span className="text-xs text-ink-soft">optional</span>}
            {s.through && <span className="block text-xs text-ink-soft">by {s.through}</span>}
          </span>
        </span>
        <span
          className={`text-sm font-bold ${s.cable || fits === false ? "" : s.required ? "text-over" : "text-ink-soft"}`}
        >
          {s.cable ? s.fed_by : s.required ? "not fed" : "open"}
        </span>
      </button>
    </li>
  );
}
