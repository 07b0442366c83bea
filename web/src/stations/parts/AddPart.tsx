import { useQuery } from "@tanstack/react-query";
import { useId, useState } from "react";

import { useBuild } from "../../state/build";
import { referenceQuery } from "../../state/queries";

/** The line that takes the next part: type a few letters, choose, Enter. */
export function AddPart({ onAdded }: { onAdded: (key: string) => void }) {
  const { act } = useBuild();
  const { data } = useQuery(referenceQuery);
  const [text, setText] = useState("");
  const [open, setOpen] = useState(false);
  const [active, setActive] = useState(0);
  const id = useId();
  const wanted = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = (data?.templates ?? []).filter((t) => {
    const words = `${t.words} ${t.also}`.toLowerCase();
    return wanted.every((w) => words.includes(w));
  });
  const add = async (index: number) => {
    const chosen = found[index];
    if (!chosen) return;
    const after = await act({ type: "add part", part: chosen.part });
    if (!after) return;
    setText("");
    setOpen(false);
    setActive(0);
    const added = after.doc.parts.at(-1);
    if (added) onAdded(added.key);
  };
  return (
    <div className="relative">
      <label htmlFor={id} className="sr-only">Add a part</label>
      <input
        id={id} role="combobox" autoComplete="off" aria-expanded={open} aria-controls={`${id}-list`}
        aria-activedescendant={open && found[active] ? `${id}-${found[active].id}` : undefined}
        placeholder="Add a part: board, processor, card 8-pin, disk, fan…"
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
            setActive((a) => (open ? (a + step + found.length) % Math.max(found.length, 1) : 0));
          }
          if (e.key === "Enter" && open) void add(active);
          if (e.key === "Escape") setOpen(false);
        }}
      />
      {open && (
        <ul id={`${id}-list`} role="listbox" aria-label="Parts to add" className="absolute inset-x-0 top-full z-20 max-h-80 overflow-auto border border-t-0 border-accent bg-slip shadow-lg">
          {found.map((t, i) => (
            <li
              key={t.id} id={`${id}-${t.id}`} role="option" aria-selected={i === active}
              className="flex cursor-pointer justify-between px-4 py-2 text-[15px] aria-selected:bg-accent-wash"
              onMouseDown={(e) => { e.preventDefault(); void add(i); }}
              onMouseEnter={() => setActive(i)}
            >
              {t.words}{i === active && <span className="text-[13px] text-ink-soft">Enter adds it</span>}
            </li>
          ))}
          {found.length === 0 && (
            <li role="option" aria-selected={false} aria-disabled className="px-4 py-2 text-ink-soft">
              Nothing is called “{text}” here. Try board, processor, memory, card, M.2, disk, drive or fan.
            </li>
          )}
        </ul>
      )}
    </div>
  );
}
