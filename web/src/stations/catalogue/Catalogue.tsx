import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useId, useRef, useState } from "react";

import { client, reason, take, type Found } from "../../api/client";
import { Face } from "../../drawing/Face";
import { useBuild, useWrite } from "../../state/build/contexts";
import { catalogueKey, catalogueQuery, referenceQuery } from "../../state/queries";
import { lastThrown } from "../../state/thrown";
import { walkList } from "../../ui/walk";
import { BinDialog } from "../frame/Bin";
import { StationHead } from "../frame/Head";
import { Entry } from "./Entry";
import { ReadFile } from "./ReadFile";

/** The parts catalogue: found as one types, one's own beside those that ship, out and in as CSV. */
export default function Catalogue() {
  const build = useBuild();
  const { say } = useWrite();
  const queries = useQueryClient();
  const [text, setText] = useState("");
  const [chosen, setChosen] = useState("");
  const [added, setAdded] = useState("");
  const [reading, setReading] = useState(false);
  const [bin, setBin] = useState(false);
  const list = useRef<HTMLUListElement>(null);
  const { data } = useQuery(catalogueQuery(useDeferredValue(text)));
  const { data: reference } = useQuery(referenceQuery);
  const id = useId();
  const found = data?.found ?? [];
  const entry = found.find((f) => f.slug === chosen) ?? null;
  const remove = useMutation({
    mutationFn: (slug: string) =>
      take(client.DELETE("/api/v1/catalogue/entries/{slug}", { params: { path: { slug } } })),
    onSuccess: async (_, slug) => {
      const words = found.find((f) => f.slug === slug)?.part.name ?? slug;
      await queries.invalidateQueries({ queryKey: catalogueKey });
      lastThrown.was({ words, back: () => bringBack(slug) });
    },
    onError: (e) => say(e.message),
  });
  const bringBack = async (slug: string) => {
    try {
      await take(client.POST("/api/v1/catalogue/entries/{slug}/back", { params: { path: { slug } } }));
    } catch (error) {
      say(reason(error));
    }
    await queries.invalidateQueries({ queryKey: catalogueKey });
  };
  const walk = (e: React.KeyboardEvent) => walkList(e, list.current, "button");
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead
        title="Catalogue"
        note={data ? `${data.entries} parts, ${data.own} of them yours` : "parts by the page they came with"}
        rest={[
          { label: "Back to the parts", to: `/b/${build.key}/parts` },
          { label: "Read a CSV", onSelect: () => setReading(true) },
          { label: "The bin", quiet: true, onSelect: () => setBin(true) },
          {
            label: "Save as CSV",
            items: [
              { label: "All parts", file: "/api/v1/catalogue/file" },
              { label: "Yours only", file: "/api/v1/catalogue/file?own=true" },
              { label: "A template to fill in", file: "/api/v1/catalogue/template" },
            ],
          },
        ]}
      />
      {bin && (
        <BinDialog
          title="Your parts in the bin"
          load={() => take(client.GET("/api/v1/catalogue/bin"))}
          back={(x) => bringBack(x.key)}
          onClose={() => setBin(false)}
        />
      )}
      <div className="flex min-h-0 flex-1 gap-5 px-6 pb-4 max-[700px]:flex-col max-[700px]:overflow-auto max-[700px]:px-3">
        <div className="flex min-h-0 min-w-0 flex-1 flex-col">
          <label htmlFor={id} className="sr-only">
            Search the catalogue
          </label>
          <input
            id={id}
            type="search"
            autoComplete="off"
            value={text}
            placeholder="Search: knot · card 2x8 · disk power-disable · fan 140"
            onChange={(e) => setText(e.target.value)}
            onKeyDown={walk}
            className="h-11 w-full border-2 border-accent bg-slip px-4 text-lg placeholder:text-ink-soft"
          />
          <div role="group" aria-label="Kinds" className="my-2 flex flex-wrap gap-x-1">
            {reference?.sought.map(({ word, several }) => (
              <button
                key={word}
                type="button"
                aria-pressed={text.trim() === word}
                onClick={() => setText(text.trim() === word ? "" : word)}
                className="rounded-[3px] px-1.5 py-0.5 text-sm text-ink-soft underline decoration-dotted underline-offset-4 hover:bg-accent-wash aria-pressed:bg-accent-wash aria-pressed:font-bold aria-pressed:text-ink"
              >
                {several}
              </button>
            ))}
          </div>
          <ul
            ref={list}
            onKeyDown={walk}
            aria-label="Parts found"
            className="min-h-0 flex-1 overflow-auto border-t border-rule"
          >
            {found.map((f) => (
              <Line
                key={f.slug}
                found={f}
                chosen={f.slug === chosen}
                onChoose={() => {
                  setChosen(f.slug);
                  setAdded("");
                }}
              />
            ))}
            {data && found.length === 0 && (
              <li className="p-4 text-ink-soft">
                Nothing in the catalogue has all of these words. Say the part itself on the Parts page, and
                keep it.
              </li>
            )}
          </ul>
        </div>
        <aside aria-label="Part chosen" className="w-[380px] shrink-0 overflow-auto max-[1100px]:w-[330px]">
          {entry ? (
            <Entry
              found={entry}
              added={added}
              onAdded={setAdded}
              onRemove={() => remove.mutate(entry.slug)}
            />
          ) : (
            <p className="border border-dashed border-rule-strong p-4 text-md text-ink-soft">
              Choose a part to see its figures and add it to {build.doc.name}. What its page leaves out is
              named.
            </p>
          )}
        </aside>
      </div>
      <ReadFile open={reading} onClose={() => setReading(false)} />
    </div>
  );
}

function Line({ found, chosen, onChoose }: { found: Found; chosen: boolean; onChoose: () => void }) {
  const sockets = "sockets" in found.part ? found.part.sockets : [];
  const kinds = [...new Set(sockets.map((s) => s.kind))];
  const { name } = found.part;
  return (
    <li>
      <button
        type="button"
        data-entry={found.slug}
        aria-pressed={chosen}
        onClick={onChoose}
        onFocus={onChoose}
        className="grid w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-3 border-b border-rule px-3 py-1.5 text-left outline-offset-[-2px] hover:bg-accent-wash aria-pressed:bg-accent-wash aria-pressed:shadow-[inset_4px_0_0_var(--accent)]"
      >
        <span className="min-w-0">
          <span className="text-md font-semibold">{name}</span>
          {found.own && <span className="ml-2 text-xs font-bold text-accent">yours</span>}
          <span className="block text-sm text-ink-soft">{found.rest}</span>
          {found.lacks.length > 0 && (
            <span className="block text-xs font-semibold text-unknown">
              page gives no {found.lacks.join(", no ")}
            </span>
          )}
        </span>
        <span className="flex items-center gap-1.5">
          {kinds.map((k) => (
            <Face key={k} kind={k} />
          ))}
        </span>
      </button>
    </li>
  );
}
