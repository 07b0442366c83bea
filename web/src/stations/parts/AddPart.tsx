import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useId, useRef, useState } from "react";

import { reason } from "../../api/client";
import { useBuild } from "../../state/build";
import { first, optionsFor, told, type Option } from "../../state/entry";
import { referenceQuery, sayQuery } from "../../state/queries";

/** The line that takes the next part as a builder would say it, or finds it in the catalogue. */
export function AddPart({ onAdded }: { onAdded: (key: string) => void }) {
  const { act, say } = useBuild();
  const queries = useQueryClient();
  const { data: reference } = useQuery(referenceQuery);
  const [text, setText] = useState("");
  const [open, setOpen] = useState(false);
  /** What the arrows chose; null until they do. */
  const [moved, setMoved] = useState<number | null>(null);
  const { data } = useQuery({ ...sayQuery(text), placeholderData: keepPreviousData });
  const id = useId();
  const line = useRef<HTMLInputElement>(null);
  const empty = text.trim() === "";
  const templates = reference?.templates ?? [];
  const options = optionsFor(text, empty ? undefined : data?.said, empty ? [] : (data?.offers ?? []), templates);
  const active = moved ?? (empty ? -1 : first(options));
  const enter = async () => {
    // Enter means the line as it stands, not what an earlier answer said of half of it.
    try {
      const [now, known] = await Promise.all([
        empty ? undefined : queries.fetchQuery(sayQuery(text)),
        queries.ensureQueryData(referenceQuery),
      ]);
      const fresh = optionsFor(text, now?.said, now?.offers ?? [], known.templates);
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
    <div className="relative">
      <label htmlFor={id} className="sr-only">Add a part</label>
      <input
        ref={line} id={id} role="combobox" autoComplete="off" aria-expanded={open} aria-controls={`${id}-list`} aria-describedby={`${id}-told`}
        aria-activedescendant={open && options[active] ? `${id}-${active}` : undefined}
        placeholder="Add a part: fan 120 0.18a x5 · card 320w 2x8 · disk x10"
        className="h-11 w-full border-2 border-accent bg-slip px-4 text-[17px] placeholder:text-ink-soft"
        value={text}
        onChange={(e) => { setText(e.target.value); setOpen(true); setMoved(null); }}
        onClick={() => setOpen(true)}
        onBlur={() => setOpen(false)}
        onKeyDown={(e) => {
          if (e.key === "ArrowDown" || e.key === "ArrowUp") {
            e.preventDefault();
            setOpen(true);
            const step = e.key === "ArrowDown" ? 1 : -1;
            if (options.length) setMoved(Math.max(0, (active + step + options.length) % options.length));
          }
          if (e.key === "Enter" && open) void enter();
          if (e.key === "Escape") setOpen(false);
        }}
      />
      <p id={`${id}-told`} role="status" className={`min-h-5 pt-0.5 text-[13px] font-semibold ${active >= 0 ? "text-accent" : "text-tight"}`}>
        {told(text, data?.said, options)}
      </p>
      {open && (
        <ul id={`${id}-list`} role="listbox" aria-label="Parts to add" className="absolute inset-x-0 top-[66px] z-20 max-h-80 overflow-auto border border-accent bg-slip shadow-lg">
          {options.map((o, i) => (
            <li
              key={o.id} id={`${id}-${i}`} role="option" aria-selected={i === active} data-option={o.id}
              ref={i === active ? (e) => e?.scrollIntoView({ block: "nearest" }) : undefined}
              className="flex cursor-pointer items-baseline justify-between gap-4 px-4 py-2 text-[15px] hover:bg-accent-wash aria-selected:bg-accent-wash aria-selected:shadow-[inset_4px_0_0_var(--accent)]"
              onMouseDown={(e) => { e.preventDefault(); void choose(o); }}
            >
              {o.words}<span className="max-w-[45%] shrink-0 text-right text-[13px] text-ink-soft">{o.hint}</span>
            </li>
          ))}
          {options.length === 0 && (
            <li role="option" aria-selected={false} aria-disabled className="px-4 py-2 text-ink-soft">
              Say the kind of part, its count as x5, its figures with their unit: “fan 120 0.18a x5”.
            </li>
          )}
        </ul>
      )}
    </div>
  );
}
