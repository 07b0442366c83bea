import { useDraggable, useDroppable } from "@dnd-kit/core";

import type { Between, Offers, PlugAnswer } from "../../api/client";
import { Face } from "../../drawing/Face";
import { useWrite } from "../../state/build/contexts";
import type { Picked } from "../../state/loom/pick";
import { Button } from "../../ui/button";

const KINDS: Record<string, string> = { adapter: "adapter", extension: "extension", backplane: "drive cage" };

/** Adapters, extensions and backplanes: at the left the leads that plugs go into, at the right the plugs. */
export function Betweens({
  things,
  picked,
  offers,
  onPlug,
  onLead,
}: {
  things: Between[];
  picked: Picked | null;
  offers: Offers | undefined;
  onPlug: (key: string, plug: string) => void;
  onLead: (ref: string) => void;
}) {
  const { act } = useWrite();
  if (!things.length) return null;
  return (
    <li>
      <h2 className="mt-2 mb-1 border-b border-rule text-sm font-bold">Between cable and socket</h2>
      <ul aria-label="Between cable and socket">
        {things.map((b) => (
          <li
            key={b.key}
            data-between={b.key}
            className="grid grid-cols-[150px_minmax(0,auto)_20px_minmax(0,1fr)_auto] items-center gap-2 border-b border-rule py-1 max-[700px]:grid-cols-1"
          >
            <span className="px-2 text-sm leading-tight">
              <b className="block">{b.name}</b>
              <span className="text-ink-soft">{KINDS[b.kind] ?? b.kind}</span>
              {b.wrong && <b className="block text-over">never to be used</b>}
            </span>
            <span className="flex flex-wrap gap-1">
              {b.leads.map((l) => (
                <LeadMark
                  key={l.ref}
                  lead={l}
                  of={b.name}
                  inHand={picked?.kind === "socket" && picked.ref === l.ref}
                  fits={picked?.kind === "plug" && Boolean(offers?.fitting.some((o) => o.socket === l.ref))}
                  onHit={() => onLead(l.ref)}
                />
              ))}
            </span>
            <span aria-hidden="true" className="h-[3px] bg-ink" />
            <span className="flex flex-wrap gap-1">
              {b.plugs.map((p) => (
                <PlugOf
                  key={p.key}
                  plug={p}
                  of={b}
                  inHand={picked?.kind === "plug" && picked.cable === b.key && picked.plug === p.key}
                  fits={
                    picked?.kind === "socket" &&
                    Boolean(offers?.fitting.some((o) => o.cable === b.key && o.plug === p.key))
                  }
                  onHit={() => onPlug(b.key, p.key)}
                />
              ))}
            </span>
            <Button
              look="quiet"
              className="px-1.5 text-md font-normal"
              title={`Take ${b.name} out`}
              aria-label={`Take ${b.name} out`}
              onClick={() => void act({ type: "remove adapter", key: b.key, release: false })}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
    </li>
  );
}

const END =
  "grid min-h-11 min-w-11 justify-items-center rounded-[3px] px-1 hover:bg-accent-wash aria-pressed:bg-accent-wash aria-pressed:outline-2 aria-pressed:outline-accent data-[fits=true]:outline-2 data-[fits=true]:outline-accent data-[fits=true]:outline-dashed";

function LeadMark({
  lead: l,
  of,
  inHand,
  fits,
  onHit,
}: {
  lead: Between["leads"][number];
  of: string;
  inHand: boolean;
  fits: boolean;
  onHit: () => void;
}) {
  const { setNodeRef } = useDroppable({ id: l.ref });
  return (
    <button
      ref={setNodeRef}
      type="button"
      data-lead={l.ref}
      data-fits={fits}
      aria-pressed={inHand}
      onClick={onHit}
      className={END}
    >
      <Face kind={l.kind} hollow={!l.cable} />
      <span className={`text-xs leading-tight ${l.cable ? "font-bold" : "text-ink-soft"}`}>
        {l.fed_by || "open"}
      </span>
      <span className="sr-only">{`lead ${l.words} of ${of}, ${l.kind_words}`}</span>
    </button>
  );
}

function PlugOf({
  plug: p,
  of: b,
  inHand,
  fits,
  onHit,
}: {
  plug: PlugAnswer;
  of: Between;
  inHand: boolean;
  fits: boolean;
  onHit: () => void;
}) {
  const { setNodeRef, listeners } = useDraggable({
    id: `${b.key}/${p.key}`,
    data: { cable: b.key, plug: p.key },
  });
  return (
    <button
      ref={setNodeRef}
      {...listeners}
      type="button"
      data-plug={p.key}
      data-parked={p.socket === ""}
      data-fits={fits}
      aria-pressed={inHand}
      onClick={onHit}
      className={END}
    >
      <Face kind={p.face} hollow={p.socket === ""} />
      <span className={`text-xs leading-tight ${p.socket ? "font-bold" : "text-ink-soft"}`}>
        {p.tag || (b.kind === "backplane" ? p.key : "parked")}
      </span>
      <span className="sr-only">{`plug ${p.key} of ${b.name}`}</span>
    </button>
  );
}
