import type { Mend } from "../api/client";

/** The place of what a finding is about: the core names a thing, the web where it stands. */
const STATIONS: Record<Mend["of"], string> = {
  build: "parts",
  part: "parts",
  socket: "loom",
  cable: "loom",
  group: "loom",
  supply: "supply",
  case: "supply/fit",
};

export function placeOf(base: string, subject: Pick<Mend, "of" | "subject" | "field">): string {
  const params = new URLSearchParams();
  if (subject.subject) params.set("at", subject.subject);
  if (subject.field) params.set("field", subject.field);
  const query = params.toString();
  return `${base}/${STATIONS[subject.of]}${query ? `?${query}` : ""}`;
}
