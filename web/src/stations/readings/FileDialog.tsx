import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";

import {
  asForm,
  client,
  reason,
  take,
  type ChannelWords,
  type ReadingJob,
  type TakenOut,
} from "../../api/client";
import { readingsKey } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { Waits } from "../../ui/waits";
import { ChannelOptions } from "./Channels";

const HEAD = 64_000;
const MOST = 400_000_000;
interface Column {
  head: string;
  means: string;
}

/** A logger's file: its columns as they are recognised, the others asked for once; then how far it is. */
export function FileDialog({
  buildKey,
  channels,
  onClose,
  onMade,
}: {
  buildKey: string;
  channels: ChannelWords[];
  onClose: () => void;
  onMade: (row: TakenOut) => Promise<void>;
}) {
  const [file, setFile] = useState<File | null>(null);
  const [columns, setColumns] = useState<Column[]>([]);
  const [asked, setAsked] = useState<string[]>([]);
  const [keep, setKeep] = useState(true);
  const [job, setJob] = useState<ReadingJob | null>(null);
  const [sending, setSending] = useState(false);
  const [error, setError] = useState("");
  const path = { key: buildKey };
  const look = async (chosen: File | undefined) => {
    setError("");
    setJob(null);
    setColumns([]);
    if (!chosen) return;
    if (chosen.size > MOST) {
      setError(`A file of at most 400 MB; this one has ${(chosen.size / 1e6).toFixed(0)} MB.`);
      return;
    }
    setFile(chosen);
    try {
      const text = await chosen.slice(0, HEAD).text();
      const found = await take(
        client.POST("/api/v1/builds/{key}/readings/head", { params: { path }, body: { text } }),
      );
      setColumns(found);
      setAsked(found.filter((c) => !c.means).map((c) => c.head));
    } catch (e) {
      setError(reason(e));
    }
  };
  const send = async () => {
    if (!file) return;
    setSending(true);
    setError("");
    try {
      const names = Object.fromEntries(
        columns.filter((c) => asked.includes(c.head)).map((c) => [c.head, c.means || "ignore"]),
      );
      if (Object.keys(names).length) await take(client.PUT("/api/v1/readings/names", { body: { names } }));
      setJob(
        await take(
          client.POST("/api/v1/builds/{key}/readings/file", {
            params: { path },
            body: { file, name: file.name, keep_good: keep, size: file.size },
            bodySerializer: asForm,
          }),
        ),
      );
    } catch (e) {
      setError(reason(e));
    }
    setSending(false);
  };
  const busy = sending || job?.state === "waiting" || job?.state === "running";
  return (
    <Dialog open onClose={onClose} title="A logger’s file" wide>
      <div className="grid gap-3 text-base">
        <label className="grid gap-1">
          A CSV file with a line of column names and a column of times
          <input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            disabled={busy}
            className="file:mr-3 file:min-h-9 file:cursor-pointer file:rounded-[3px] file:border file:border-ink file:bg-slip file:px-3 file:font-semibold"
            onChange={(e) => void look(e.target.files?.[0])}
          />
        </label>
        {columns.length > 0 && (
          <Recognised
            columns={columns}
            asked={asked}
            channels={channels}
            onMeans={(column, means) => setColumns(columns.map((x) => (x === column ? { ...x, means } : x)))}
            onAsk={(head) => setAsked([...asked, head])}
          />
        )}
        {columns.length > 0 && (
          <label className="flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={keep}
              onChange={(e) => setKeep(e.target.checked)}
            />
            If some lines can’t be read, keep the others
          </label>
        )}
        {job && (
          <Progress
            key={job.key}
            buildKey={buildKey}
            job={job}
            onDone={async (key) => {
              const row = await take(
                client.GET("/api/v1/builds/{key}/readings/{taken}", {
                  params: { path: { key: buildKey, taken: key } },
                }),
              );
              await onMade(row);
            }}
            onState={setJob}
          />
        )}
        {error && (
          <p role="alert" className="font-semibold text-over">
            {error}
          </p>
        )}
        <p className="flex gap-2">
          <Button look="main" disabled={!columns.length || busy} onClick={() => void send()}>
            {sending ? "Sending…" : "Read it"}
          </Button>
          <Button onClick={onClose}>Leave it</Button>
        </p>
      </div>
    </Dialog>
  );
}

/** The columns as they are recognised; what is not is asked for. */
function Recognised({
  columns,
  asked,
  channels,
  onMeans,
  onAsk,
}: {
  columns: Column[];
  asked: string[];
  channels: ChannelWords[];
  onMeans: (column: Column, means: string) => void;
  onAsk: (head: string) => void;
}) {
  return (
    <table className="w-full text-left">
      <thead className="text-sm text-ink-soft">
        <tr>
          <th className="font-normal">Its column</th>
          <th className="font-normal">is</th>
        </tr>
      </thead>
      <tbody>
        {columns.map((c, i) => (
          <tr key={`${c.head}${i}`} data-column={c.head} className="border-t border-rule">
            <td className="py-1 pr-3">{c.head}</td>
            <td className="py-1">
              {asked.includes(c.head) ? (
                <select
                  aria-label={`What ${c.head} is`}
                  className="field"
                  value={c.means}
                  onChange={(e) => onMeans(c, e.target.value)}
                >
                  <option value="">not recognised: leave it out</option>
                  <option value="time">the time</option>
                  <option value="state">the state</option>
                  <ChannelOptions channels={channels} />
                </select>
              ) : (
                <>
                  {channels.find((x) => x.channel === c.means)?.words ?? c.means}{" "}
                  <button
                    type="button"
                    className="min-h-6 text-sm text-accent underline"
                    onClick={() => onAsk(c.head)}
                  >
                    something else
                  </button>
                </>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Progress({
  buildKey,
  job,
  onDone,
  onState,
}: {
  buildKey: string;
  job: ReadingJob;
  onDone: (taken: string) => Promise<void>;
  onState: (job: ReadingJob) => void;
}) {
  const queries = useQueryClient();
  const path = { key: buildKey, job: job.key };
  const { data = job } = useQuery({
    queryKey: ["reading", buildKey, job.key],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/readings/file/{job}", { params: { path } })),
    refetchInterval: (q) => (["waiting", "running"].includes(q.state.data?.state ?? "waiting") ? 300 : false),
    staleTime: 0,
  });
  useEffect(() => {
    if (data.state !== job.state) onState(data);
    if (data.state === "done") {
      void queries.invalidateQueries({ queryKey: readingsKey(buildKey) });
      void onDone(data.taken);
    }
    // Once for each state that it comes to.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [data.state]);
  const busy = data.state === "waiting" || data.state === "running";
  return (
    <div aria-live="polite">
      {busy && (
        <p className="flex items-center gap-3">
          <progress className="w-64" value={data.done} max={data.of || 1} aria-label="How far it is" />
          {(data.done / 1e6).toFixed(1)} of {(data.of / 1e6).toFixed(1)} MB
          <Button
            onClick={() =>
              void take(client.DELETE("/api/v1/builds/{key}/readings/file/{job}", { params: { path } }))
            }
          >
            Stop
          </Button>
        </p>
      )}
      {busy && <Waits waits={data.waits} busy={data.busy} />}
      {data.state === "stopped" && <p>Stopped; nothing of it was kept.</p>}
      {data.state === "failed" && (
        <div role="alert">
          <p className="font-semibold text-over">{data.error}</p>
          <ul className="text-sm">
            {data.problems.map((p) => (
              <li key={String(p.line)}>
                Line {String(p.line)}: {String(p.reason)}
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
