import type { BuildOut, Result } from "../../api/client";

/** The stations in the order of the work, each with the digit that goes there. */
export const STATIONS = [
  { to: "parts", name: "Parts" },
  { to: "supply", name: "Supply" },
  { to: "loom", name: "Loom" },
  { to: "bench", name: "Bench" },
  { to: "readings", name: "Readings" },
  { to: "ask", name: "Ask" },
  { to: "drawer", name: "Drawer" },
  { to: "rules", name: "House rules" },
] as const;

/** Something that is gone to by its name: what kind it is, and where. */
export interface Goal {
  kind: string;
  name: string;
  to: string;
}

const PAGES: [string, string][] = [
  ["Catalogue", "parts/catalogue"],
  ["Supplies compared", "supply/compare"],
  ["Room and air", "supply/fit"],
  ["Energy, a week from the wall", "supply/energy"],
  ["Trainer", "readings/trainer"],
];

/** Everything of a build that has a name, and where it stands. */
export function goals(build: BuildOut, result: Result): Goal[] {
  const base = `/b/${build.key}`;
  const at = (station: string, of: string) => `${base}/${station}?at=${encodeURIComponent(of)}`;
  const own = [...new Set([build.began_as, build.key].filter(Boolean))];
  return [
    ...STATIONS.map((s) => ({ kind: "station", name: s.name, to: `${base}/${s.to}` })),
    ...PAGES.map(([name, to]) => ({ kind: "page", name, to: `${base}/${to}` })),
    { kind: "page", name: "Builds", to: "/" },
    { kind: "page", name: "Side by side with another build", to: `/compare?of=${own.join(",")}` },
    ...build.doc.parts.map((p) => ({ kind: "part", name: p.name, to: at("parts", p.key) })),
    ...build.doc.cables.map((c) => ({ kind: "cable", name: c.name, to: at("loom", c.key) })),
    ...result.sockets.map((s) => ({ kind: "socket", name: s.words, to: at("loom", s.ref) })),
    ...(build.doc.supply?.ports ?? []).map((p) => ({
      kind: "port",
      name: `Port ${p.label}`,
      to: portPlace(result, p.label, base),
    })),
  ];
}

/** A port leads to the cable that is in it; an empty one to the Loom. */
function portPlace(result: Result, label: string, base: string): string {
  const lane = result.lanes.find((l) => l.port_labels.includes(label));
  return lane ? `${base}/loom?at=${encodeURIComponent(lane.cable)}` : `${base}/loom`;
}

/** Those whose name or kind begins a word with each of some letters, names that begin so first. */
export function found(all: Goal[], text: string, most = 12): Goal[] {
  const said = text.toLowerCase().split(/\s+/).filter(Boolean);
  const words = (g: Goal) => ` ${g.name} ${g.kind}`.toLowerCase();
  const fits = all.filter((g) => said.every((w) => words(g).includes(` ${w}`) || words(g).includes(`·${w}`)));
  const first = (g: Goal) => (said[0] && g.name.toLowerCase().startsWith(said[0]) ? 0 : 1);
  return fits
    .map((g, i) => ({ g, i }))
    .sort((a, b) => first(a.g) - first(b.g) || a.i - b.i)
    .slice(0, most)
    .map(({ g }) => g);
}

/** What the keys of a station are for, beside those that hold everywhere. */
export const KEYS: { everywhere: [string, string][]; of: Record<string, [string, string][]> } = {
  everywhere: [
    ["/", "the line: a part, a question, a name"],
    ["Ctrl K", "find anything of this build by its name, and go there"],
    ["1 to 8", "the stations, in the order of the rail"],
    ["Ctrl Z, Ctrl Shift Z", "take the last change back, bring it back"],
    ["Escape", "leave what is open; clear the line"],
    ["?", "these keys"],
  ],
  of: {
    parts: [
      ["Enter", "in the line: take it as it stands"],
      ["Alt 1 to 9", "in the line: take that answer"],
      ["Arrows, Enter", "in the columns: from part to part, and open it"],
      ["Delete", "take the part in hand out; undo brings it back"],
    ],
    loom: [
      ["Enter", "on a socket: what feeds it; on a plug: where it may go"],
      ["Arrows, Enter", "among what fits; the best is first"],
    ],
    bench: [
      ["Space, Page Down", "the first check that is open; then the step"],
      ["Left, Right", "a step back, a step on"],
      ["Ctrl Z", "take the last tick back"],
    ],
    readings: [["Arrows, + and −", "on a strip: along the time, nearer and farther"]],
    ask: [["Enter", "ask; on an answer to what is open: take it"]],
  },
};

/** Whether letters go into what has the focus, or something lies over the page: then no letter is a
 * key of ours. */
export function isTaken(at: Element | null): boolean {
  if (!at) return false;
  if (at.closest("[role=dialog], [role=alertdialog], [role=menu], [role=listbox]")) return true;
  return at.matches("textarea, select, [contenteditable=true], input:not([type=checkbox], [type=radio])");
}
