import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useId, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";

import { client, MOST, take, textOf, type BuildCard } from "../../api/client";
import { buildsKey, buildsQuery } from "../../state/queries";
import { amount, percent } from "../../state/format";
import { lastThrown } from "../../state/thrown";
import { Button } from "../../ui/button";
import { TallyMarks } from "../../ui/marks";
import { BinDialog, JustThrown } from "../frame/Bin";

/** Every build with its strip in small; new, open, remove. */
export function Builds() {
  const { data, isPending, error } = useQuery(buildsQuery);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const file = useRef<HTMLInputElement>(null);
  const [name, setName] = useState("");
  const [bin, setBin] = useState(false);
  const id = useId();
  const go = (built: { key: string }) => {
    void queries.invalidateQueries({ queryKey: buildsKey });
    void navigate(`/b/${built.key}/parts`);
  };
  const create = useMutation({
    mutationFn: (name: string) => take(client.POST("/api/v1/builds", { body: { name } })),
    onSuccess: go,
  });
  const open = useMutation({
    mutationFn: async (f: File) =>
      take(client.POST("/api/v1/builds/open", { body: { text: await textOf(f, MOST.build) } })),
    onSuccess: go,
  });
  const bringBack = async (key: string) => {
    await take(client.POST("/api/v1/bin/builds/{key}", { params: { path: { key } } }));
    await queries.invalidateQueries({ queryKey: buildsKey });
  };
  const remove = useMutation({
    mutationFn: (of: BuildCard) =>
      take(client.DELETE("/api/v1/builds/{key}", { params: { path: { key: of.key } } })),
    onSuccess: (_, of) => {
      lastThrown.was({ words: of.name, back: () => bringBack(of.key) });
      return queries.invalidateQueries({ queryKey: buildsKey });
    },
  });
  useEffect(() => {
    const undo = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLInputElement;
      if ((e.ctrlKey || e.metaKey) && e.key === "z" && !e.shiftKey && !typing) lastThrown.bringBack();
    };
    window.addEventListener("keydown", undo);
    return () => window.removeEventListener("keydown", undo);
  }, []);
  const problem = create.error ?? open.error ?? remove.error ?? error;
  return (
    <main className="mx-auto max-w-[1120px] px-6 py-8 max-[700px]:px-3 max-[700px]:py-4">
      <header className="mb-6 flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="flex items-center gap-3 text-3xl leading-none font-bold">
            <img src="/static/mark.svg" alt="" width={34} height={34} /> Easy Tally
          </h1>
          <p className="mt-2 text-md text-ink-soft">
            What the parts draw, which supply carries it, and every cable within its rating.
          </p>
        </div>
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            if (name.trim()) create.mutate(name);
          }}
        >
          <label htmlFor={id} className="grid gap-1 text-sm text-ink-soft">
            Name of a new build
            <input
              id={id}
              className="field w-56 text-md text-ink"
              value={name}
              maxLength={80}
              onChange={(e) => setName(e.target.value)}
            />
          </label>
          <Button look="main" type="submit" disabled={!name.trim() || create.isPending}>
            Start it
          </Button>
          <Button onClick={() => file.current?.click()} disabled={open.isPending}>
            Open a build file
          </Button>
          <input
            ref={file}
            type="file"
            accept=".json,.html,application/json,text/html"
            className="hidden"
            aria-label="Build file"
            onChange={(e) => {
              const chosen = e.target.files?.[0];
              if (chosen) open.mutate(chosen);
              e.target.value = "";
            }}
          />
        </form>
      </header>
      {problem && (
        <p role="alert" className="mb-4 border-l-4 border-over bg-slip p-3 font-semibold text-over">
          {problem.message}
        </p>
      )}
      {isPending ? (
        <p className="text-ink-soft">Fetching the builds…</p>
      ) : (
        <ul className="grid gap-4">
          {data?.map((b) => (
            <Card key={b.key} build={b} onRemove={() => remove.mutate(b)} />
          ))}
          {data?.length === 0 && (
            <li className="border border-dashed border-rule-strong p-8 text-md text-ink-soft">
              No build yet. Name one above and start it, or open a build file.
            </li>
          )}
        </ul>
      )}
      <p className="mt-4">
        <Button look="quiet" onClick={() => setBin(true)}>
          What was thrown away…
        </Button>
      </p>
      {bin && (
        <BinDialog
          title="Builds that were thrown away"
          load={() => take(client.GET("/api/v1/bin/builds"))}
          back={(of) => bringBack(of.key)}
          onClose={() => setBin(false)}
        />
      )}
      <JustThrown />
    </main>
  );
}

