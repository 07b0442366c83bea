import type { Candidate } from "../../api/client";

export interface Filter {
  text: string;
  does: boolean;
  form: string;
  source: string;
}
export const NO_FILTER: Filter = { text: "", does: false, form: "", source: "" };

const DOES = ["right size", "a little short", "too big"];

/** Whether a candidate is among those that are wanted to be seen. */
export function fits(c: Candidate, f: Filter): boolean {
  const words = `${c.supply.name} ${c.supply.family} ${c.supply.rated_w ?? ""} ${c.supply.design ?? ""} ${c.supply.grade ?? ""}`;
  return (
    (!f.does || DOES.includes(c.answer.verdict)) &&
    (f.form === "" || c.supply.form === f.form) &&
    (f.source === "" || c.source === f.source) &&
    f.text
      .toLowerCase()
      .split(/\s+/)
      .every((w) => words.toLowerCase().includes(w))
  );
}
