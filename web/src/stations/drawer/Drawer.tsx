import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";

import { client, MOST, take, textOf, type Thing } from "../../api/client";
import { ownCable } from "../../state/loose";
import { useBuild, useWrite } from "../../state/build/contexts";
import { buildsQuery, drawerKey, drawerQuery } from "../../state/queries";
import { AlertDialog } from "../../ui/alert";
import { Button } from "../../ui/button";
import { TallyMarks } from "../../ui/marks";
import { StationHead } from "../frame/Head";
import { PutIn } from "./PutIn";
import { ThingFields } from "./ThingFields";

const KINDS: { kind: Thing["kind"]; words: string; one: string }[] = [
  { kind: "supply", words: "Supplies", one: "supply" },
  { kind: "cable", words: "Cables", one: "cable" },
  { kind: "adapter", words: "Adapters", one: "adapter" },
  { kind: "extension", words: "Extensions", one: "extension" },
  { kind: "bracket", words: "Brackets", one: "bracket" },
];

const kindOf = (word: string | null) => KINDS.find((k) => k.kind === word)?.kind ?? null;

/** What a builder owns or is looking at, and in which build each thing is. */
export default function Drawer() {
  const build = useBuild();
  const { data: things = [] } = useQuery(drawerQuery);
  const [text, setText] = useState("");
  const file = useRef<HTMLInputElement>(null);
  const { say } = useWrite();
  const queries = useQueryClient();
  const reading = useMutation({
    mutationFn: async (f: File) =>
      take(
        client.POST("/api/v1/drawer/supplies", {
          body: { text: await textOf(f, MOST.csv), standing: "looked at" },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: drawerKey }),
    onError: (e) => say(e.message),
  });
  const [params, setParams] = useSearchParams();
  /** What is being put in: begun here, or said elsewhere and sent here with its words. */
  const [putting, setPutting] = useState<Thing["kind"] | null>(kindOf(params.get("put")));
  const found = things.filter((t) =>
    `${t.name} ${t.family} ${t.words} ${t.thing.lies} ${t.thing.condition}`
      .toLowerCase()
      .includes(text.toLowerCase()),
  );
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead
        title="Drawer"
        note={things.length ? `${things.length} things, each in one build at a time` : "what you own"}
        rest={[
          {
            label: "Read a CSV of supplies",
            onSelect: () => file.current?.click(),
            disabled: reading.isPending,
          },
          { label: "Save as CSV", file: "/api/v1/drawer/supplies.csv" },
        ]}
      />
      <div className="px-6 pb-2 max-[700px]:px-3 max-[700px]:pt-2">
        <input
          type="search"
          aria-label="Search the drawer"
          placeholder="Search: name, family, where it lies"
          className="field w-72 max-w-full text-base"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <input
          ref={file}
          type="file"
          accept=".csv,text/csv"
          className="hidden"
          aria-label="CSV of supplies"
          onChange={(e) => {
            const chosen = e.target.files?.[0];
            if (chosen) reading.mutate(chosen);
            e.target.value = "";
          }}
        />
      </div>
      <div className="min-h-0 flex-1 overflow-auto px-6 pb-5 max-[700px]:px-3">
        {KINDS.map(({ kind, words, one }) => {
          const own = found.filter((t) => t.kind === kind);
          return (
            <section key={kind} aria-label={words} className="mb-4">
              <div className="flex items-center gap-3 border-b border-rule-strong pb-1">
                <h2 className="text-lg font-bold">{words}</h2>
                <TallyMarks count={own.length} />
                <span className="text-ink-soft">{own.length || "none yet"}</span>
                <Button className="ml-auto" onClick={() => setPutting(kind)}>
                  Put {one === "adapter" || one === "extension" ? "an" : "a"} {one} in
                </Button>
              </div>
              <ul>
                {own.map((t) => (
                  <Row key={t.thing.key} of={t} buildKey={build.key} />
                ))}
              </ul>
            </section>
          );
        })}
      </div>
      {putting && (
        <PutIn
          kind={putting}
          begun={params.get("say") ?? ""}
          onClose={() => {
            setPutting(null);
            setParams({}, { replace: true });
          }}
        />
      )}
    </div>
  );
}