function Card({ build, onRemove }: { build: BuildCard; onRemove: () => void }) {
  const { strip, overall } = build;
  if (strip === null || overall === null) return <Unreadable build={build} onRemove={onRemove} />;
  return (
    <li className="border border-rule bg-slip">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 px-5 pt-4 pb-3">
        <div className="min-w-0">
          <Link
            to={`/b/${build.key}/parts`}
            className="text-title font-bold underline-offset-4 hover:underline"
          >
            {build.name}
          </Link>
          {build.note && <p className="text-ink-soft">{build.note}</p>}
        </div>
        <Keep build={build} save="Save file" onRemove={onRemove} />
      </div>
      <InSmall strip={strip} overall={overall.text} />
    </li>
  );
}

/** A build whose rows can't be read back: it says so, and what is there is not lost. */
function Unreadable({ build, onRemove }: { build: BuildCard; onRemove: () => void }) {
  return (
    <li data-unreadable className="border-2 border-over bg-slip">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 px-5 py-4">
        <div className="min-w-0">
          <h2 className="text-title font-bold">{build.name}</h2>
          <p className="font-semibold text-over">This build can’t be read.</p>
          <p className="text-ink-soft">{build.problem}</p>
        </div>
        <Keep build={build} save="Save what is there" onRemove={onRemove} />
      </div>
    </li>
  );
}

function Keep({ build, save, onRemove }: { build: BuildCard; save: string; onRemove: () => void }) {
  return (
    <div className="flex items-start gap-2">
      <a
        href={`/api/v1/builds/${build.key}/file`}
        download
        className="inline-flex min-h-8 items-center rounded-[3px] px-3 font-semibold whitespace-nowrap hover:bg-accent-wash"
      >
        {save}
        <span className="sr-only"> of {build.name}</span>
      </a>
      <Button look="quiet" onClick={onRemove}>
        Throw away
        <span className="sr-only"> {build.name}</span>
      </Button>
    </div>
  );
}

function InSmall({ strip: s, overall }: { strip: NonNullable<BuildCard["strip"]>; overall: string }) {
  const toMend = Object.values(s.mend).reduce((a, b) => a + b, 0);
  return (
    <dl className="on-dark flex flex-wrap gap-x-8 gap-y-2 bg-strip px-5 py-2.5 text-strip-ink">
      <Small label="To mend" alert={toMend > 0}>
        {toMend || "nothing"}
      </Small>
      <Small label="Everyday">{amount(s.watts.everyday)} W</Small>
      <Small label="Full">{amount(s.watts.full)} W</Small>
      <Small label="Supply">
        {s.supply ? `${s.supply}, ${percent(s.supply_percent)} at full` : "none yet"}
      </Small>
      <Small label="Sockets fed">
        {s.sockets_fed} of {s.sockets_needed} <TallyMarks count={s.sockets_fed} />
      </Small>
      <Small label="As a whole">{overall}</Small>
    </dl>
  );
}

function Small({
  label,
  children,
  alert = false,
}: {
  label: string;
  children: React.ReactNode;
  alert?: boolean;
}) {
  return (
    <div>
      <dt className="text-xs text-strip-soft">{label}</dt>
      <dd className={`flex items-center gap-2 text-md font-semibold ${alert ? "text-strip-alert" : ""}`}>
        {children}
      </dd>
    </div>
  );
}
