import { useQueryClient } from "@tanstack/react-query";

import { client, reason, take, type HeldAnswer, type TakenOut } from "../../api/client";
import { useWrite } from "../../state/build/contexts";
import { timeWords, type Range } from "../../state/readings/range";
import { Menu, MenuItem, MenuNote } from "../../ui/menu";
import { useWords } from "../../words";

const STATES = ["idle", "everyday", "full", "short", "start"] as const;
type Named = { from_s: number; to_s: number; state: (typeof STATES)[number] };

/** Name what is in sight: in which state the machine was. What is named wins over what was
 * recognised; the others stay. */
export function NameStates({
  buildKey,
  set,
  held,
  range,
}: {
  buildKey: string;
  set: TakenOut;
  held: HeldAnswer;
  range: Range | null;
}) {
  const { say } = useWrite();
  const queries = useQueryClient();
  const words = useWords();
  const put = async (named: Named[]) => {
    try {
      await take(
        client.PUT("/api/v1/builds/{key}/readings/{taken}/named", {
          params: { path: { key: buildKey, taken: set.key } },
          body: named,
        }),
      );
      await queries.invalidateQueries({ queryKey: ["held", buildKey, set.key] });
    } catch (error) {
      say(reason(error));
    }
  };
  const [from, to] = [range?.from ?? 0, range?.to ?? set.seconds];
  const others = held.named.filter((n) => n.to_s <= from || n.from_s >= to) as Named[];
  const name = (state: Named["state"]) =>
    void put([...others, { from_s: from, to_s: to, state }].sort((a, b) => a.from_s - b.from_s));
  return (
    <Menu label="Name the state…" align="start">
      <MenuNote>
        What is in sight, {timeWords(from)} to {timeWords(to)}, was:
      </MenuNote>
      {STATES.map((s) => (
        <MenuItem key={s} onSelect={() => name(s)}>
          {words.states[s as keyof typeof words.states] ?? s}
        </MenuItem>
      ))}
      {held.named.some((n) => !n.recognised) && (
        <MenuItem onSelect={() => void put([])}>Forget names, recognise them by their level</MenuItem>
      )}
      <MenuNote>
        {held.named.length === 0
          ? "No state is known yet."
          : held.named
              .map(
                (n) =>
                  `${words.states[n.state as keyof typeof words.states] ?? n.state} ${timeWords(n.from_s)} to ${timeWords(n.to_s)}${n.recognised ? ", by its level" : ""}`,
              )
              .join("; ")}
      </MenuNote>
    </Menu>
  );
}