/** One thing: what it is, how many, where it lies, where it is in use. */
function Row({ of: t, buildKey }: { of: Thing; buildKey: string }) {
  const { act, say } = useWrite();
  const [open, setOpen] = useState(false);
  const [asking, setAsking] = useState(false);
  const queries = useQueryClient();
  const remove = useMutation({
    mutationFn: () => take(client.DELETE("/api/v1/drawer/{key}", { params: { path: { key: t.thing.key } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: drawerKey }),
    onError: (e) => say(e.message),
  });
  const cable = t.free > 0 && t.thing.condition !== "not to be used" ? ownCable(t) : null;
  const add = async () => {
    if (!cable) return;
    const done = await act({ type: "add cable", cable });
    if (done) void queries.invalidateQueries({ queryKey: drawerKey });
  };
  return (
    <li data-thing={t.thing.key} className="border-b border-rule py-2">
      <div className="grid grid-cols-[minmax(0,1fr)_210px_300px] items-start gap-4 max-[1000px]:grid-cols-1 max-[1000px]:gap-1">
        <div>
          <b className="text-md">{t.thing.count > 1 ? `${t.thing.count} × ${t.name}` : t.name}</b>
          {t.thing.standing === "looked at" && (
            <span className="ml-2 font-bold text-accent">looking at it</span>
          )}
          {t.thing.condition !== "good" && (
            <span className={`ml-2 font-bold ${t.thing.condition === "worn" ? "text-tight" : "text-over"}`}>
              {t.thing.condition}
            </span>
          )}
          <p className="text-sm text-ink-soft">{t.words}</p>
        </div>
        <Whereabouts of={t} />
        <div className="flex flex-wrap justify-end gap-1 max-[1000px]:justify-start">
          {cable && (
            <Button onClick={() => void add()}>
              Into this build<span className="sr-only">: {t.name}</span>
            </Button>
          )}
          {t.kind === "supply" && t.free > 0 && (
            <Link
              to={`/b/${buildKey}/supply`}
              className="inline-flex min-h-8 items-center rounded-[3px] px-3 font-semibold text-accent underline"
            >
              Judge it
            </Link>
          )}
          <Button look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
            Change<span className="sr-only">: {t.name}</span>
          </Button>
          <Button look="quiet" onClick={() => setAsking(true)}>
            Take out<span className="sr-only">: {t.name}</span>
          </Button>
        </div>
      </div>
      {open && <ThingFields of={t} />}
      {asking && (
        <AlertDialog
          title={`Take ${t.name} out of the drawer`}
          leave="Keep it"
          onLeave={() => setAsking(false)}
          answers={
            <Button
              look="main"
              onClick={() => {
                remove.mutate();
                setAsking(false);
              }}
            >
              Take it out
            </Button>
          }
        >
          It is forgotten here for good: sold, broken, or given away.
        </AlertDialog>
      )}
    </li>
  );
}

/** Its family, the builds that it is in, where it lies, since when. */
function Whereabouts({ of: t }: { of: Thing }) {
  const { data: builds = [] } = useQuery(buildsQuery);
  const name = (key: string) => builds.find((b) => b.key === key)?.name ?? key;
  return (
    <dl className="text-sm">
      {t.family !== "any" && <Fact term="family">{t.family}</Fact>}
      <Fact term="in">
        {t.builds.length
          ? [...new Set(t.builds)].map((k) => (
              <Link key={k} to={`/b/${k}/supply`} className="mr-1 text-accent underline">
                {name(k)}
              </Link>
            ))
          : "no build"}
        {t.thing.count > 1 && `, ${t.free} free`}
      </Fact>
      {t.thing.lies && <Fact term="lies">{t.thing.lies}</Fact>}
      {t.thing.since !== null && <Fact term="since">{t.thing.since}</Fact>}
    </dl>
  );
}

function Fact({ term, children }: { term: string; children: React.ReactNode }) {
  return (
    <div className="flex gap-2">
      <dt className="w-12 text-ink-soft">{term}</dt>
      <dd>{children}</dd>
    </div>
  );
}
