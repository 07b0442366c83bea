import { useQuery } from "@tanstack/react-query";

import type { FieldOf, Part } from "../../api/client";
import { drawnBy, type DrawnField } from "../../state/parts/declared";
import { referenceQuery } from "../../state/queries";
import { Choice, NumberField, Tick } from "../../ui/fields";
import type { SetPart } from "./set";

/** The plain fields of a part, drawn by their declaration; those of a group under its title. */
export function DeclaredFields({ part, set }: { part: Part; set: SetPart }) {
  const { data } = useQuery(referenceQuery);
  return drawnBy(data?.fields[part.kind] ?? [], part).map(({ title, fields }) => {
    const drawn = fields.map((f) => <DeclaredField key={f.field.name} drawn={f} set={set} />);
    const row = <div className="flex flex-wrap items-end gap-x-3 gap-y-1.5">{drawn}</div>;
    return title ? (
      <fieldset key={title}>
        <legend className="mb-1 text-sm font-bold">{title}</legend>
        {row}
      </fieldset>
    ) : (
      <div key={title}>{row}</div>
    );
  });
}

function DeclaredField({ drawn, set }: { drawn: DrawnField; set: SetPart }) {
  const { field } = drawn;
  return (
    <span data-field={field.name}>
      {drawn.as === "choice" ? (
        <Choice
          label={field.label}
          value={drawn.value}
          options={drawn.options}
          onChange={(said) => void set({ [field.name]: drawn.valueOf(said) })}
        />
      ) : drawn.as === "tick" ? (
        <Tick label={field.label} checked={drawn.value} onChange={(on) => void set({ [field.name]: on })} />
      ) : (
        <NumberField
          narrow={field.may_miss}
          whole={field.shape === "whole"}
          empty={field.may_miss}
          label={field.label}
          unit={field.unit}
          placeholder={emptyWord(field)}
          value={drawn.value}
          onCommit={(n) => set({ [field.name]: n })}
        />
      )}
    </span>
  );
}

function emptyWord(field: FieldOf): string {
  return field.may_miss ? "?" : "";
}
