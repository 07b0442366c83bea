import type { Action, Found, Heard, Reference, Said } from "../../api/client";

type NewPart = Extract<Action, { type?: "add part" }>["part"];

/** A way to go on from what was typed: parts to add, a line that says it better, a place where the
 * thing belongs, or none of what was offered. */
export type Option =
  | { kind: "part"; id: string; words: string; hint: string; part: NewPart }
  | { kind: "parts"; id: string; words: string; hint: string; parts: NewPart[] }
  | { kind: "line"; id: string; line: string; words: string; hint: string; key?: string | undefined }
  | { kind: "goes"; id: string; words: string; hint: string; to: Goes }
  | { kind: "none"; id: string; words: string; hint: string; key: string };

/** Where a thing belongs that is no part. */
export type Goes = "supply" | "case" | "cable" | "adapter" | "extension" | "bracket";

/** The line with the words left over as the name: chosen with the arrows only, it may be a slip. */
const AS_NAME = "as-name";

/** The station that takes what is no part, with the words along. */
export const placeOf = (to: Goes, text: string) =>
  to === "case"
    ? { path: "supply/fit", search: `?say=${encodeURIComponent(text)}`, words: "Fit" }
    : { path: "drawer", search: `?put=${to}&say=${encodeURIComponent(text)}`, words: "the Drawer" };

/** What may be added or said next, the line as it was said first. */
export function optionsFor(
  text: string,
  heard: Heard | undefined,
  templates: Reference["templates"],
): Option[] {
  const { said, offers = [], meant = [] } = heard ?? {};
  const wanted = text.toLowerCase().split(/\s+/).filter(Boolean);
  const hint = (o: Found) =>
    [o.own ? "yours" : "catalogue", ...(o.lacks.length ? [`no ${o.lacks.join(", no ")}`] : [])].join(" · ");
  const asked = (said?.choices ?? []).map((c, i) => ({
    kind: "line" as const,
    id: `line-${c}`,
    line: c,
    words: meant[i] || c,
    hint: meant[i] ? "" : "asks more",
    // One key answers a question: Alt and the number.
    key: i < 9 ? `${i + 1}` : undefined,
  }));
  const found = offers.map((o) => ({
    kind: "part" as const,
    id: `entry-${o.slug}`,
    words: o.words,
    hint: hint(o),
    part: o.part,
  }));
  const several: Option[] = said?.parts.length
    ? [
        {
          kind: "parts",
          id: "all",
          words: `All ${said.parts.length}: ${said.understood}`,
          hint: "in one step",
          parts: said.parts,
        },
      ]
    : [];
  const goes = (said?.goes ?? "") as Goes | "";
  const elsewhere: Option[] = goes
    ? [
        {
          kind: "goes",
          id: "goes",
          words: `Take it to ${placeOf(goes, text).words}`,
          hint: "with these words",
          to: goes,
        },
      ]
    : [];
  const none: Option[] = asked.length
    ? [{ kind: "none", id: "none", words: "none of these", hint: "say it otherwise", key: "0" }]
    : [];
  const whole = said?.part
    ? [{ kind: "part" as const, id: "said", words: said.understood, hint: "as you said it", part: said.part }]
    : [];
  // Words that are none of the line's are more likely an entry's name than an answer away.
  const byName = said && (said.unknown.length > 0 || said.described.length > 0);
  return [
    ...several,
    ...elsewhere,
    ...(byName ? [...found, ...whole, ...asked, ...none] : [...whole, ...asked, ...none, ...found]),
    ...templates
      .filter((t) => wanted.every((w) => `${t.words} ${t.also}`.toLowerCase().includes(w)))
      .map((t) => ({
        kind: "part" as const,
        id: t.id,
        words: t.words,
        hint: "figures to be filled in",
        part: t.part,
      })),
    ...(said?.named
      ? [
          {
            kind: "line" as const,
            id: AS_NAME,
            line: said.named,
            words: said.named,
            hint: "if that is its name",
          },
        ]
      : []),
  ];
}

/** The option that Enter takes: what was said, or the only thing it can be. A question is answered by
 * a choice alone. */
export function first(options: Option[]): number {
  const head = options[0];
  if (!head || head.kind === "line" || head.kind === "none") return -1;
  const parts = options.filter((o) => o.kind === "part").length;
  return head.id === "said" || head.kind !== "part" || parts === 1 ? 0 : -1;
}

/** What to tell under the line. */
export function told(text: string, said: Said | undefined, options: Option[]): string {
  if (text.trim() === "" || !said) return "";
  const left = said.dropped.length ? ` Left out: ${said.dropped.join(", ")}.` : "";
  const kept = said.loose.length ? ` Kept as a note: ${said.loose.join(", ")}.` : "";
  if (said.part && options[0]?.id === "said") return `${said.understood}. Enter adds it.${kept}${left}`;
  if (options[0]?.kind === "parts") return `${said.parts.length} things. Enter adds them all.${kept}${left}`;
  if (options[0]?.kind === "goes") return `${said.question} Enter takes the words there.`;
  if (first(options) === 0 && options[0]?.kind === "part") return `${options[0].words}. Enter adds it.`;
  const found = options.filter((o) => o.kind === "part" && o.id !== "said").length;
  if (found > 0 && !said.question) return `${found} in the catalogue: choose with the arrows, or say more.`;
  const unknown = said.unknown.length ? `Not understood: ${said.unknown.join(", ")}.` : "";
  return [said.question, unknown, left.trim(), found ? `${found} below fit these words.` : ""]
    .filter(Boolean)
    .join(" ");
}
