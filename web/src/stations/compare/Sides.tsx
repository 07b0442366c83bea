import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";

import { client, reason, take, type BuildCard, type Compared } from "../../api/client";
import {
  comparedQuery,
  linesOf,
  MOST_SIDES,
  parted,
  pastQuery,
  schoolsQuery,
  sidesOf,
  takenInto,
  underSchools,
} from "../../state/compare/sides";
import { MARKS } from "../../state/ask/question";
import { sentence } from "../../state/format";
import { buildQuery, buildsKey, buildsQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { useSchools } from "./useSchools";
import { BUTTON_LINK } from "../../ui/link";

/** Up to four side by side: variants, builds, a build as it was, a build under schools. */
export default function Sides() {
  const [params, setParams] = useSearchParams();
  const sides = sidesOf(params.get("of"));
  const schools = useSchools(underSchools(sides));
  const ready = !underSchools(sides) || schools?.state === "done";
  const { data: compared, error } = useQuery({ ...comparedQuery(sides), enabled: sides.length > 0 && ready });
  const { data: builds = [] } = useQuery(buildsQuery);
  const put = (next: string[]) => setParams({ of: sidesOf(next.join(",")).join(",") }, { replace: true });
  useEffect(() => {
    document.title = "Side by side · Easy Tally";
  }, []);
  const file = (kind: string) => `/api/v1/compare.${kind}?sides=${encodeURIComponent(sides.join(","))}`;
  const differ = compared?.lines.filter((l) => l.differs).length;
  return (
    <main tabIndex={-1} className="h-full overflow-auto px-6 py-5 max-[700px]:px-3">
      <header className="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2">
        <Link to="/" className="min-h-8 py-1 text-md underline underline-offset-4">
          Builds
        </Link>
        <h1 className="text-2xl leading-none font-bold">Side by side</h1>
        <p className="min-w-0 flex-1 pt-1 text-md text-ink-soft">
          {compared ? `${differ} of ${compared.lines.length} lines differ` : ""}
        </p>
        {compared && (
          <>
            <a className={BUTTON_LINK} href={file("pdf")} download>
              Print, PDF
            </a>
            <a className={BUTTON_LINK} href={file("csv")} download>
              CSV
            </a>
          </>
        )}
      </header>
      <AddSide sides={sides} builds={builds} onAdd={(ref) => put([...sides, ref])} />
      {error && (
        <p role="alert" className="mt-3 border-l-4 border-over bg-slip p-3 font-semibold text-over">
          {reason(error)}
        </p>
      )}
      {!ready && (
        <p role="status" className="mt-4 text-lg">
          {schools?.state === "failed"
            ? schools.error
            : schools?.waits ||
              `Mapping the build under each school, ${schools?.done ?? 0} of ${schools?.of ?? 0}…`}
        </p>
      )}
      {compared && ready && (
        <Table
          compared={compared}
          sides={sides}
          builds={builds}
          onLeave={(ref) => put(sides.filter((s) => s !== ref))}
        />
      )}
    </main>
  );
}

/** One more side: a build, the first one as it was, or under a school. */
function AddSide({
  sides,
  builds,
  onAdd,
}: {
  sides: string[];
  builds: BuildCard[];
  onAdd: (ref: string) => void;
}) {
  const first = parted(sides[0] ?? "").key;
  const { data: past = [] } = useQuery(pastQuery(first));
  const { data: schools = [] } = useQuery(schoolsQuery);
  const name = builds.find((b) => b.key === first)?.name ?? "";
  if (sides.length >= MOST_SIDES) return null;
  const open = (ref: string) => !sides.includes(ref);
  return (
    <label className="flex flex-wrap items-center gap-2 text-md">
      Put beside {sides.length ? "it" : ""}
      <select
        className="field min-h-9 max-w-full"
        value=""
        onChange={(e) => e.target.value && onAdd(e.target.value)}
      >
        <option value="">choose…</option>
        <optgroup label="Builds and variants">
          {builds
            .filter((b) => open(b.key) && !b.problem)
            .map((b) => (
              <option key={b.key} value={b.key}>
                {b.name}
              </option>
            ))}
        </optgroup>
        {name && (
          <optgroup label={`${name} under a school`}>
            {schools
              .map(({ school }) => ({ ref: `${first}~${school.id}`, name: school.name }))
              .filter((s) => open(s.ref))
              .map((s) => (
                <option key={s.ref} value={s.ref}>
                  {s.name}
                </option>
              ))}
          </optgroup>
        )}
        {name && past.length > 0 && (
          <optgroup label={`${name} as it was`}>
            {past
              .filter((m) => open(m.ref))
              .map((m) => (
                <option key={m.ref} value={m.ref}>
                  {m.words}
                </option>
              ))}
          </optgroup>
        )}
      </select>
    </label>
  );
}

function Table({
  compared,
  sides,
  builds,
  onLeave,
}: {
  compared: Compared;
  sides: string[];
  builds: BuildCard[];
  onLeave: (ref: string) => void;
}) {
  const wide = compared.sides.length + 1;
  return (
    <table
      className="mt-4 w-full table-fixed border-collapse text-base"
      style={{ minWidth: `${wide * 170}px` }}
    >
      <caption className="sr-only">{compared.sides.map((s) => s.name).join(" beside ")}</caption>
      <thead>
        <tr className="align-bottom">
          <th className="sticky top-0 z-10 w-40 bg-paper pr-2 pb-1 text-left text-sm font-normal text-ink-soft">
            differences first
          </th>
          {compared.sides.map((s, i) => (
            <th
              key={sides[i]}
              scope="col"
              className="sticky top-0 z-10 bg-paper px-2 pb-1 text-left text-lg leading-tight font-bold wrap-anywhere"
            >
              {s.name}
            </th>
          ))}
        </tr>
        <tr className="align-top">
          <td />
          {compared.sides.map((s, i) => (
            <td key={sides[i]} className="px-2 pb-3">
              <span className="block text-base font-semibold">{s.overall.text}</span>
              <span className="block text-base text-ink-soft">{s.price.text}</span>
              {s.takes && <span className="mt-1 block text-base">{sentence(s.takes)}</span>}
              {s.note && <span className="mt-1 block text-base text-ink-soft">{s.note}</span>}
              <Doing side={sides[i] ?? ""} name={s.name} builds={builds} onLeave={onLeave} />
            </td>
          ))}
        </tr>
      </thead>
      {compared.groups.map(([group = "", words = ""]) => (
        <Group key={group} words={words} wide={wide} lines={linesOf(compared, group)} />
      ))}
    </table>
  );
}

type Lines = ReturnType<typeof linesOf>;

function Group({ words, wide, lines: { differ, same } }: { words: string; wide: number; lines: Lines }) {
  if (!differ.length && !same.length) return null;
  return (
    <tbody data-group={words}>
      <tr className="border-t-2 border-ink">
        <th colSpan={wide} scope="rowgroup" className="py-1.5 text-left text-md font-bold">
          {words}
          {!differ.length && <span className="font-normal text-ink-soft"> · the same in all</span>}
        </th>
      </tr>
      {differ.map((l) => (
        <Line key={l.words} line={l} />
      ))}
      {same.length > 0 && (
        <tr className="border-t border-rule">
          <td colSpan={wide} className="py-1">
            <details>
              <summary className="min-h-7 cursor-pointer text-sm font-semibold text-accent">
                {same.length} the same
              </summary>
              <table className="w-full table-fixed border-collapse">
                <tbody>
                  {same.map((l) => (
                    <tr key={l.words} className="border-t border-rule align-top text-ink-soft">
                      <th scope="row" className="w-60 py-1 pr-2 text-left font-normal">
                        {l.words}
                      </th>
                      <td className="px-2 py-1">{sentence(l.cells[0]?.text ?? "")}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </details>
          </td>
        </tr>
      )}
    </tbody>
  );
}

function Line({ line }: { line: Lines["differ"][number] }) {
  return (
    <tr data-differs className="border-t border-rule align-top">
      <th scope="row" className="py-1.5 pr-2 text-left font-semibold wrap-anywhere">
        {line.words}
      </th>
      {line.cells.map((c, i) => {
        const mark = c.status ? MARKS[c.status] : undefined;
        return (
          <td key={i} className="px-2 py-1.5 wrap-anywhere">
            {mark && c.status !== "pass" && (
              <span className={`mr-1.5 inline-block size-3 ${mark.mark}`} aria-hidden="true" />
            )}
            {mark && <span className="sr-only">{mark.words}: </span>}
            <span className={mark && c.status !== "pass" ? `font-semibold ${mark.look}` : ""}>
              {sentence(c.text)}
            </span>
          </td>
        );
      })}
    </tr>
  );
}

/** What can be done with a side: open it, take a variant, leave it out. */
function Doing({
  side,
  name,
  builds,
  onLeave,
}: {
  side: string;
  name: string;
  builds: BuildCard[];
  onLeave: (ref: string) => void;
}) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { key, sign } = parted(side);
  const into = takenInto(side, builds);
  const takeIt = useMutation({
    mutationFn: async (into: string) => {
      const now = await take(client.GET("/api/v1/builds/{key}", { params: { path: { key: into } } }));
      return take(
        client.POST("/api/v1/builds/{key}/take-variant", {
          params: { path: { key: into } },
          body: { base_version: now.version, variant: key },
        }),
      );
    },
    onSuccess: async (_, into) => {
      await Promise.all([
        queries.invalidateQueries({ queryKey: buildQuery(into).queryKey }),
        queries.invalidateQueries({ queryKey: buildsKey }),
      ]);
      await navigate(`/b/${into}/parts`);
    },
  });
  return (
    <span className="mt-2 flex flex-wrap gap-2">
      {into && (
        <Button
          look="main"
          className="whitespace-normal!"
          disabled={takeIt.isPending}
          onClick={() => takeIt.mutate(into.key)}
        >
          Take it into {into.name}
        </Button>
      )}
      {sign === "" && (
        <Link to={`/b/${key}/parts`} className={BUTTON_LINK}>
          Open<span className="sr-only"> {name}</span>
        </Link>
      )}
      <Button look="quiet" onClick={() => onLeave(side)}>
        Leave out<span className="sr-only"> {name}</span>
      </Button>
      {takeIt.error && (
        <span role="alert" className="block font-semibold text-over">
          {reason(takeIt.error)}
        </span>
      )}
    </span>
  );
}
