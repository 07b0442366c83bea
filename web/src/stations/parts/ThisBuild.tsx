import { useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import { Link } from "react-router";

import type { Case } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { casesQuery } from "../../state/queries";
import { Choice, NumberField, TextField } from "../../ui/fields";
import { useField } from "./useField";

/** What belongs to the build as a whole, while no part is in hand: its name, note and case. */
export function ThisBuild({ field }: { field: string }) {
  const box = useRef<HTMLElement>(null);
  useField(box, field, true);
  const build = useBuild();
  const { act } = useWrite();
  const { data: cases = [] } = useQuery(casesQuery);
  const { name, note, parts, case: now } = build.doc;
  const set = (changes: Record<string, unknown>) =>
    act({ type: "change build", changes, house_rules: {}, assumptions: {} });
  const known = cases.some((c) => c.slug === now?.slug);
  const options = [
    { value: "", words: "none chosen" },
    ...(now && !known ? [{ value: now.slug, words: now.name }] : []),
    ...cases.map((c) => ({ value: c.slug, words: c.name })),
  ];
  return (
    <section ref={box} aria-label="This build" className="grid gap-3 border border-rule bg-slip p-3">
      <p className="text-md text-ink-soft">
        {parts.length
          ? "Choose a part to see and change its figures."
          : "Add the first part in the line above: the board is a good start."}
      </p>
      <TextField label="Name of the build" value={name} onCommit={(v) => set({ name: v })} />
      <TextField label="Note" value={note} max={2000} onCommit={(v) => set({ note: v })} />
      <Choice
        label="Case"
        value={now?.slug ?? ""}
        options={options}
        onChange={(slug) => void set({ case: cases.find((c) => c.slug === slug) ?? null })}
      />
      {now && (
        <FrontLeads
          of={now}
          set={(changes) =>
            act((doc) => ({
              type: "change build",
              changes: { case: doc.case && { ...doc.case, ...changes } },
              house_rules: {},
              assumptions: {},
            }))
          }
        />
      )}
      {now && <Room of={now} />}
    </section>
  );
}

const LEADS: { field: "front_usb2" | "front_usb3" | "front_usbc" | "front_audio"; words: string }[] = [
  { field: "front_usb2", words: "USB 2" },
  { field: "front_usb3", words: "USB 3" },
  { field: "front_usbc", words: "USB-C" },
  { field: "front_audio", words: "audio" },
];

/** The leads of the case's front panel that go onto the board. */
function FrontLeads({
  of,
  set,
}: {
  of: Case;
  set: (changes: Record<string, number | null>) => Promise<unknown>;
}) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-bold">Leads of its front panel</legend>
      <div className="flex flex-wrap gap-x-3 gap-y-1">
        {LEADS.map(({ field, words }) => (
          <span key={field} data-field={field}>
            <NumberField
              label={words}
              unit=""
              whole
              empty
              narrow
              placeholder="?"
              value={of[field]}
              onCommit={(n) => set({ [field]: n })}
            />
          </span>
        ))}
      </div>
    </fieldset>
  );
}

/** What a case has room for, in a few lines. */
function Room({ of: c }: { of: Case }) {
  const mm = (v: number | null) => (v === null ? "not known" : `${v} mm`);
  const lines: [string, string][] = [
    [
      "Supply",
      [
        c.supply_forms.join(", ") || "not known",
        c.brackets.length ? `${c.brackets.join(", ")} by a bracket` : "",
      ]
        .filter(Boolean)
        .join("; "),
    ],
    ["Room for it", mm(c.supply_length_mm)],
    ["Cards", `${mm(c.card_length_mm)} long, ${mm(c.card_height_mm)} to the side panel`],
    ["Bays", `${c.bays_35 ?? "?"} of 3.5, ${c.bays_25 ?? "?"} of 2.5 inches`],
    ["Vents", c.vents.map((v) => (v.filtered ? `${v.side}, filtered` : v.side)).join("; ") || "not known"],
    ["Routes", c.routes.map((r) => `${r.area} ${r.length_mm} mm`).join("; ") || "not known"],
  ];
  return (
    <div className="text-sm">
      <dl>
        {lines.map(([term, text]) => (
          <div key={term} className="grid grid-cols-[80px_minmax(0,1fr)] border-t border-rule py-1">
            <dt className="text-ink-soft">{term}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
      <Link
        to="../supply/fit"
        className="block border-t border-rule pt-1 font-semibold text-accent underline"
      >
        Whether everything has room in it
      </Link>
    </div>
  );
}
