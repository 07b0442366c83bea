import { useState } from "react";

import { client, reason, take, type ChannelWords, type TakenOut } from "../../api/client";
import { parseNumber } from "../../state/parts/figure";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { ChannelOptions } from "./Channels";

const STATES = [
  ["idle", "Idle"],
  ["everyday", "Everyday"],
  ["full", "Full"],
] as const;

/** Figures as a meter shows them: a row a channel, a column a state. */
export function TypeDialog({
  buildKey,
  channels,
  onClose,
  onMade,
}: {
  buildKey: string;
  channels: ChannelWords[];
  onClose: () => void;
  onMade: (row: TakenOut) => Promise<void>;
}) {
  const [said, setSaid] = useState<Record<string, string>>({});
  const [more, setMore] = useState<string[]>([]);
  const rows = ["wall.w", "dc.w", ...more].flatMap((at) => channels.filter((c) => c.channel === at));
  const [error, setError] = useState("");
  const filled = Object.entries(said).filter(([, text]) => text.trim());
  const wrong = filled.filter(([, text]) => parseNumber(text) === null).map(([at]) => at);
  const keep = async () => {
    try {
      const body = {
        name: "",
        rows: filled.map(([at, text]) => {
          const [channel, state] = at.split("|");
          return [channel, state, parseNumber(text)] as [string, "idle", number];
        }),
      };
      await onMade(
        await take(
          client.POST("/api/v1/builds/{key}/readings/typed", { params: { path: { key: buildKey } }, body }),
        ),
      );
    } catch (e) {
      setError(reason(e));
    }
  };
  const rest = channels.filter((c) => !rows.some((r) => r.channel === c.channel));
  return (
    <Dialog open onClose={onClose} title="What a meter says" wide>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (filled.length && !wrong.length) void keep();
        }}
      >
        <div data-sideways className="overflow-x-auto">
          <table className="w-full text-left text-base">
            <thead className="text-sm text-ink-soft">
              <tr>
                <th className="font-normal">Measured</th>
                {STATES.map(([state, words]) => (
                  <th key={state} className="pl-2 font-normal">
                    {words}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((c) => (
                <tr key={c.channel}>
                  <td className="py-1 pr-2">{c.words}</td>
                  {STATES.map(([state, words]) => {
                    const at = `${c.channel}|${state}`;
                    return (
                      <td key={state} className="py-1 pl-2 whitespace-nowrap">
                        <input
                          aria-label={`${c.words}, ${words}`}
                          aria-invalid={wrong.includes(at)}
                          className="field w-24 text-right"
                          inputMode="decimal"
                          value={said[at] ?? ""}
                          onChange={(e) => setSaid({ ...said, [at]: e.target.value })}
                        />{" "}
                        {c.unit}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <label className="mt-2 flex flex-wrap items-center gap-2 text-base">
          Measured more:
          <select
            className="field max-w-full"
            value=""
            onChange={(e) => {
              if (e.target.value) setMore([...more, e.target.value]);
            }}
          >
            <option value="">choose what</option>
            <ChannelOptions channels={rest} />
          </select>
        </label>
        {(error || wrong.length > 0) && (
          <p role="alert" className="mt-2 font-semibold text-over">
            {error || "A figure is no number; leave it empty if it was not measured."}
          </p>
        )}
        <p className="mt-3 flex gap-2">
          <Button look="main" type="submit" disabled={!filled.length || wrong.length > 0}>
            Hold them against the tally
          </Button>
          <Button onClick={onClose}>Leave it</Button>
        </p>
      </form>
    </Dialog>
  );
}
