import type { FieldOf, Figure, Part } from "../../api/client";

type Value = FieldOf["choices"][number]["value"];

/** A plain field as a form draws it, with what it holds. */
export type DrawnField = { field: FieldOf } & (
  | {
      as: "choice";
      value: string;
      options: { value: string; words: string }[];
      valueOf: (said: string) => Value;
    }
  | { as: "tick"; value: boolean }
  | { as: "number"; value: number | null }
);

/** What a part holds in a field, by the field's name. */
function held(part: Part, name: string): unknown {
  return Object.entries(part).find(([key]) => key === name)?.[1];
}

/** The figure that a part holds in a field; null where it is missing. */
export function figureIn(part: Part, name: string): Figure | null {
  const value = held(part, name);
  return isFigure(value) ? value : null;
}

/** The number that a part holds in a field; null where it is missing. */
export function numberIn(part: Part, name: string): number | null {
  const value = held(part, name);
  return typeof value === "number" ? value : null;
}

function isFigure(value: unknown): value is Figure {
  return typeof value === "object" && value !== null && "likely" in value;
}

/** The plain fields that mean something on a part, group by group, in the order declared. */
export function drawnBy(fields: FieldOf[], part: Part): { title: string; fields: DrawnField[] }[] {
  const groups = new Map<string, DrawnField[]>();
  for (const field of fields) {
    const { only } = field;
    if (field.shape === "figure" || (only && held(part, only.field) === only.value)) continue;
    const own = groups.get(field.group);
    const drawn = drawnField(field, held(part, field.name));
    if (own) own.push(drawn);
    else groups.set(field.group, [drawn]);
  }
  return [...groups].map(([title, own]) => ({ title, fields: own }));
}

function drawnField(field: FieldOf, value: unknown): DrawnField {
  if (field.shape === "tick") return { field, as: "tick", value: value === true };
  if (field.shape !== "choice")
    return { field, as: "number", value: typeof value === "number" ? value : null };
  const choices = [...field.choices];
  if (isValue(value) && !choices.some((c) => c.value === value))
    choices.push({ value, words: `${value} ${field.unit}`.trim() });
  return {
    field,
    as: "choice",
    value: said(isValue(value) ? value : null),
    options: choices.map((c) => ({ value: said(c.value), words: c.words })),
    valueOf: (text) => choices.find((c) => said(c.value) === text)?.value ?? null,
  };
}

function isValue(value: unknown): value is Value {
  return value === null || ["string", "number", "boolean"].includes(typeof value);
}

/** A value as an option of a list holds it: nothing is the empty one. */
function said(value: Value): string {
  return value === null ? "" : String(value);
}
