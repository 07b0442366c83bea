import { useState, type ReactNode } from "react";

const VIEWS = ["Cables", "Sockets", "Drawing"] as const;

/** The Loom in a hand: its cables as a list, the sockets, the drawing, each a tap away; what is asked
 * meanwhile (a plug in hand, a map) lies over them. */
export function NarrowLoom({
  side,
  cables,
  sockets,
  drawing,
}: {
  side: ReactNode;
  cables: ReactNode;
  sockets: ReactNode;
  drawing: ReactNode;
}) {
  const [view, setView] = useState<(typeof VIEWS)[number]>("Cables");
  if (side)
    return (
      <section aria-label="Sockets" className="flex min-h-0 flex-1 flex-col bg-slip">
        {side}
      </section>
    );
  return (
    <>
      <div role="group" aria-label="Show" className="grid grid-cols-3 border-b border-rule">
        {VIEWS.map((v) => (
          <button
            key={v}
            type="button"
            aria-pressed={v === view}
            onClick={() => setView(v)}
            className="min-h-11 text-md text-ink-soft aria-pressed:bg-slip aria-pressed:font-bold aria-pressed:text-ink aria-pressed:shadow-[inset_0_-4px_0_var(--accent)]"
          >
            {v}
          </button>
        ))}
      </div>
      {view === "Cables" && <div className="min-h-0 flex-1 overflow-y-auto px-3 pb-4">{cables}</div>}
      {view === "Sockets" && (
        <section aria-label="Sockets" className="flex min-h-0 flex-1 flex-col bg-slip">
          {sockets}
        </section>
      )}
      {view === "Drawing" && (
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-auto px-3 py-2">{drawing}</div>
      )}
    </>
  );
}
