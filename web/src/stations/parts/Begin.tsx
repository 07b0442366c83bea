import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";

import { Face } from "../../drawing/Face";
import { referenceQuery } from "../../state/queries";
import { Button } from "../../ui/button";

/** An empty build: what to write first, where each figure stands, and machines to start from. */
export function Begin({
  onLine,
  onList,
}: {
  onLine: (line: string) => void;
  onList: (text: string) => void;
}) {
  const { data: reference } = useQuery(referenceQuery);
  return (
    <section aria-label="Where to begin" className="min-h-0 flex-1 overflow-auto pb-2">
      <div className="mb-4 flex flex-wrap items-center gap-2">
        <h2 className="text-lg font-bold">Start from</h2>
        {reference?.starters.map((s) => (
          <Button key={s.id} title={s.text} onClick={() => onList(s.lines.join("\n"))}>
            {s.words}
          </Button>
        ))}
        <p className="text-md text-ink-soft">Each is a list that you change before it goes in.</p>
      </div>
      <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">Write these first: they draw the most</h2>
      <ol>
        {STEPS.map(({ line, title, why, drawing }) => (
          <li
            key={line}
            className="grid grid-cols-[minmax(0,1fr)_210px] items-center gap-4 border-b border-rule py-2"
          >
            <div>
              <p className="text-md">
                <b>{title}</b> {why}
              </p>
              <Button className="mt-1 min-h-7 font-mono text-sm font-normal" onClick={() => onLine(line)}>
                <span className="sr-only">Write </span>
                {line}
              </Button>
            </div>
            {drawing}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Rows of a part's data, the one to read washed. */
function Page({ rows, read }: { rows: [string, string][]; read: number }) {
  return (
    <dl aria-hidden="true" className="border border-rule-strong bg-slip px-2 py-1 text-xs text-ink-soft">
      {rows.map(([term, value], i) => (
        <div
          key={term}
          className={`flex justify-between px-1 leading-5 ${i === read ? "bg-(--tight-wash) font-bold text-ink outline outline-ink" : ""}`}
        >
          <dt>{term}</dt>
          <dd className="font-mono">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

/** The upper edge of a board with its processor sockets. */
function BoardDrawing() {
  return (
    <div
      aria-hidden="true"
      className="relative h-16 border border-b-0 border-rule-strong bg-slip text-xs text-ink-soft"
    >
      <span className="absolute top-1 left-2 flex gap-1.5 bg-(--tight-wash) p-1 outline outline-ink">
        <Face kind="eps8" size="list" />
        <Face kind="eps8" size="list" />
      </span>
      <span className="absolute top-2 left-21 font-bold text-ink">two: 2x8</span>
      <span className="absolute right-1 bottom-1">
        <Face kind="atx24" size="list" />
      </span>
    </div>
  );
}

/** The label of a disk. */
function LabelDrawing() {
  return (
    <div aria-hidden="true" className="rounded-md border border-rule-strong bg-slip px-2 py-1 text-xs">
      <p className="text-ink-soft">Disk 8 TB · 7200 rpm</p>
      <p className="bg-(--tight-wash) px-1 font-mono font-bold outline outline-ink">+5V 0.70A +12V 0.60A</p>
      <p className="text-ink-soft">Made at Saltmarsh Station</p>
    </div>
  );
}

/** A fan from behind, the sticker on its hub. */
function FanDrawing() {
  return (
    <svg aria-hidden="true" viewBox="0 0 210 72" className="w-full">
      <rect x="69" y="1" width="72" height="70" rx="6" fill="var(--slip)" stroke="var(--rule-strong)" />
      <circle cx="105" cy="36" r="32" fill="none" stroke="var(--rule-strong)" />
      {[0, 60, 120, 180, 240, 300].map((turn) => (
        <path
          key={turn}
          d="M105 16 q12 -8 12 -12"
          fill="none"
          stroke="var(--rule-strong)"
          transform={`rotate(${turn} 105 36)`}
        />
      ))}
      <circle cx="105" cy="36" r="20" fill="var(--tight-wash)" stroke="var(--ink)" />
      <text x="105" y="34" textAnchor="middle" fontSize="10" fill="var(--ink)">
        DC 12 V
      </text>
      <text x="105" y="46" textAnchor="middle" fontSize="11" fontWeight="700" fill="var(--ink)">
        0.18 A
      </text>
    </svg>
  );
}

const STEPS: { line: string; title: string; why: string; drawing: ReactNode }[] = [
  {
    line: "board 2x8",
    title: "The board.",
    why: "Count the 8-pin processor sockets at its upper edge, and write one or two.",
    drawing: <BoardDrawing />,
  },
  {
    line: "processor 125w",
    title: "The processor.",
    why: "Its package limit in watts, from the page of its power limits: the sustained one; a short one behind “short”.",
    drawing: (
      <Page
        read={1}
        rows={[
          ["Cores", "12"],
          ["Package limit, sustained", "125 W"],
          ["Package limit, short", "180 W"],
        ]}
      />
    ),
  },
  {
    line: "card 320w 2x8",
    title: "The card.",
    why: "The power of the whole board, not of its chip; and the sockets at its edge. “Smallest supply” is another figure.",
    drawing: (
      <Page
        read={0}
        rows={[
          ["Board power", "320 W"],
          ["Power sockets", "2 × 8-pin"],
          ["Smallest supply", "750 W"],
        ]}
      />
    ),
  },
  {
    line: "disk 12v:0.6a 5v:0.7a",
    title: "Each disk.",
    why: "The amperes on its label, at 12 V and at 5 V; for spin-up “start 1.9a”, from its page.",
    drawing: <LabelDrawing />,
  },
  {
    line: "fan 120mm 0.18a x5",
    title: "The fans.",
    why: "The amperes on the hub's sticker, and how many there are.",
    drawing: <FanDrawing />,
  },
];
