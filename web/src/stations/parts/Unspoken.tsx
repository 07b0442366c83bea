import { useQuery } from "@tanstack/react-query";

import type { Action } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { referenceQuery } from "../../state/queries";
import { Menu, MenuItem, MenuNote } from "../../ui/menu";
import { capital } from "../../words";

type NewPart = Extract<Action, { type?: "add part" }>["part"];

/** What is often forgotten and the build does not speak of yet: added, or said to be none here. */
export function Unspoken({ onAdded }: { onAdded: (part: string, field?: string) => void }) {
  const { result } = useResult();
  const build = useBuild();
  const { act } = useWrite();
  const { data: reference } = useQuery(referenceQuery);
  if (result.unspoken.length === 0) return null;
  const board = build.doc.parts.find((p) => p.kind === "board");
  const add = async (part: NewPart) => {
    const after = await act({ type: "add part", part });
    const added = after?.doc.parts.at(-1);
    if (added) onAdded(added.key);
  };
  const none = (id: (typeof result.unspoken)[number]["id"]) =>
    act((doc) => ({
      type: "change build",
      changes: { none_here: [...doc.none_here, id] },
      house_rules: {},
      assumptions: {},
    }));
  return (
    <section aria-label="Not spoken of yet" className="-mt-2 flex flex-wrap items-baseline gap-x-1 text-sm">
      <h2 className="mr-1 text-ink-soft">Thought of?</h2>
      {result.unspoken.map((u) => (
        <Menu
          key={u.id}
          quiet
          align="start"
          label={
            <span className={u.draws ? "font-bold text-tight" : "font-normal text-ink-soft"}>
              {capital(u.words)}
            </span>
          }
        >
          <MenuNote>
            {u.look}
            {u.draws && " It nearly always draws: until then the tally is “at least”."}
          </MenuNote>
          {reference?.often[u.id]?.map((o) => (
            <MenuItem key={o.words} onSelect={() => void add(o.part)}>
              Add {o.words}
            </MenuItem>
          ))}
          {!reference?.often[u.id] && board && (
            <MenuItem onSelect={() => onAdded(board.key, "sockets")}>Set it at {board.name}</MenuItem>
          )}
          <MenuItem onSelect={() => void none(u.id)}>None here, or counted already</MenuItem>
        </Menu>
      ))}
    </section>
  );
}
