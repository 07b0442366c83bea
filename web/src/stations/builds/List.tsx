import { useId, useRef, useState, type KeyboardEvent } from "react";

import type { BuildCard } from "../../api/client";
import { grouped, SORTS, walked, type Sort } from "../../state/builds/list";
import { Card } from "./Card";
import { Naming, type Asked } from "./Naming";

/** Every build: found by words, sorted, in groups; one stop of Tab, walked by arrows. */
export function List({ builds, onRemove }: { builds: BuildCard[]; onRemove: (build: BuildCard) => void }) {
  const id = useId();
  const [text, setText] = useState("");
  const [sort, setSort] = useState<Sort>("changed");
  const [active, setActive] = useState("");
  const [asked, setAsked] = useState<Asked | null>(null);
  const list = useRef<HTMLDivElement>(null);
  const groups = grouped(builds, text, sort);
  const keys = groups.flatMap((g) => g.builds.map((b) => b.build.key));
  const at = keys.includes(active) ? active : (keys[0] ?? "");
  const go = (key: string) => {
    setActive(key);
    list.current?.querySelector<HTMLElement>(`[data-build="${key}"] [data-open]`)?.focus();
  };
  const walk = (e: KeyboardEvent<HTMLElement>) => {
    const row = (e.target as HTMLElement).closest<HTMLElement>("[data-build]");
    const from = row?.dataset["build"];
    if (!from || !(e.target as HTMLElement).matches("[data-open], [data-unreadable] *")) return;
    const to = walked(keys, from, e.key);
    if (e.key === "Delete") {
      const build = builds.find((b) => b.key === from);
      const next = keys[keys.indexOf(from) + 1] ?? keys[keys.indexOf(from) - 1] ?? "";
      if (build) onRemove(build);
      go(next);
    } else if (to) {
      e.preventDefault();
      go(to);
    }
  };
  return (
    <>
      <div role="search" className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <label htmlFor={`${id}-text`} className="sr-only">
          Find a build
        </label>
        <input
          id={`${id}-text`}
          type="search"
          placeholder={`Find one of ${builds.length}: name, note, group, supply`}
          className="field h-10! min-w-56 flex-1 text-md"
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Escape") setText("");
            if (e.key === "ArrowDown" || e.key === "Enter") {
              e.preventDefault();
              go(keys[0] ?? "");
            }
          }}
        />
        <select
          aria-label="Sorted by"
          className="field h-10!"
          value={sort}
          onChange={(e) => setSort(e.target.value as Sort)}
        >
          {Object.entries(SORTS).map(([s, words]) => (
            <option key={s} value={s}>
              by {words}
            </option>
          ))}
        </select>
        <p role="status" className="text-md text-ink-soft">
          {text ? `${keys.length} of ${builds.length}` : ""}
        </p>
      </div>
      <div ref={list} onKeyDown={walk}>
        {groups.map((g) => (
          <section key={g.name} aria-label={g.name || "Builds"} className="mb-5">
            {(g.name || groups.length > 1) && (
              <h2 className="mb-2 text-lg font-bold">
                {g.name || "In no group"}{" "}
                <span className="font-normal text-ink-soft">· {g.builds.length}</span>
              </h2>
            )}
            <ul className="grid gap-3">
              {g.builds.map(({ build, under }) => (
                <Card
                  key={build.key}
                  build={build}
                  under={under}
                  began={builds.find((b) => b.key === build.began_as)?.name ?? ""}
                  active={build.key === at}
                  onActive={() => setActive(build.key)}
                  onAsk={setAsked}
                  onRemove={() => onRemove(build)}
                />
              ))}
            </ul>
          </section>
        ))}
        {keys.length === 0 && <p className="text-lg">No build has all of these words.</p>}
      </div>
      {asked && (
        <Naming
          asked={asked}
          groups={[...new Set(builds.map((b) => b.group).filter(Boolean))]}
          onClose={(key) => {
            setAsked(null);
            // The list is drawn with what came first.
            setTimeout(() => go(key ?? asked.build.key), 60);
          }}
        />
      )}
    </>
  );
}
