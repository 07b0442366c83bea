import type { Doc } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { clock, hours } from "../../state/clock";
import { Choice, NumberField, TextField, Tick } from "../../ui/fields";

type Standing = Doc["place"];

const HOURS: { field: keyof Standing["hours"]; words: string }[] = [
  { field: "full", words: "at full" },
  { field: "everyday", words: "everyday" },
  { field: "idle", words: "idle" },
  { field: "sleep", words: "asleep" },
];

/** Where the build stands: mains, hours a day, the price of a kilowatt-hour, circuit, UPS. */
export function Place() {
  const { place } = useBuild().doc;
  const { act, say } = useWrite();
  const set = (made: (now: Standing) => Partial<Standing>) =>
    act((doc) => ({
      type: "change build",
      changes: { place: { ...doc.place, ...made(doc.place) } },
      house_rules: {},
      assumptions: {},
    }));
  return (
    <section aria-label="Where it stands" className="mt-3 border-t border-rule pt-2 text-base">
      <h2 className="text-base font-bold">Where it stands</h2>
      <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
        <Choice
          label="Mains"
          value={String(place.mains_v)}
          options={[
            { value: "230", words: "230 V" },
            { value: "115", words: "115 V" },
          ]}
          onChange={(v) => void set(() => ({ mains_v: Number(v) as 230 }))}
        />
        {HOURS.map(({ field, words }) => (
          <NumberField
            key={field}
            narrow
            label={`A day ${words}`}
            unit="h"
            value={place.hours[field]}
            onCommit={(h) => set((now) => ({ hours: { ...now.hours, [field]: h ?? 0 } }))}
          />
        ))}
        <div className="w-24">
          <TextField
            label="A day begins at"
            value={clock(place.begins_h)}
            onCommit={(text) => {
              const h = hours(text);
              if (h === null || h >= 24) {
                say(`The time needs to be such as 8:00; got “${text}”.`);
                return Promise.resolve(false);
              }
              return set(() => ({ begins_h: h }));
            }}
          />
        </div>
        <NumberField
          narrow
          empty
          label="One price for a kWh"
          unit=""
          placeholder="?"
          value={place.price_kwh}
          onCommit={(price_kwh) => set(() => ({ price_kwh }))}
        />
        <div className="w-20">
          <TextField
            label="Currency"
            max={8}
            value={place.currency}
            onCommit={(currency) => set(() => ({ currency }))}
          />
        </div>
        <NumberField
          narrow
          empty
          label="Breaker"
          unit="A"
          placeholder="none"
          value={place.breaker_a}
          onCommit={(breaker_a) => set(() => ({ breaker_a }))}
        />
        <NumberField
          label="Beside it on the circuit"
          unit="W"
          value={place.other_w}
          onCommit={(w) => set(() => ({ other_w: w ?? 0 }))}
        />
        <NumberField
          narrow
          empty
          label="A UPS steps in after"
          unit="ms"
          placeholder="none"
          value={place.ups_transfer_ms}
          onCommit={(ups_transfer_ms) => set(() => ({ ups_transfer_ms }))}
        />
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
        <Tick
          label="Other hours on Saturday and Sunday"
          checked={place.weekend !== null}
          onChange={(on) => void set((now) => ({ weekend: on ? now.hours : null }))}
        />
        {place.weekend !== null &&
          HOURS.map(({ field, words }) => (
            <NumberField
              key={field}
              narrow
              label={`Weekend, ${words}`}
              unit="h"
              value={place.weekend?.[field] ?? 0}
              onCommit={(h) =>
                set((now) => ({ weekend: { ...(now.weekend ?? now.hours), [field]: h ?? 0 } }))
              }
            />
          ))}
      </div>
      <p className="mt-2 text-sm text-ink-soft">
        What a circuit may carry is arithmetic here: local codes and a licensed electrician decide.
      </p>
    </section>
  );
}
