import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useId, useRef, useState } from "react";
import { useNavigate } from "react-router";

import { client, MOST, take, textOf, type BuildCard } from "../../api/client";
import { buildsKey, buildsQuery } from "../../state/queries";
import { lastThrown } from "../../state/thrown";
import { Button } from "../../ui/button";
import { BinDialog, JustThrown } from "../frame/Bin";
import { List } from "./List";

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
    void navigate(`/b/${built.key}/parts`, { state: { line: true } });
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
    document.title = "Builds · Easy Tally";
  }, []);
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
    <main tabIndex={-1} className="mx-auto max-w-[1120px] px-6 py-8 max-[700px]:px-3 max-[700px]:py-4">
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
      ) : data?.length === 0 ? (
        <p className="border border-dashed border-rule-strong p-8 text-md text-ink-soft">
          No build yet. Name one above and start it, or open a build file.
        </p>
      ) : (
        <List builds={data ?? []} onRemove={(b) => remove.mutate(b)} />
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
