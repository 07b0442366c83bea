import type { SupplyAnswer } from "../../api/client";

const RAILS: [string, string][] = [
  ["vneg12", "−12 V"],
  ["vneg5", "−5 V"],
  ["v12", "12 V"],
  ["v5sb", "standby"],
  ["v3v3", "3.3 V"],
  ["v5", "5 V"],
];

type Check = SupplyAnswer["checks"][number];
export interface Row {
  key: string;
  cells: (Check | undefined)[];
  differs: boolean;
}

/** A row a check, those whose status differs first, then those whose words do. */
export function rowsOf(answers: SupplyAnswer[]): Row[] {
  const id = (c: Check) => (c.rail ? `${c.id} ${c.rail}` : c.id);
  const keys = [...new Set(answers.flatMap((a) => a.checks.map(id)))];
  const rows = keys.map((key) => {
    const cells = answers.map((a) => a.checks.find((c) => id(c) === key));
    const statuses = new Set(cells.map((c) => c?.status));
    const texts = new Set(cells.map((c) => c?.text));
    return { key, cells, rank: statuses.size > 1 ? 0 : texts.size > 1 ? 1 : 2 };
  });
  return rows
    .sort((a, b) => a.rank - b.rank)
    .map(({ key, cells, rank }) => ({
      key: RAILS.reduce((k, [rail, words]) => k.replace(rail, words), key),
      cells,
      differs: rank < 2,
    }));
}
