import { useQuery } from "@tanstack/react-query";
import { useId, useState } from "react";

import { client, take, type Line } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

/** A list of parts, one a line: what is understood goes in as one step, the rest stays to be mended. */
export function PasteList({ begun = "" }: { begun?: string }) {
  const { act } = useWrite();
  const build = useBuild();
  const [open, setOpen] = useState(begun !== "");
  const [text, setText] = useState(begun);
  const id = useId();
  const { data } = useQuery({
    queryKey: ["entries", text],
    enabled: open && text.trim() !== "",
    queryFn: () => take(client.POST("/api/v1/entries", { body: { text } })),
  });
  const lines = text.trim() === "" ? [] : (data ?? []);
  const parts = lines.flatMap((l) => (l.entry.part ? [l.entry.part] : []));
  const toMend = lines.filter((l) => !l.entry.part && !isNoPart(l));
  const add = async () => {
    if (!(await act({ type: "add parts", parts }))) return;
    const rest = toMend.map((l) => l.line);
    setText(rest.join("\n"));
    if (rest.length === 0) setOpen(false);
  };
  const own = async () => {
    const { lines } = await take(
      client.GET("/api/v1/builds/{key}/lines", { params: { path: { key: build.key } } }),
    );
    setText(lines.join("\n"));
  };
  return (
    <>
      <Button onClick={() => setOpen(true)}>Paste a list</Button>
      <Dialog open={open} onClose={() => setOpen(false)} title="Paste a list of parts" wide>
        <label htmlFor={id} className="text-ink-soft">
          One part a line, from anywhere: a shop’s list, a table of a spreadsheet, “disk x10”. Prices and
          links are left out.
        </label>
        <div className="mt-2 grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-4">
          <textarea
            id={id}
            rows={14}
            wrap="off"
            spellCheck={false}
            className="border border-rule-strong bg-paper p-2 font-mono text-md leading-7"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          <ul aria-label="Understood" className="max-h-[420px] overflow-auto pr-2">
            {lines.map((l, i) => (
              <TakenLine key={i} line={l} onAnswer={(words) => setText(answered(text, i, words))} />
            ))}
          </ul>
        </div>
        <div className="mt-3 flex items-center justify-end gap-3">
          <Button look="quiet" className="mr-auto" onClick={() => void own()}>
            Put {build.doc.name}’s own parts here
          </Button>
          {toMend.length > 0 && (
            <span className="text-base text-ink-soft">{toMend.length} will stay here to be mended</span>
          )}
          <Button look="main" disabled={parts.length === 0} onClick={() => void add()}>
            Add {parts.length || ""} understood
          </Button>
        </div>
      </Dialog>
    </>
  );
}

/** Whether a line speaks of no part at all: heads of columns, a sum, a link. */
const isNoPart = ({ entry }: Line) => !entry.part && !entry.question && entry.unknown.length === 0;

/** The list with its nth line, empty ones not counted, said otherwise. */
function answered(text: string, nth: number, words: string) {
  let at = -1;
  return text
    .split(/\r\n|\r|\n/)
    .map((line) => (line.trim() !== "" && (at += 1) === nth ? words : line))
    .join("\n");
}

/** What one line is taken as, what is asked about it, and what of it is left out. */
function TakenLine({ line: { line, entry }, onAnswer }: { line: Line; onAnswer: (words: string) => void }) {
  const nothing = isNoPart({ line, entry });
  const unknown = entry.unknown.length ? `Not understood: ${entry.unknown.join(", ")}.` : "";
  return (
    <li className="border-t border-rule py-1.5 leading-snug">
      {entry.part && <span className="font-semibold">{entry.understood}</span>}
      {nothing && <span className="text-ink-soft">Left out, it speaks of no part: {line.trim()}</span>}
      {!entry.part && !nothing && (
        <>
          <span className="font-mono text-sm">{line.trim()}</span>
          <span className="block font-semibold text-tight">
            {[entry.question, unknown].filter(Boolean).join(" ")}
          </span>
          <span className="flex flex-wrap gap-1.5 pt-1">
            {entry.choices.map((c) => (
              <Button key={c} className="min-h-7 font-mono text-sm font-normal" onClick={() => onAnswer(c)}>
                {c}
              </Button>
            ))}
          </span>
        </>
      )}
      {!nothing && entry.dropped.length > 0 && (
        <span className="block text-sm text-ink-soft">Left out: {entry.dropped.join(", ")}</span>
      )}
    </li>
  );
}
