import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { MemoryRouter } from "react-router";

import type { BuildOut, Reference, Result } from "../api/client";
import { BuildContext, ResultContext, ShownContext, WriteContext } from "../state/build/contexts";
import { referenceQuery } from "../state/queries";

const amount = { low: 90, likely: 100, high: 110, missing: [] };
const states = Object.fromEntries(["sleep", "idle", "everyday", "full", "start"].map((s) => [s, amount]));

/** A result in which nothing is found, with what a test says of it. */
export function resultWith(more: Record<string, unknown> = {}): Result {
  return {
    strip: {
      watts: states,
      spikes: { ms_0_1: amount, ms_1: amount, ms_10: amount, ms_100: amount },
      mend: {},
      sockets_fed: 0,
      sockets_needed: 0,
    },
    sizing: { needed: amount, at_least_w: 100, pick_w: 450, rules: [] },
    lanes: [],
    sockets: [],
    betweens: [],
    parts: [],
    signals: [],
    mend: [],
    notes: [],
    supply: null,
    ...more,
  } as unknown as Result;
}

/** A build of invented parts, with what a test says of it. */
export function buildWith(doc: Record<string, unknown> = {}): BuildOut {
  return {
    key: "tern",
    version: 3,
    doc: { name: "Tern", parts: [], cables: [], runs: [], supply: null, ...doc },
    history: { undo: null, redo: null },
  } as unknown as BuildOut;
}

const CONNECTORS = [
  { kind: "sata", words: "SATA power", face: ["ooo", "kkk", "rrr"], side: "", latch: false },
  { kind: "h12v2x6", words: "16-pin graphics", face: ["yyyyyy", "kkkkkk"], side: "ssss", latch: true },
];

/** Words and connectors as the server declares them, with what a test says of them. */
export function referenceWith(more: Record<string, unknown> = {}): Reference {
  return {
    connectors: CONNECTORS,
    fields: {},
    sizes_w: [450, 550, 650],
    words: {
      states: { idle: "idle", everyday: "everyday", full: "full", start: "start", sleep: "asleep" },
      findings: { over: "over", refused: "refused", unfed: "not fed", failed: "failed" },
      rails: { v12: "12 V" },
      ports: { graphics: "graphics", "board-main": "board" },
      headers: { fan: "fan", pump: "pump" },
      paths: [],
    },
    ...more,
  } as unknown as Reference;
}

/** What a component draws, as markup, in a build at full load. */
export function drawn(
  what: ReactNode,
  {
    result = resultWith(),
    build = buildWith(),
    reference = referenceWith(),
  }: { result?: Result; build?: BuildOut; reference?: Reference } = {},
): string {
  const queries = new QueryClient();
  queries.setQueryData(referenceQuery.queryKey, reference);
  const nothing = () => Promise.resolve(null);
  const write = {
    act: nothing,
    takeSupply: nothing,
    preview: () => undefined,
    undo: nothing,
    redo: nothing,
    say: () => undefined,
    giveUp: () => Promise.resolve(),
    reload: () => Promise.resolve(),
  };
  return renderToStaticMarkup(
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <BuildContext value={build}>
          <ResultContext value={{ result, typing: false }}>
            <ShownContext value={{ state: "full", runState: "full", setState: () => undefined }}>
              <WriteContext value={write}>{what}</WriteContext>
            </ShownContext>
          </ResultContext>
        </BuildContext>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

/** The words of a piece of markup, as they are read: without tags, one space between. */
export function wordsOf(markup: string): string {
  return markup
    .replace(/<[^>]*>/g, " ")
    .replace(/&#x27;/g, "'")
    .replace(/&quot;/g, '"')
    .replace(/\s+/g, " ")
    .trim();
}

/** What an attribute is in each tag that has it, in their order. */
export function every(markup: string, attribute: string): string[] {
  return [...markup.matchAll(new RegExp(` ${attribute}="([^"]*)"`, "g"))].map((m) => m[1] ?? "");
}
