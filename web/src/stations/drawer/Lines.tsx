import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useId } from "react";

import type { Thing } from "../../api/client";
import { unknownWords } from "../../state/parts/words";
import { readThingQuery } from "../../state/queries";
import { OwnWords } from "../../ui/ownwords";

const EXAMPLES: Record<Thing["kind"], string> = {
  supply: `Sandling 750, 750 W, 3.1, ATX, 160 mm, gold, fully modular, 12 V 62 A, 5 V 20 A, 3.3 V 20 A, combined 120 W: 2 board, 5 processor or graphics, 1 16-pin, 4 drive ports
board 20+4 600 mm
2 processor 4+4 700 mm
2 card 6+2 x2 600+150 mm 18 awg
16-pin 600 W 700 mm 16 awg
3 sata x4 450+120 mm`,
  cable: `graphics cable, two 6+2 plugs, 600 mm and 150 mm apart, 18 awg, family:"Saltern A"`,
  adapter: "16-pin from two 8-pin, 300 W, 200 mm, 16 awg",
  extension: "processor extension 250 mm, 16 awg",
  bracket: "SFX to ATX",
};
const TOLD: Record<Thing["kind"], string> = {
  supply: "The supply as its box says it; below it its cables, a kind a line.",
  cable: "A cable: its plugs, how far each is from the supply, its gauge, its pinout family.",
  adapter: "An adapter: its leads, its plugs, what its 16-pin plug is coded for.",
  extension: "An extension: the plug, its length, its gauge.",
  bracket: "A bracket: the form that it holds, and the place that it goes into.",
};

/** Lines that say a thing, with what they are understood as while they are typed. */
export function Lines({
  kind,
  text,
  onText,
}: {
  kind: Thing["kind"];
  text: string;
  onText: (text: string) => void;
}) {
  const id = useId();
  const { data } = useQuery(readThingQuery(kind, useDeferredValue(text)));
  const told = text.trim() ? data : undefined;
  return (
    <div className="grid gap-2">
      <label htmlFor={id} className="text-base">
        {TOLD[kind]}
      </label>
      <textarea
        id={id}
        rows={kind === "supply" ? 8 : 2}
        spellCheck={false}
        className="field h-auto w-full font-mono text-base"
        value={text}
        placeholder={EXAMPLES[kind]}
        onChange={(e) => onText(e.target.value)}
      />
      {told && told.problems.length > 0 && (
        <ul aria-label="What is not understood" className="text-base font-semibold text-over">
          {told.problems.map((p) => (
            <li key={p}>{p}</li>
          ))}
        </ul>
      )}
      {told && told.words.length > 0 && (
        <ul aria-label="Understood as" className="list-disc pl-5 text-base">
          {told.words.map((w, i) => (
            <li key={i}>{w}</li>
          ))}
        </ul>
      )}
      {told && <OwnWords unknown={unknownWords(told)} own={told.own} />}
      {!told && (
        <p className="text-sm text-ink-soft">
          For example:{" "}
          <button type="button" className="text-accent underline" onClick={() => onText(EXAMPLES[kind])}>
            put the example in
          </button>
        </p>
      )}
    </div>
  );
}
