/** A supply as it stands in front of one: its panel row by row, its cables as they lie, its label. */
export type PortKind = keyof typeof LETTERS;

/** Kind of a port → the letter of its label, its circuits. */
const LETTERS = {
  "board-a": ["B", 18],
  "board-b": ["B", 10],
  processor: ["P", 8],
  graphics: ["G", 8],
  "processor-graphics": ["C", 8],
  "16pin": ["H", 12],
  drive: ["D", 6],
} as const;

/** What is tapped to put ports in: how it is called, and the ports that it brings. */
export const TAPS: { words: string; kinds: PortKind[] }[] = [
  { words: "Board, two sockets", kinds: ["board-a", "board-b"] },
  { words: "Processor or graphics", kinds: ["processor-graphics"] },
  { words: "Processor", kinds: ["processor"] },
  { words: "Graphics", kinds: ["graphics"] },
  { words: "16-pin", kinds: ["16pin"] },
  { words: "Drive", kinds: ["drive"] },
];

export interface Lead {
  /** How the line calls it, and how the page does. */
  said: string;
  words: string;
  /** How many plugs one has, where that is asked. */
  plugs: number | null;
}

export const LEADS: Lead[] = [
  { said: "board 20+4", words: "Board, 24-pin", plugs: null },
  { said: "processor 4+4", words: "Processor, 4+4", plugs: null },
  { said: "card 6+2", words: "Graphics, one plug", plugs: null },
  { said: "card 2 x 6+2", words: "Graphics, two plugs in a chain", plugs: null },
  { said: "16-pin", words: "16-pin", plugs: null },
  { said: "sata", words: "SATA", plugs: 3 },
  { said: "peripheral", words: "4-pin peripheral", plugs: 3 },
  { said: "floppy", words: "Floppy", plugs: null },
];

/** Cables of one kind that lie there; `code` of a 16-pin plug as printed, `fixed` where they don't come off. */
export interface Lying {
  lead: Lead;
  count: number;
  plugs: number;
  code: string;
  fixed: boolean;
}

export interface Label {
  name: string;
  rated: string;
  v12: string;
  v5: string;
  v3v3: string;
  combined: string;
  standby: string;
  form: string;
  design: string;
}

export const NO_LABEL: Label = {
  name: "",
  rated: "",
  v12: "",
  v5: "",
  v3v3: "",
  combined: "",
  standby: "",
  form: "ATX",
  design: "",
};

export interface PanelPort {
  key: string;
  label: string;
  kind: PortKind;
  row: number;
  column: number;
  circuits: number;
}

/** The ports of a panel that was tapped together, each with its label. */
export function portsOf(rows: PortKind[][]): PanelPort[] {
  const counts = new Map<string, number>();
  return rows.flatMap((kinds, row) =>
    kinds.map((kind, column) => {
      const [letter, circuits] = LETTERS[kind];
      const n = (counts.get(letter) ?? 0) + 1;
      counts.set(letter, n);
      return { key: `${letter}${n}`.toLowerCase(), label: `${letter}${n}`, kind, row, column, circuits };
    }),
  );
}

/** One more of a lead: of those that are alike one more, else a line of its own. */
export function withLead(lying: Lying[], lead: Lead, fixed: boolean): Lying[] {
  const at = lying.findIndex((l) => l.lead === lead && l.fixed === fixed);
  if (at < 0) return [...lying, { lead, count: 1, plugs: lead.plugs ?? 1, code: "", fixed }];
  return lying.map((l, i) => (i === at ? { ...l, count: l.count + 1 } : l));
}

/** The lines that say it: the supply in the words of its label, its cables below it. */
export function linesOf(rows: PortKind[][], lying: Lying[], label: Label): string {
  const ports = portsOf(rows);
  const own = lying.some((l) => !l.fixed);
  const modular = !ports.length ? "not" : own && lying.some((l) => l.fixed) ? "semi" : "fully";
  const figures = [
    ["rated", label.rated],
    ["12v", label.v12],
    ["5v", label.v5],
    ["3.3v", label.v3v3],
    ["standby", label.standby],
    ["combined", label.combined],
    ["form", label.form],
    ["design", label.design],
    ["modular", modular],
    ["ports", ports.map((p) => `${p.key}|${p.label}=${p.kind}@${p.row}.${p.column}`).join(",")],
  ];
  const said = figures.filter(([, value]) => value).map(([word, value]) => `${word}:${value}`);
  const name = label.name.trim() || `Supply of ${label.rated || "unknown"} W`;
  return [`"${name.replaceAll('"', "")}" ${said.join(" ")}`, ...lying.map(lineOf)].join("\n");
}

function lineOf({ lead, count, plugs, code, fixed }: Lying): string {
  const several = lead.plugs === null ? "" : ` x${plugs}`;
  const more = `${code && ` ${code}w`}${fixed ? " fixed" : ""}`;
  return `${count} ${lead.said}${several}${more}`;
}
