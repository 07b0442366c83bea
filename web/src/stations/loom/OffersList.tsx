import { useEffect, useRef } from "react";

import type { Offer, Offers, Verdict } from "../../api/client";
import { Face } from "../../drawing/Face";
import { useResult } from "../../state/build/contexts";
import { VERDICT_TEXT } from "../../state/format";
import { byReason } from "../../state/loom/sockets";
import { Button } from "../../ui/button";
import { walkList } from "../../ui/walk";

/** What can feed a picked socket, and below it what can't, each with its reason. */
export function OffersList({
  ref_,
  offers,
  onPut,
  onPark,
  onBack,
}: {
  ref_: string;
  offers: Offers | undefined;
  onPut: (o: Offer) => void;
  onPark: (cable: string, plug: string) => Promise<void>;
  onBack: () => void;
}) {
  const { result } = useResult();
  const socket = result.sockets.find((s) => s.ref === ref_);
  const first = useRef<HTMLButtonElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const ready = offers !== undefined;
  useEffect(() => {
    if (ready) first.current?.focus();
  }, [ready, ref_]);
  const walk = (e: React.KeyboardEvent) => walkList(e, box.current, "button");
  return (
    <div ref={box} onKeyDown={walk} className="flex min-h-0 flex-1 flex-col">
      <div className="border-b border-rule px-3 py-2">
        <h2 className="text-md font-bold">What feeds {socket?.words ?? ref_}?</h2>
        {socket && (
          <p className="mt-1 flex items-center gap-2 text-sm text-ink-soft">
            <Face kind={socket.kind} size="offer" hollow={!socket.cable} />
            {socket.kind_words}
            {socket.required ? "" : ", optional"}
          </p>
        )}
        <div className="mt-1 flex gap-1">
          {socket?.carrier && socket.plug && (
            <Button
              className="min-h-7 text-sm"
              onClick={() => socket.carrier && socket.plug && void onPark(socket.carrier, socket.plug)}
            >
              Park its plug
            </Button>
          )}
          <Button look="quiet" className="min-h-7 text-sm" onClick={onBack}>
            Let go
          </Button>
        </div>
      </div>
      <div className="min-h-0 flex-1 overflow-auto pb-2">
        <ul aria-label="Fits">
          {offers?.fitting.map((o, i) => (
            <li key={`${o.cable}${o.plug}${o.half}`}>
              <button
                ref={i === 0 ? first : undefined}
                type="button"
                data-offer={`${o.cable}/${o.plug}`}
                onClick={() => onPut(o)}
                className="block min-h-11 w-full border-b border-rule px-3 py-1.5 text-left text-base leading-snug font-semibold outline-offset-[-3px] hover:bg-accent-wash"
              >
                <span className="flex justify-between gap-2">
                  <span>{o.text}</span>
                  {o.verdict && (
                    <span
                      data-verdict-of-offer={o.verdict}
                      className={`text-sm whitespace-nowrap ${VERDICT_TEXT[o.verdict as Verdict]}`}
                    >
                      {o.refused_by_rule ? "refused" : o.verdict}
                      {o.percent !== null && ` ${o.percent} %`}
                    </span>
                  )}
                </span>
                {o.note && <span className="block text-xs font-normal text-tight">{o.note}</span>}
                {o.spare && <span className="block text-xs font-normal text-ink-soft">out of the bag</span>}
              </button>
            </li>
          ))}
          {offers?.fitting.length === 0 && (
            <li className="px-3 py-2 text-base font-semibold text-over">
              Nothing in the box fits this socket.
            </li>
          )}
        </ul>
        {offers && offers.refused.length > 0 && (
          <>
            <h3 className="px-3 pt-3 text-sm font-bold text-ink-soft">Does not fit</h3>
            <ul aria-label="Does not fit">
              {byReason(offers.refused).map(([reason, of]) => (
                <li key={reason} className="border-b border-rule px-3 py-1.5 text-xs text-ink-soft">
                  <b>
                    {of.length === 1
                      ? of[0]?.text
                      : `${of.length} plugs: ${[...new Set(of.map((o) => o.cable_name))].join(", ")}`}
                  </b>
                  <span className="block">{reason}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </div>
  );
}
