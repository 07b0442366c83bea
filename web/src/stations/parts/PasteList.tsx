import { useQuery } from "@tanstack/react-query";
import { useId, useState } from "react";

import { client, take, type Line } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { unknownWords } from "../../state/parts/words";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { OwnWords } from "../../ui/ownwords";

/** A list of parts, one a line: what is understood goes in as one step, the rest stays to be mended. */
export function PasteList({
  begun,
  open,
  onClose,
}: {
  /** What stands in it when it first opens. */
  begun: string;
  open: boolean;
  onClose: () => void;
}) {
  const { act } = useWrite();
  const build = useBuild();
  const [text, setText] = useState(begun);
  const id = useId();
  const { data } = useQuery({
    queryKey: ["entries", text],
    enabled: open && text.trim() !== "",
    queryFn: () => take(client.POST("/api/v1/entries", { body: { text } })),
  });
  const lines = text.trim() === "" ? [] : (data ?? []);
  const parts = lines.flatMap(partsOf);
  const toMend = lines.filter((l) => partsOf(l).length === 0 && !isNoPart(l));
  const leftOut = lines.filter(isNoPart);
  const ownWords = [...new Map(lines.flatMap((l) => l.own).map((w) => [w.word, w])).values()];
  const unknown = unknownWords({
    loose: toMend.flatMap((l) => l.entry.loose),
    unknown: toMend.flatMap((l) => l.entry.unknown),
  });
  const add = async () => {
    if (!(await act({ type: "add parts", parts }))) return;
    const rest = toMend.map((l) => l.line);
    setText(rest.join("\n"));
    if (rest.length === 0) onClose();
  };
  const putOwnParts = async () => {
    const { lines } = await take(
      client.GET("/api/v1/builds/{key}/lines", { params: { path: { key: build.key } } }),
    );
    setText(lines.join("\n"));
  };
  return (
    <Dialog open={open} onClose={onClose} title="Paste a list of parts" wide>
      <label htmlFor={id} className="text-ink-soft">
        One part a line, from anywhere: a shop’s list, a table of a spreadsheet, “disk x10”. Prices and links
        are left out.
      </label>
      <div className="mt-2 grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-4 max-[700px]:grid-cols-1">
        <textarea
          id={id}
          rows={14}
          wrap="off"
          spellCheck={false}
          className="border border-rule-strong bg-paper p-2 font-mono text-md leading-7"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <div className="max-h-[420px] overflow-auto pr-2">
          <table aria-label="Understood" className="w-full border-collapse text-base">
            <thead>
              <tr className="text-left text-sm text-ink-soft">
                <th className="py-1 pr-2 text-right font-normal">count</th>
                <th className="pr-2 font-normal">part</th>
                <th className="pr-2 font-normal">each</th>
                <th className="text-right font-normal">in all</th>
              </tr>
            </thead>
            <tbody>
              {lines.map(
                (l, i) =>
                  !isNoPart(l) && (
                    <TakenLine key={i} line={l} onAnswer={(words) => setText(answered(text, i, words))} />
                  ),
              )}
            </tbody>
            {parts.length > 0 && (
              <tfoot>
                <tr className="border-t-2 border-ink font-semibold">
                  <td className="py-1 pr-2 text-right">{countOf(parts)}</td>
                  <td colSpan={2}>parts understood</td>
                  <td className="text-right tabular-nums">{sumOf(lines)}</td>
                </tr>
              </tfoot>
            )}
          </table>
          {leftOut.length > 0 && (
            <details className="mt-2 text-base text-ink-soft">
              <summary className="cursor-pointer">
                {leftOut.length === 1 ? "1 line" : `${leftOut.length} lines`} left out: no part is spoken of
              </summary>
              <ul className="font-mono text-sm">
                {leftOut.map((l, i) => (
                  <li key={i}>{l.line.trim()}</li>
                ))}
              </ul>
            </details>
          )}
          <OwnWords unknown={unknown} own={ownWords} />
        </div>
      </div>
      <div className="mt-3 flex items-center justify-end gap-3">
        <Button look="quiet" className="mr-auto" onClick={() => void putOwnParts()}>
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
  );
}

/** Whether a line speaks of no part at all: heads of columns, a sum, a link. */
const isNoPart = ({ entry }: Line) =>
  !entry.part && entry.parts.length === 0 && !entry.question && entry.unknown.length === 0;

/** The list with its nth line, empty ones not counted, said otherwise. */
function answered(text: string, nth: number, words: string) {
  let at = -1;
  return text
    .split(/\r\n|\r|\n/)
    .map((line) => (line.trim() !== "" && (at += 1) === nth ? words : line))
    .join("\n");
}

/** The parts of a line that is understood: one, or several. */
const partsOf = ({ entry }: Line) => (entry.part ? [entry.part] : entry.parts);

const countOf = (parts: { count?: number | undefined }[]) => parts.reduce((n, p) => n + (p.count ?? 1), 0);

/** What the lines that are understood draw together; at least so much where one is not known. */
function sumOf(lines: Line[]) {
  const taken = lines.filter((l) => partsOf(l).length > 0);
  const sum = taken.reduce((n, l) => n + (l.watts ?? 0), 0);
  return `${taken.some((l) => l.watts === null) ? "≥ " : ""}${Math.round(sum)} W`;
}

/** What one line is taken as, what is asked about it, and what of it is left out. */
function TakenLine({ line, onAnswer }: { line: Line; onAnswer: (words: string) => void }) {
  const { entry } = line;
  const parts = partsOf(line);
  const unknown = entry.unknown.length ? `Not understood: ${entry.unknown.join(", ")}.` : "";
  const beside = [
    parts.length === 1 && (parts[0]?.count ?? 1) > 1 ? entry.proof : "",
    entry.loose.length ? `kept as a note: ${entry.loose.join(", ")}` : "",
    entry.dropped.length && !entry.proof ? `left out: ${entry.dropped.join(", ")}` : "",
  ].filter(Boolean);
  const slot = (name: string) => line.slots.filter((s) => s.name === name).map((s) => s.words);
  return (
    <tr className="border-t border-rule align-baseline leading-snug">
      {parts.length > 0 ? (
        <>
          <td className="py-1.5 pr-2 text-right font-semibold tabular-nums">{slot("count").join(", ")}</td>
          <td className="pr-2 font-semibold">
            {parts.map((p) => p.name).join("; ")}
            {beside.map((words) => (
              <span key={words} className="block text-sm font-normal text-ink-soft">
                {words}
              </span>
            ))}
          </td>
          <td className="pr-2">{slot("each").join("; ")}</td>
          <td className="text-right font-semibold whitespace-nowrap tabular-nums">
            {line.watts === null
              ? "?"
              : `${line.watts < 20 ? Math.round(line.watts * 10) / 10 : Math.round(line.watts)} W`}
          </td>
        </>
      ) : (
        <td colSpan={4} className="py-1.5">
          <span className="font-mono text-sm">{line.line.trim()}</span>
          <span className="block font-semibold text-tight">
            {[entry.question, unknown].filter(Boolean).join(" ")}
          </span>
          <span className="flex flex-wrap gap-1.5 pt-1">
            {entry.choices.map((c, i) => (
              <Button key={c} className="min-h-7 text-left text-sm font-normal" onClick={() => onAnswer(c)}>
                {line.meant[i] || c}
              </Button>
            ))}
          </span>
        </td>
      )}
    </tr>
  );
}
