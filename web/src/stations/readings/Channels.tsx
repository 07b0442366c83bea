import type { ChannelWords } from "../../api/client";
import { byInstrument, MOST_DRAWN } from "../../state/readings/choice";

/** Which channels are drawn, by the instrument that measures them. */
export function Channels({
  channels,
  chosen,
  onChange,
}: {
  channels: ChannelWords[];
  chosen: string[];
  onChange: (chosen: string[]) => void;
}) {
  return (
    <div className="px-3 py-2">
      <h2 className="text-base font-bold">Drawn</h2>
      {byInstrument(channels).map(([instrument, of]) => (
        <details key={instrument} open={of.some((c) => chosen.includes(c.channel))}>
          <summary className="min-h-8 cursor-pointer py-1 text-base">
            <span className="first-letter:uppercase inline-block">{instrument}</span>{" "}
            <span className="text-sm text-ink-soft">{of.length}</span>
          </summary>
          {of.map((c) => {
            const on = chosen.includes(c.channel);
            return (
              <label key={c.channel} className="flex min-h-7 items-start gap-2 py-0.5 text-sm leading-tight">
                <input
                  type="checkbox"
                  className="mt-0.5 size-4 shrink-0"
                  checked={on}
                  disabled={!on && chosen.length >= MOST_DRAWN}
                  onChange={() =>
                    onChange(on ? chosen.filter((x) => x !== c.channel) : [...chosen, c.channel])
                  }
                />
                {c.words}
              </label>
            );
          })}
        </details>
      ))}
    </div>
  );
}

/** Channels to choose one from, by instrument, inside a select. */
export function ChannelOptions({ channels }: { channels: ChannelWords[] }) {
  return byInstrument(channels).map(([instrument, of]) => (
    <optgroup key={instrument} label={instrument}>
      {of.map((c) => (
        <option key={c.channel} value={c.channel}>
          {c.words}
        </option>
      ))}
    </optgroup>
  ));
}
