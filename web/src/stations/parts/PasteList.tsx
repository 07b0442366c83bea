import { useQuery } from "@tanstack/react-query";
import { useId, useState } from "react";

import { client, take } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

/** A list of parts, one a line: what is understood goes in as one step, the rest stays to be mended. */
export function PasteList() {
  const { act } = useWrite();
  const build = useBuild();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  const id = useId();
  const { data } = useQuery({
    queryKey: ["entries", text],
    enabled: open && text.trim() !== "",
    queryFn: () => take(client.POST("/api/v1/entries", { body: { text } })),
  });
  const lines = text.trim() === "" ? [] : (data ?? []);
  const parts = lines.flatMap((l) => (l.entry.part ? [l.entry.part] : []));
  const add = async () => {
    if (!(await act({ type: "add parts", parts }))) return;
    const rest = lines.filter((l) => !l.entry.part).map((l) => l.line);
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
          One part a line, as in the entry line: “disk x10”, “card 320w 2x8”, “fan 120 0.18a x5”.
        </label>
        <div className="mt-2 grid grid-cols-2 gap-4">
          <textarea
            id={id}
            rows={12}
            wrap="off"
            spellCheck={false}
            className="border border-rule-strong bg-paper p-2 font-mono text-md leading-7"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          <ul aria-label="Understood" className="p-2">
            {lines.map((l, i) => (
              <li
                key={i}
                className={`border-t border-rule py-1 leading-snug ${l.entry.part ? "" : "font-semibold text-tight"}`}
              >
                {l.entry.part
                  ? l.entry.understood
                  : `${l.line}: ${l.entry.unknown.length ? `not understood: ${l.entry.unknown.join(", ")}` : l.entry.question}`}
              </li>
            ))}
          </ul>
        </div>
        <div className="mt-3 flex items-center justify-end gap-3">
          <Button look="quiet" className="mr-auto" onClick={() => void own()}>
            Put {build.doc.name}’s own parts here
          </Button>
          {lines.length > parts.length && (
            <span className="text-base text-ink-soft">
              {lines.length - parts.length} will stay here to be mended
            </span>
          )}
          <Button look="main" disabled={parts.length === 0} onClick={() => void add()}>
            Add {parts.length || ""} understood
          </Button>
        </div>
      </Dialog>
    </>
  );
}
