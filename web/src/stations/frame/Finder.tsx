import { useQuery } from "@tanstack/react-query";
import { useId, useRef, useState, type KeyboardEvent } from "react";
import { useNavigate } from "react-router";

import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { doings, found, goals } from "../../state/frame/finder";
import { useMayEdit } from "../../state/frame/here";
import { candidatesQuery, referenceQuery } from "../../state/queries";
import { Dialog } from "../../ui/dialog";

/** Finds anything of this build by its name, and goes there. */
export function Finder({ onClose }: { onClose: () => void }) {
  const id = useId();
  const build = useBuild();
  const { result } = useResult();
  const navigate = useNavigate();
  const line = useRef<HTMLInputElement>(null);
  const [text, setText] = useState("");
  const [active, setActive] = useState(0);
  const { takeSupply } = useWrite();
  const mayEdit = useMayEdit();
  const { data: reference } = useQuery(referenceQuery);
  const { data: supplies = [] } = useQuery({
    ...candidatesQuery(build.key, build.version),
    enabled: mayEdit,
  });
  const all = [...goals(build, result), ...(mayEdit ? doings(build, reference, supplies) : [])];
  const several = found(all, text);
  const go = (n: number) => {
    const goal = several[n];
    if (!goal) return;
    onClose();
    if (goal.isFile) window.location.assign(goal.to);
    else void navigate(goal.to, { state: { taken: goal.takes !== undefined } });
    if (goal.takes !== undefined) void takeSupply(goal.takes);
  };
  const keys = (e: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
    if (step) {
      e.preventDefault();
      setActive((active + step + several.length) % Math.max(1, several.length));
    } else if (e.key === "Enter") go(active);
  };
  return (
    <Dialog open onClose={onClose} title="Find, set, do" first={line}>
      <label htmlFor={id} className="sr-only">
        Name of a part, a socket, a cable, a port, a station, a setting, of what is to be done
      </label>
      <input
        id={id}
        ref={line}
        role="combobox"
        aria-expanded="true"
        aria-controls={`${id}-list`}
        aria-activedescendant={several[active] ? `${id}-${active}` : undefined}
        autoComplete="off"
        placeholder="part, socket, cable, port, station; map, print, take"
        className="field h-11! w-full text-lg"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setActive(0);
        }}
        onKeyDown={keys}
      />
      <ul id={`${id}-list`} role="listbox" aria-label="Found" className="mt-2">
        {several.map((g, n) => (
          <li
            key={`${g.kind} ${g.name} ${g.to} ${g.takes ?? ""}`}
            id={`${id}-${n}`}
            role="option"
            aria-selected={n === active}
            className="flex cursor-pointer justify-between gap-4 px-3 py-1.5 text-md hover:bg-accent-wash aria-selected:bg-accent-wash aria-selected:shadow-[inset_4px_0_0_var(--accent)]"
            onClick={() => go(n)}
          >
            <span className="min-w-0">{g.name}</span>
            <span className="shrink-0 text-sm text-ink-soft">{g.kind}</span>
          </li>
        ))}
        {several.length === 0 && (
          <li role="option" aria-selected={false} aria-disabled className="px-3 py-2 text-ink-soft">
            Nothing of this build has a name with these letters.
          </li>
        )}
      </ul>
    </Dialog>
  );
}
