import type { Candidate, Result, Supply, SupplyAnswer } from "../../api/client";
import { watts } from "../format";

type Check = SupplyAnswer["checks"][number];

/** Worst first. */
const ORDER: Check["status"][] = ["fail", "unknown", "warn", "pass", "not checked"];

/** Checks, those that fail first. */
export function sorted(checks: SupplyAnswer["checks"]): SupplyAnswer["checks"] {
  return [...checks].sort((a, b) => ORDER.indexOf(a.status) - ORDER.indexOf(b.status));
}

/** The checks that a ticket shows: what is not passed, else whether its watts do. */
export function telling(checks: Check[]): Check[] {
  const bad = sorted(checks).filter((c) => c.status !== "pass" && c.status !== "not checked");
  return bad.length ? bad : sorted(checks).filter((c) => c.id === "watts" || c.rail === "v12");
}

/** What a year with it takes and costs. */
export function aYear(a: SupplyAnswer): string {
  if (a.year_kwh === null) return "not known";
  const kwh = `${watts(a.year_kwh)} kWh`;
  return a.year_price === null ? kwh : `${kwh}, ${a.year_price.toFixed(2)}`;
}

/** What a supply is, in a line. */
export function aboutOf(s: Supply, cables: number): string {
  const design =
    s.design === null ? "design not known" : s.design === "classic" ? "classic design" : `design ${s.design}`;
  const ports = s.ports.length ? `${s.ports.length} ports, ` : "";
  return [s.form, design, s.grade, `${ports}${cables} cables`].filter(Boolean).join(", ");
}

/** Whose a candidate is: one’s own with where it is, one that is looked at, the catalogue’s. `here`: the
 * key of the build; `nameOf`: what a build is called. */
export function whoseOf(c: Candidate, here: string, nameOf: (key: string) => string): string {
  if (c.source === "looked at") return "looking at it";
  if (c.source === "catalogue") return "catalogue";
  const elsewhere = c.builds.filter((key) => key !== here).map(nameOf);
  const where = elsewhere.length ? `in ${elsewhere.join(", ")}` : c.lies;
  return ["yours", where, c.condition === "worn" ? "worn" : ""].filter(Boolean).join(", ");
}

/** What the rules ask for, in a line. */
export function sizingNote({ rules, needed, at_least_w, pick_w }: Result["sizing"]): string {
  if (!needed) return `not known yet: at least ${watts(at_least_w)} W`;
  const governs = rules.find((r) => r.governs)?.words ?? "the rules";
  return `${governs} governs: ${watts(needed.likely)} W, next common size ${pick_w ?? "beyond the common ones"}`;
}
