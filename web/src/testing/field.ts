import type { FieldOf } from "../api/client";

/** A field as the reference publishes one. */
export const field = (name: string, more: Partial<FieldOf> = {}): FieldOf => ({
  name,
  label: name,
  text: "",
  unit: "",
  shape: "number",
  choices: [],
  minimum: null,
  maximum: null,
  may_miss: true,
  group: "",
  only: null,
  default_from: [],
  needed: false,
  ...more,
});
