import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";

import { reason } from "../../api/client";
import { useWrite } from "../../state/build/contexts";
import { first, optionsFor, told, type Option } from "../../state/parts/entry";
import { referenceQuery, sayQuery } from "../../state/queries";
import { Combobox } from "../../ui/combobox";

/** The line that takes the next part as a builder would say it, or finds it in the catalogue. */
export function AddPart({ begun = "", onAdded }: { begun?: string; onAdded: (key: string) => void }) {
  const { act, say } = useWrite();
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
    if (chosen.kind === "line") {
      setText(chosen.words);
      setMoved(null);
      return;
    }
    const after = await act({ type: "add part", part: chosen.part });
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
      takesFocus={begun !== ""}
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
      told={told(text, data?.said, options)}
      nothing="Say the kind of part, its count as x5, its figures with their unit: “fan 120 0.18a x5”."
    />
  );
}

/** Whether a line is another with something added or taken away at its end. */
const typedOn = (was: string, now: string) => was !== "" && (now.startsWith(was) || was.startsWith(now));
