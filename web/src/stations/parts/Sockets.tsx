import { useQuery } from "@tanstack/react-query";

import type { Part, Socket } from "../../api/client";
import { Face, PinKey } from "../../drawing/Face";
import { referenceQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Choice, NumberField, Tick } from "../../ui/fields";
import type { SetPart } from "./set";

type Socketed = Extract<Part, { sockets: Socket[] }>;

/** The power sockets of one instance: kind, required or not, and the version of a 16-pin one. */
export function Sockets({ part, set }: { part: Socketed; set: SetPart<Socketed> }) {
  const { data } = useQuery(referenceQuery);
  const kinds = data?.connectors.map((c) => ({ value: c.kind, words: c.words })) ?? [];
  const of = new Map(data?.connectors.map((c) => [c.kind, c]));
  const change = (key: string, changes: Partial<Socket>) =>
    set((now) => ({ sockets: now.sockets.map((s) => (s.key === key ? { ...s, ...changes } : s)) }));
  const add = () =>
    set(({ sockets }) => {
      const taken = new Set(sockets.map((s) => s.key));
      const key =
        Array.from({ length: 20 }, (_, i) => `socket-${i + 1}`).find((k) => !taken.has(k)) ?? "socket";
      const kind = sockets.at(-1)?.kind ?? "pcie8";
      return { sockets: [...sockets, { key, kind, required: true, version: "revised", pins_12v: null }] };
    });
  return (
    <fieldset data-field="sockets" className="grid gap-2">
      <legend className="mb-1 text-sm font-bold">Sockets{part.count > 1 && " of each"}</legend>
      {part.sockets.map((s) => (
        <div key={s.key} className="grid gap-1 border-l-2 border-rule pl-2">
          <div className="flex items-center gap-2">
            <Face kind={s.kind} size="large" />
            <span className="min-w-0 flex-1">
              <Choice
                label={`Kind of socket ${s.key}`}
                hideLabel
                value={s.kind}
                options={kinds as { value: Socket["kind"]; words: string }[]}
                onChange={(kind) => void change(s.key, { kind })}
              />
            </span>
            <Button
              look="quiet"
              className="px-1.5 text-md font-normal"
              aria-label={`Remove socket ${s.key}`}
              title={`Remove socket ${s.key}`}
              onClick={() => void set((now) => ({ sockets: now.sockets.filter((x) => x.key !== s.key) }))}
            >
              ×
            </Button>
          </div>
          <div className="flex flex-wrap items-center gap-x-3">
            <span className="text-xs text-ink-soft">{s.key}</span>
            <Tick
              label="required"
              checked={s.required}
              onChange={(required) => void change(s.key, { required })}
            />
            {of.get(s.kind)?.coded && (
              <Choice
                label={`Version of socket ${s.key}`}
                hideLabel
                value={s.version}
                options={[
                  { value: "revised", words: "revised (H++)" },
                  { value: "first", words: "first (H+)" },
                ]}
                onChange={(version) => void change(s.key, { version })}
              />
            )}
            {of.get(s.kind)?.may_lack_pins && (
              <NumberField
                compact
                narrow
                whole
                empty
                label={`12 V pins wired in socket ${s.key}`}
                placeholder="all"
                unit="12 V pins"
                value={s.pins_12v}
                onCommit={(pins_12v) => change(s.key, { pins_12v })}
              />
            )}
          </div>
        </div>
      ))}
      {part.sockets.length > 0 && <PinKey kinds={part.sockets.map((s) => s.kind)} />}
      <Button look="quiet" className="justify-self-start" onClick={() => void add()}>
        Add a socket
      </Button>
    </fieldset>
  );
}
