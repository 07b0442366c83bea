import { useState } from "react";

import { parseNumber } from "../../state/parts/figure";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

/** [name in the address, words, what it is at first, least, most] in millimetres. */
const SIZES = [
  ["width_mm", "Width of one flag, folded", "50", 30, 90],
  ["height_mm", "Height of one flag", "12", 8, 40],
] as const;
const KEPT = "easy-tally flags";

function kept(): Record<string, string> {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? "{}") as Record<string, string>;
  } catch {
    return {};
  }
}

/** What size the cable flags are printed in: as the labels in the printer are. */
export function FlagsDialog({ buildKey, onClose }: { buildKey: string; onClose: () => void }) {
  const [said, setSaid] = useState<Record<string, string>>(() => ({ paper: "A4", ...kept() }));
  const set = (name: string, text: string) => setSaid({ ...said, [name]: text });
  const wrong = SIZES.filter(([name, , first, least, most]) => {
    const n = parseNumber(said[name] ?? first);
    return n === null || n < least || n > most;
  });
  const print = () => {
    localStorage.setItem(KEPT, JSON.stringify(said));
    const query = new URLSearchParams({ paper: said.paper ?? "A4" });
    for (const [name, , first] of SIZES) query.set(name, String(parseNumber(said[name] ?? first)));
    window.location.assign(`/api/v1/builds/${buildKey}/flags.pdf?${query}`);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} title="Cable flags">
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (!wrong.length) print();
        }}
      >
        <p className="text-base">
          One flag for each end of every run, folded over the cable: its port, its plug, its socket.
        </p>
        <fieldset className="flex gap-4 text-base">
          <legend className="mb-1 text-sm text-ink-soft">Paper</legend>
          {["A4", "letter"].map((p) => (
            <label key={p} className="flex min-h-8 items-center gap-2">
              <input
                type="radio"
                name="paper"
                className="size-5"
                checked={said.paper === p}
                onChange={() => set("paper", p)}
              />
              {p}
            </label>
          ))}
        </fieldset>
        {SIZES.map(([name, words, first, least, most]) => (
          <label key={name} className="grid gap-1 text-base">
            {words}
            <span className="flex items-center gap-2">
              <input
                className="field w-24 text-right"
                inputMode="decimal"
                value={said[name] ?? first}
                aria-invalid={wrong.some(([n]) => n === name)}
                onChange={(e) => set(name, e.target.value)}
              />
              mm
              {wrong.some(([n]) => n === name) && (
                <span role="alert" className="font-semibold text-over">
                  {least} to {most} mm
                </span>
              )}
            </span>
          </label>
        ))}
        <p className="flex gap-2">
          <Button look="main" type="submit" disabled={wrong.length > 0}>
            Print them
          </Button>
          <Button type="button" onClick={onClose}>
            Leave it
          </Button>
        </p>
      </form>
    </Dialog>
  );
}
