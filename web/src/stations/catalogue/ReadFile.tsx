import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useId, useRef, useState } from "react";

import { client, MOST, reason, take, textOf, type FileChange } from "../../api/client";
import { catalogueKey } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

const LOOK: Record<FileChange["status"], string> = {
  new: "text-within",
  changed: "text-tight",
  same: "text-ink-soft",
  wrong: "text-over",
};

/** A CSV into the catalogue: what each line would change, errors at their line; whole or not at all. */
export function ReadFile({ open, onClose }: { open: boolean; onClose: () => void }) {
  const queries = useQueryClient();
  const [text, setText] = useState("");
  const later = useDeferredValue(text);
  const [wrong, setWrong] = useState("");
  const file = useRef<HTMLInputElement>(null);
  const id = useId();
  const preview = useQuery({
    queryKey: [...catalogueKey, "preview", later],
    enabled: open && later.trim() !== "",
    retry: false,
    queryFn: () => take(client.POST("/api/v1/catalogue/preview", { body: { text: later } })),
  });
  const write = useMutation({
    mutationFn: () => take(client.POST("/api/v1/catalogue/file", { body: { text } })),
    onSuccess: async () => {
      setText("");
      await queries.invalidateQueries({ queryKey: catalogueKey });
      onClose();
    },
  });
  const changes = text.trim() === "" ? [] : (preview.data?.changes ?? []);
  const count = (status: FileChange["status"]) => changes.filter((c) => c.status === status).length;
  const fresh = count("new") + count("changed");
  const problem = wrong || (write.error ?? (text.trim() ? preview.error : null))?.message;
  return (
    <Dialog open={open} onClose={onClose} title="Read a CSV into the catalogue" wide>
      <div className="mb-2 flex items-center gap-3">
        <Button onClick={() => file.current?.click()}>Choose a file</Button>
        <a
          href="/api/v1/catalogue/template"
          download
          className="font-semibold text-accent underline-offset-2 hover:underline"
        >
          Get the template
        </a>
        <input
          ref={file}
          type="file"
          accept=".csv,text/csv"
          className="hidden"
          aria-label="CSV file"
          onChange={(e) => {
            const chosen = e.target.files?.[0];
            setWrong("");
            if (chosen)
              textOf(chosen, MOST.csv).then(
                (t) => {
                  write.reset();
                  setText(t);
                },
                (error: unknown) => setWrong(reason(error)),
              );
            e.target.value = "";
          }}
        />
      </div>
      <label htmlFor={id} className="text-sm text-ink-soft">
        Or paste it here. A line can be mended in place; nothing goes in before you say so.
      </label>
      <textarea
        id={id}
        rows={7}
        wrap="off"
        spellCheck={false}
        value={text}
        onChange={(e) => {
          write.reset();
          setText(e.target.value);
        }}
        className="mt-1 w-full border border-rule-strong bg-paper p-2 font-mono text-sm leading-6"
      />
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-over bg-paper p-2 font-semibold text-over">
          {problem}
        </p>
      )}
      <ul aria-label="What would change" className="mt-2 max-h-64 overflow-auto">
        {changes
          .filter((c) => c.status !== "same")
          .map((c) => (
            <li
              key={c.line}
              data-status={c.status}
              className="grid grid-cols-[64px_72px_minmax(0,1fr)] gap-2 border-t border-rule py-1 text-base"
            >
              <span className="text-ink-soft">line {c.line}</span>
              <b className={LOOK[c.status]}>{c.status}</b>
              <span>
                {c.name || c.slug}
                {c.status === "changed" &&
                  c.columns.map(([column, before, after]) => (
                    <span key={column} className="block text-sm text-ink-soft">
                      {column}: {before || "nothing"} → {after || "nothing"}
                    </span>
                  ))}
                {c.problems.map(([column, required, got], i) => (
                  <span key={i} className="block text-sm font-semibold">
                    {column}: needs {required}; got {got}
                  </span>
                ))}
              </span>
            </li>
          ))}
      </ul>
      <div className="mt-3 flex items-center justify-end gap-3">
        {changes.length > 0 && (
          <span className="text-base text-ink-soft">
            {count("new")} new, {count("changed")} changed, {count("same")} as they are
            {count("wrong") > 0 && <b className="text-over">, {count("wrong")} to mend first</b>}
          </span>
        )}
        <Button
          look="main"
          disabled={fresh === 0 || count("wrong") > 0 || preview.isFetching || later !== text}
          onClick={() => write.mutate()}
        >
          Take {fresh || "them"} in
        </Button>
      </div>
    </Dialog>
  );
}
