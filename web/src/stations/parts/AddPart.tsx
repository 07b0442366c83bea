import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useLocation, useNavigate } from "react-router";

import { reason, type Heard } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { first, optionsFor, placeOf, told, type Option } from "../../state/parts/entry";
import { referenceQuery, sayQuery } from "../../state/queries";
import { unknownWords } from "../../state/parts/words";
import { Combobox } from "../../ui/combobox";
import { OwnWords } from "../../ui/ownwords";

/** The line that takes the next part as a builder would say it, or finds it in the catalogue. */
export function AddPart({ begun = "", onAdded }: { begun?: string; onAdded: (key: string) => void }) {
  const { act, say } = useWrite();
  const build = useBuild();
  const navigate = useNavigate();
  // A build that was just begun has its line in hand.
  const begins = (useLocation().state as { line?: boolean } | null)?.line === true;
  const queries = useQueryClient();
  const { data: reference } = useQuery(referenceQuery);
  const [text, setText] = useState(begun);
  const [open, setOpen] = useState(begun !== "");
  /** What the arrows chose; null until they do. */
  const [moved, setMoved] = useState<number | null>(null);
  const { data } = useQuery({
    ...sayQuery(text),
    // While one types on, the last answer stands; what was said of another line is none of this one's.
    placeholderData: (last, of) => (typedOn(of?.queryKey[1] ?? "", text) ? last : undefined),
  });
  const line = useRef<HTMLInputElement>(null);
  const empty = text.trim() === "";
  const templates = reference?.templates ?? [];
  const options = optionsFor(text, empty ? undefined : data, templates);
  const unknown = unknownWords(data?.said);
  const active = moved ?? (empty ? -1 : first(options));
  const enter = async () => {
    // Enter means the line as it stands, not what an earlier answer said of half of it.
    try {
      const [now, known] = await Promise.all([
        empty ? undefined : queries.fetchQuery(sayQuery(text)),
        queries.ensureQueryData(referenceQuery),
      ]);
      const fresh = optionsFor(text, now, known.templates);
      await choose(fresh[moved ?? (empty ? -1 : first(fresh))]);
    } catch (error) {
      say(reason(error));
    }
  };
  const choose = async (chosen: Option | undefined) => {
    if (!chosen) return;
    if (chosen.kind === "none") return line.current?.select();
    if (chosen.kind === "goes") {
      const place = placeOf(chosen.to, text);
      await navigate({ pathname: `/b/${build.key}/${place.path}`, search: place.search });
      return;
    }
    if (chosen.kind === "line") {
      // An answer that says all goes in at once; one that asks more is the line from here on.
      const answer = await queries.fetchQuery(sayQuery(chosen.line));
      if (answer.said.part) return add([answer.said.part]);
      setText(chosen.line);
      setMoved(null);
      return;
    }
    await add(chosen.kind === "parts" ? chosen.parts : [chosen.part]);
  };
  const add = async (parts: Extract<Option, { kind: "parts" }>["parts"]) => {
    const [part] = parts;
    if (!part) return;
    const after = await act(parts.length === 1 ? { type: "add part", part } : { type: "add parts", parts });
    if (!after) return;
    // What was typed while this went in is the next part.
    setText((now) => (now === text ? "" : now));
    setOpen((now) => now && line.current?.value !== text);
    setMoved(null);
    const added = after.doc.parts.at(-1);
    if (added) onAdded(added.key);
  };
  return (
    <Combobox
      label="Add a part"
      listLabel="Parts to add"
      placeholder="Add a part: fan 120 0.18a x5 · card 320w 2x8 · disk x10"
      line={line}
      takesFocus={begun !== "" || begins}
      text={text}
      onText={(t) => {
        setText(t);
        setMoved(null);
      }}
      choices={options}
      active={active}
      onMove={setMoved}
      onEnter={() => void enter()}
      onTake={(o) => void choose(o)}
      open={open}
      onOpen={setOpen}
      onEscape={() => {
        setText("");
        setMoved(null);
      }}
      told={told(text, data?.said, options)}
      under={
        !empty && data && (data.slots.length > 0 || unknown.length > 0) ? (
          <div className="grid gap-2 border-b border-rule p-2">
            <Slots slots={data.slots} onSlot={(at, to) => select(line.current, at, to)} />
            <OwnWords unknown={unknown} own={data.own} />
          </div>
        ) : null
      }
      nothing="Say the kind of part, its count as x5, its figures with their unit: “fan 120 0.18a x5”."
    />
  );
}

/** The slots of what is said, as they would go in: one that is tapped is selected in the line. */
function Slots({ slots, onSlot }: { slots: Heard["slots"]; onSlot: (at: number, to: number) => void }) {
  return (
    <dl aria-label="Understood so far" className="flex flex-wrap gap-1.5">
      {slots.map((s, i) => (
        <div key={i} className="flex border border-rule-strong bg-slip text-base leading-7">
          <dt className="bg-paper px-1.5 text-sm leading-7 text-ink-soft">{s.name}</dt>
          <dd>
            <button
              type="button"
              className="min-h-7 px-2 font-semibold enabled:hover:bg-accent-wash disabled:cursor-default"
              disabled={s.to === 0}
              title={s.to ? "Say it otherwise" : undefined}
              onMouseDown={(e) => e.preventDefault()}
              onClick={() => onSlot(s.at, s.to)}
            >
              {s.words}
            </button>
          </dd>
        </div>
      ))}
    </dl>
  );
}

function select(line: HTMLInputElement | null, at: number, to: number) {
  line?.focus();
  line?.setSelectionRange(at, to);
}

/** Whether a line is another with something added or taken away at its end. */
const typedOn = (was: string, now: string) => was !== "" && (now.startsWith(was) || was.startsWith(now));
