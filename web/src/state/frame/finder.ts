import type { BuildOut, Candidate, Reference, Result } from "../../api/client";

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
  /** It is a file that the server makes, and no page. */
  isFile?: boolean;
  /** The supply that choosing it takes. */
  takes?: string;
}

const PAGES: [string, string][] = [
  ["Catalogue", "parts/catalogue"],
  ["Supplies compared", "supply/compare"],
  ["Room and air", "supply/fit"],
  ["Energy, a week from the wall", "supply/energy"],
  ["Trainer", "readings/trainer"],
];

/** What is done from anywhere: a page that opens with it begun. */
const ACTIONS: [string, string][] = [
  ["Paste a list of parts", "parts?list=1"],
  ["Map it, every socket", "loom?map=all"],
  ["Map the rest, beside what is plugged", "loom?map=rest"],
  ["Map it with as little change as may be", "loom?map=least"],
  ["Add a cable or adapter", "loom?add=1"],
  ["The supply in front of me", "supply?open=in-front"],
  ["A supply I am looking at", "supply?open=looked-at"],
  ["It stands like this: take a machine over as it runs", "bench?open=found"],
  ["The record of this machine", "bench?open=record"],
  ["Print cable flags", "bench?open=flags"],
  ["Type in what a meter says", "readings?open=typed"],
  ["Read a logger’s file", "readings?open=file"],
  ["Simulated instruments", "readings?open=simulated"],
];
/** Pages to hand over and files, by the end of their address at the build. */
const FILES: [string, string][] = [
  ["Print the tally and the parts, PDF", "tally.pdf"],
  ["Print the whole machine, PDF", "machine.pdf"],
  ["Print the work order, PDF", "bench.pdf"],
  ["Print the handover, PDF", "handover.pdf"],
  ["Print the Loom, PDF", "loom.pdf"],
  ["Save the build file", "file"],
  ["Save the connection list, CSV", "map.csv"],
];
/** Settings that stand on a page of their own words. */
const SETTINGS: [string, string][] = [
  ["Headroom over the sustained load", "rules?at=headroom"],
  ["Tariff and currency", "supply/energy"],
  ["Prices of what could be had", "supply"],
];

/** What can be done, and what can be set: of a build with the rules and assumptions that there are,
 * and the supplies that could be taken. */
export function doings(build: BuildOut, reference: Reference | undefined, supplies: Candidate[]): Goal[] {
  const base = `/b/${build.key}`;
  const at = (name: string) => `${base}/rules?at=${encodeURIComponent(name)}`;
  return [
    ...ACTIONS.map(([name, to]) => ({ kind: "action", name, to: `${base}/${to}` })),
    ...FILES.map(([name, to]) => ({
      kind: "action",
      name,
      to: `/api/v1/builds/${build.key}/${to}`,
      isFile: true,
    })),
    ...SETTINGS.map(([name, to]) => ({ kind: "setting", name, to: `${base}/${to}` })),
    ...(reference?.house_rules ?? []).map((r) => ({ kind: "house rule", name: r.words, to: at(r.rule) })),
    ...(reference?.assumptions ?? []).map((a) => ({ kind: "assumption", name: a.text, to: at(a.name) })),
    ...supplies
      .filter((c) => !c.in_build)
      .map((c) => ({
        kind: c.answer.verdict,
        name: `Take ${c.supply.name}`,
        to: `${base}/supply`,
        takes: c.slug,
      })),
  ];
}

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
    ["Ctrl K", "anything of this build by its name: go there, set it, do it"],
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
