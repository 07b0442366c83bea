import { useState } from "react";

import { useBuild, useWrite } from "../../state/build/contexts";
import { clock, hours } from "../../state/clock";
import { dayAndNight, DAYS, type Band } from "../../state/supply/tariff";
import { Button } from "../../ui/button";
import { NumberField, TextField } from "../../ui/fields";
import { Remove } from "../parts/Outputs";

/**
 * Prices by time of use, set down whole: one band changed by itself would leave a gap or an overlap.
 * What is not taken stays here, to be mended.
 */
export function Tariff() {
  const { place } = useBuild().doc;
  const { act } = useWrite();
  const [draft, setDraft] = useState<Band[] | null>(null);
  const bands = draft ?? place.tariff;
  const use = async (tariff: Band[]) => {
    const done = await act((doc) => ({
      type: "change build",
      changes: { place: { ...doc.place, tariff } },
      house_rules: {},
      assumptions: {},
    }));
    if (done) setDraft(null);
  };
  const change = (i: number, made: Partial<Band>) => {
    setDraft(bands.map((b, k) => (k === i ? { ...b, ...made } : b)));
    return Promise.resolve(true);
  };
  return (
    <section aria-label="Tariff by time of use" className="mt-3 border-t border-rule pt-2">
      <h2 className="text-base font-bold">Tariff</h2>
      {bands.length === 0 ? (
        <p className="flex flex-wrap items-center gap-3 text-base text-ink-soft">
          One price at all hours.
          <Button onClick={() => setDraft(dayAndNight(place.price_kwh ?? 0.3))}>Prices by time of use</Button>
        </p>
      ) : (
        <>
          <ul className="grid gap-2">
            {bands.map((b, i) => (
              <BandRow
                key={i}
                band={b}
                currency={place.currency}
                change={(made) => change(i, made)}
                remove={() => setDraft(bands.filter((_, k) => k !== i))}
              />
            ))}
          </ul>
          <p className="mt-2 flex flex-wrap items-center gap-2">
            <Button
              look="quiet"
              onClick={() => setDraft([...bands, { ...(bands.at(-1) as Band), name: "new" }])}
            >
              Add a band
            </Button>
            <Button look="main" disabled={draft === null} onClick={() => void use(bands)}>
              Use these prices
            </Button>
            {draft !== null && <Button onClick={() => setDraft(null)}>Leave them</Button>}
            {draft === null && (
              <Button look="quiet" onClick={() => void use([])}>
                One price at all hours
              </Button>
            )}
            <span className="text-sm text-ink-soft">Together they cover every hour of the week once.</span>
          </p>
        </>
      )}
    </section>
  );
}

function BandRow({
  band: b,
  currency,
  change,
  remove,
}: {
  band: Band;
  currency: string;
  change: (made: Partial<Band>) => Promise<unknown>;
  remove: () => void;
}) {
  const { say } = useWrite();
  const time = (field: "from_h" | "to_h") => (text: string) => {
    const h = hours(text);
    if (h === null) {
      say(`The time needs to be such as 22:00 or 6:30; got “${text}”.`);
      return Promise.resolve(false);
    }
    return change({ [field]: field === "to_h" && h === 0 ? 24 : h });
  };
  return (
    <li data-band={b.name} className="flex flex-wrap items-end gap-x-3 gap-y-1">
      <div className="w-28">
        <TextField label="Band" max={30} value={b.name} onCommit={(name) => change({ name })} />
      </div>
      <fieldset>
        <legend className="text-sm text-ink-soft">On</legend>
        <span className="flex">
          {DAYS.map((d) => (
            <button
              key={d}
              type="button"
              aria-pressed={b.days.includes(d)}
              className="border border-rule-strong px-1.5 py-1 text-sm aria-pressed:bg-accent aria-pressed:text-accent-ink"
              onClick={() => void change({ days: DAYS.filter((x) => b.days.includes(x) !== (x === d)) })}
            >
              {d}
            </button>
          ))}
        </span>
      </fieldset>
      <div className="w-20">
        <TextField label="From" value={clock(b.from_h)} onCommit={time("from_h")} />
      </div>
      <div className="w-20">
        <TextField label="To" value={clock(b.to_h)} onCommit={time("to_h")} />
      </div>
      <NumberField
        narrow
        label="A kWh costs"
        unit={currency}
        value={b.price_kwh}
        onCommit={(price_kwh) => change({ price_kwh: price_kwh ?? 0 })}
      />
      <Remove what={`band ${b.name}`} onRemove={remove} />
    </li>
  );
}
