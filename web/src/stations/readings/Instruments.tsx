import { useState } from "react";

import { client, reason, take, type ReadingsOut, type TakenOut } from "../../api/client";
import { parseNumber } from "../../state/parts/figure";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

type Faults = ReadingsOut["faults"];
interface Given {
  buildKey: string;
  faults: Faults;
  onClose: () => void;
  onMade: (row: TakenOut) => Promise<void>;
}

function useCall(onMade: (row: TakenOut) => Promise<void>) {
  const [error, setError] = useState("");
  const [busy, setBusy] = useState(false);
  const call = async (made: () => Promise<TakenOut>) => {
    setBusy(true);
    setError("");
    try {
      await onMade(await made());
    } catch (e) {
      setError(reason(e));
      setBusy(false);
    }
  };
  return { error, busy, call };
}

function FaultFields({
  faults,
  fault,
  at,
  onFault,
}: {
  faults: Faults;
  fault: string;
  at: string;
  onFault: (fault: string, at: string) => void;
}) {
  const places = faults.find((f) => f.kind === fault)?.places ?? [];
  return (
    <>
      <label className="grid gap-1">
        A fault in it
        <select
          className="field"
          value={fault}
          onChange={(e) =>
            onFault(e.target.value, faults.find((f) => f.kind === e.target.value)?.places[0]?.[0] ?? "")
          }
        >
          <option value="">none: a sound machine</option>
          {faults.map((f) => (
            <option key={f.kind} value={f.kind}>
              {f.words}
            </option>
          ))}
        </select>
      </label>
      {places.length > 1 && (
        <label className="grid gap-1">
          Where
          <select className="field" value={at} onChange={(e) => onFault(fault, e.target.value)}>
            {places.map(([ref, words]) => (
              <option key={ref} value={ref}>
                {words}
              </option>
            ))}
          </select>
        </label>
      )}
    </>
  );
}

/** What went wrong, and the two ways out of a dialog. */
function Foot({
  error,
  off,
  words,
  onClose,
}: {
  error: string;
  off: boolean;
  words: string;
  onClose: () => void;
}) {
  return (
    <>
      {error && (
        <p role="alert" className="font-semibold text-over">
          {error}
        </p>
      )}
      <p className="flex gap-2">
        <Button look="main" type="submit" disabled={off}>
          {words}
        </Button>
        <Button onClick={onClose}>Leave it</Button>
      </p>
    </>
  );
}

/** The simulated instruments, faster than real time. */
export function SimulateDialog({ buildKey, faults, onClose, onMade }: Given) {
  const [seed, setSeed] = useState("1");
  const [fault, setFault] = useState({ kind: "", at: "" });
  const { error, busy, call } = useCall(onMade);
  const n = parseNumber(seed);
  return (
    <Dialog open onClose={onClose} title="The simulated instruments">
      <form
        className="grid gap-3 text-base"
        onSubmit={(e) => {
          e.preventDefault();
          if (n !== null)
            void call(() =>
              take(
                client.POST("/api/v1/builds/{key}/readings/simulated", {
                  params: { path: { key: buildKey } },
                  body: {
                    seed: Math.round(n),
                    fault: fault.kind,
                    at: fault.at,
                    rate_hz: 10,
                    states: [
                      ["idle", 30],
                      ["everyday", 60],
                      ["full", 120],
                    ],
                  },
                }),
              ),
            );
        }}
      >
        <p>
          What this machine would read on every instrument: half a minute idle, a minute in everyday use, two
          at full load. The same seed gives the same readings.
        </p>
        <label className="grid gap-1">
          Seed
          <input
            className="field w-28 text-right"
            inputMode="numeric"
            value={seed}
            onChange={(e) => setSeed(e.target.value)}
          />
        </label>
        <FaultFields
          faults={faults}
          fault={fault.kind}
          at={fault.at}
          onFault={(kind, at) => setFault({ kind, at })}
        />
        <Foot error={error} off={busy || n === null} words="Run them" onClose={onClose} />
      </form>
    </Dialog>
  );
}

/** Instruments that speak the protocol on a local socket, or simulated ones that do. */
export function LiveDialog({ buildKey, faults, onClose, onMade }: Given) {
  const [own, setOwn] = useState(false);
  const [address, setAddress] = useState("127.0.0.1:9100");
  const [speed, setSpeed] = useState("10");
  const [fault, setFault] = useState({ kind: "", at: "" });
  const { error, busy, call } = useCall(onMade);
  const times = parseNumber(speed);
  return (
    <Dialog open onClose={onClose} title="Live, from instruments">
      <form
        className="grid gap-3 text-base"
        onSubmit={(e) => {
          e.preventDefault();
          void call(() =>
            take(
              client.POST("/api/v1/builds/{key}/readings/stream", {
                params: { path: { key: buildKey } },
                body: {
                  address: own ? address : "",
                  simulated: !own,
                  name: "",
                  speed: times ?? 1,
                  seed: 1,
                  fault: own ? "" : fault.kind,
                  at: own ? "" : fault.at,
                },
              }),
            ),
          );
        }}
      >
        {[
          [false, "Simulated instruments, started for it"],
          [true, "Instruments that are there, at an address of this machine"],
        ].map(([value, words]) => (
          <label key={String(value)} className="flex min-h-8 items-center gap-2">
            <input
              type="radio"
              name="which"
              className="size-5"
              checked={own === value}
              onChange={() => setOwn(Boolean(value))}
            />
            {words}
          </label>
        ))}
        {own ? (
          <label className="grid gap-1">
            Address
            <input className="field w-64" value={address} onChange={(e) => setAddress(e.target.value)} />
            <span className="text-sm text-ink-soft">
              They speak one JSON object a line; docs/readings.md says how.
            </span>
          </label>
        ) : (
          <>
            <label className="grid gap-1">
              Times real time
              <input
                className="field w-28 text-right"
                inputMode="decimal"
                value={speed}
                onChange={(e) => setSpeed(e.target.value)}
              />
            </label>
            <FaultFields
              faults={faults}
              fault={fault.kind}
              at={fault.at}
              onFault={(kind, at) => setFault({ kind, at })}
            />
          </>
        )}
        <Foot error={error} off={busy || (!own && times === null)} words="Listen" onClose={onClose} />
      </form>
    </Dialog>
  );
}
