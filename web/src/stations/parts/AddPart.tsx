import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useId, useState } from "react";

import type { Action, Said } from "../../api/client";
import { useBuild } from "../../state/build";
import { entryQuery, referenceQuery } from "../../state/queries";

type Option =
  | { kind: "part"; id: string; words: string; hint: string; part: Extract<Action, { type?: "add part" }>["part"] }
  | { kind: "line"; id: string; words: string; hint: string };

/** The line that takes the next part as a builder would say it, or by a template's words. */
export function AddPart({ onAdded }: { onAdded: (key: string) => void }) {
  const { act } = useBuild();
  const queries = useQueryClient();
  const { data: reference } = useQuery(referenceQuery);
  const [text, setText] = useState("");
  const [open, setOpen] = useState(false);
  const [active, setActive] = useState(0);
  const { data: entry } = useQuery({ ...entryQuery(text), placeholderData: keepPreviousData });
  const id = useId();
  const said = text.trim() === "" ? undefined : entry;
  const wanted = text.toLowerCase().split(/\s+/).filter(Boolean);
  const optionsOf = (said: Said | undefined): Option[] => [
    ...(said?.part ? [{ kind: "part" as const, id: "said", words: said.understood, hint: "as you said it", part: said.part }] : []),
    ...(said?.choices ?? []).map((c) => ({ kind: "line" as const, id: `line-${c}`, words: c, hint: "say so" })),
    ...(reference?.templates ?? [])
      .filter((t) => wanted.every((w) => `${t.words} ${t.also}`.toLowerCase().includes(w)))
      .map((t) => ({ kind: "part" as const, id: t.id, words: t.words, hint: "figures to be filled in", part: t.part })),
  ];
  const options = optionsOf(said);
  const enter = async () => {
    // Enter means the line as it stands, not what an earlier answer said of half of it.
    const now = text.trim() === "" ? undefined : await queries.fetchQuery(entryQuery(text));
    await take(optionsOf(now)[active]);
  };
  const take = async (chosen: Option | undefined) => {
    if (!chosen) return;
    if (chosen.kind === "line") {
      setText(chosen.words);
      setActive(0);
      return;
    }
    const after = await act({ type: "add part", part: chosen.part });
    if (!after) return;
    setText("");
    setOpen(false);
    setActive(0);
    const added = after.doc.parts.at(-1);
    if (added) onAdded(added.key);
  };
  const told = !said ? "" : said.part
    ? `${said.understood}. Enter adds it.`
    : [said.question, said.unknown.length ? `Not understood: ${said.unknown.join(", ")}` : ""].filter(Boolean).join(" ");
  return (
    <div className="relative">
      <label htmlFor={id} className="sr-only">Add a part</label>
      <input
        id={id} role="combobox" autoComplete="off" aria-expanded={open} aria-controls={`${id}-list`} aria-describedby={`${id}-told`}
        aria-activedescendant={open && options[active] ? `${id}-${active}` : undefined}
        placeholder="Add a part: fan 120 0.18a x5 · card 320w 2x8 · board · disk x10"
        className="h-11 w-full border-2 border-accent bg-slip px-4 text-[17px] placeholder:text-ink-soft"
        value={text}
        onChange={(e) => { setText(e.target.value); setOpen(true); setActive(0); }}
        onClick={() => setOpen(true)}
        onBlur={() => setOpen(false)}
        onKeyDown={(e) => {
          if (e.key === "ArrowDown" || e.key === "ArrowUp") {
            e.preventDefault();
            setOpen(true);
            const step = e.key === "ArrowDown" ? 1 : -1;
            setActive((a) => (open ? (a + step + options.length) % Math.max(options.length, 1) : 0));
          }
          if (e.key === "Enter" && open) void enter();
          if (e.key === "Escape") setOpen(false);
        }}
      />
      <p id={`${id}-told`} role="status" className={`min-h-5 pt-0.5 text-[13px] font-semibold ${said?.part ? "text-accent" : "text-tight"}`}>{told}</p>
      {open && (
        <ul id={`${id}-list`} role="listbox" aria-label="Parts to add" className="absolute inset-x-0 top-[66px] z-20 max-h-80 overflow-auto border border-accent bg-slip shadow-lg">
          {options.map((o, i) => (
            <li
              key={o.id} id={`${id}-${i}`} role="option" aria-selected={i === active}
              className="flex cursor-pointer justify-between gap-4 px-4 py-2 text-[15px] aria-selected:bg-accent-wash"
              onMouseDown={(e) => { e.preventDefault(); void take(o); }}
              onMouseEnter={() => setActive(i)}
            >
              {o.words}<span className="text-[13px] text-ink-soft">{o.hint}</span>
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
