import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";

import { client, reason, take, type Action, type MapAnswer, type MapWish } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { mapQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Waits } from "../../ui/waits";

/** A map that is asked for: how far it is, what it would change, whether it is proven best; or why
 * there is none, and what would mend that. It is shown on the lanes before it is taken. */
export function MapPanel({ onClose, onAgain }: { onClose: () => void; onAgain: (wish: MapWish) => void }) {
  const build = useBuild();
  const { act, preview, say } = useWrite();
  const queries = useQueryClient();
  const { data } = useQuery(mapQuery(build.key));
  const top = useRef<HTMLHeadingElement>(null);
  const answer = data?.state === "done" && data.version === build.version ? data.answer : null;
  const edit = answer?.edit;
  const late = data !== undefined && data.state !== "none" && data.version !== build.version;
  useEffect(() => {
    preview(edit ?? null);
    return () => preview(null);
  }, [edit, preview]);
  useEffect(() => top.current?.focus(), []);
  const away = async () => {
    try {
      const left = await take(
        client.DELETE("/api/v1/builds/{key}/map", { params: { path: { key: build.key } } }),
      );
      queries.setQueryData(mapQuery(build.key).queryKey, left);
    } catch (error) {
      say(reason(error));
    }
  };
  const close = async () => {
    await away();
    onClose();
  };
  const lay = async (action: Action) => {
    if (await act(action)) await close();
  };
  const busy = data?.state === "waiting" || data?.state === "running";
  const again = late || data?.state === "stopped" || data?.state === "failed" ? data.wish : null;
  return (
    <div className="flex min-h-0 flex-1 flex-col" onKeyDown={(e) => e.key === "Escape" && void close()}>
      <div className="border-b border-rule px-3 py-2">
        <h2 ref={top} tabIndex={-1} className="text-md font-bold">
          {late
            ? "This map is of the build as it was"
            : busy || !data
              ? "Mapping…"
              : title(data.state, answer)}
        </h2>
        {busy && !late && data && (
          <div className="mt-1">
            <progress
              aria-label="Goals reached"
              className="h-2 w-full accent-[var(--accent)]"
              value={data.done}
              max={Math.max(1, data.of)}
            />
            <p className="text-sm text-ink-soft">
              {data.of
                ? `${data.done} of ${data.of} goals brought down as far as they go`
                : data.state === "running"
                  ? "Looking at what fits"
                  : data.waits
                    ? "Waiting"
                    : "Waiting for its turn"}
            </p>
            <Waits waits={data.waits} busy={data.busy} />
          </div>
        )}
        {data?.state === "failed" && <p className="mt-1 text-base text-over">{data.error}</p>}
        {late && <p className="mt-1 text-base">The build has changed since it was asked for.</p>}
        <div className="mt-2 flex flex-wrap gap-2">
          {edit && (
            <Button look="main" onClick={() => void lay(edit)}>
              {answer?.status === "mapped" ? "Take this map" : "Take what can be fed"}
            </Button>
          )}
          {again && (
            <Button
              look="main"
              onClick={() => {
                top.current?.focus(); // this button goes
                onAgain(again);
              }}
            >
              Map it again
            </Button>
          )}
          {busy && !late ? (
            <Button onClick={() => void away()}>Stop</Button>
          ) : (
            <Button look={edit || again ? "quiet" : undefined} onClick={() => void close()}>
              Leave it as it is
            </Button>
          )}
        </div>
      </div>
      <div
        tabIndex={0}
        role="region"
        aria-label="What mapping found"
        className="min-h-0 flex-1 overflow-auto px-3 pb-3"
      >
        {answer && <Found answer={answer} onRepair={(a) => void lay(a)} />}
      </div>
    </div>
  );
}

function title(state: string, answer: MapAnswer | null): string {
  if (state === "stopped") return "Stopped; the map is as it was";
  if (state === "failed") return "It could not be mapped";
  if (!answer) return "No map is asked for";
  if (answer.status === "impossible") return "Not everything can be fed";
  if (answer.status === "not decided") return "Not decided: no whole map was found, and there may be one";
  if (answer.status === "nothing") return "There is nothing to map";
  return answer.proven ? "The best map, proven" : "The best map found so far";
}

function Found({ answer, onRepair }: { answer: MapAnswer; onRepair: (a: Action) => void }) {
  return (
    <>
      {answer.unfed.length > 0 && (
        <p className="mt-2 text-base">
          Left unfed: <b>{answer.unfed.join(", ")}</b>
        </p>
      )}
      {answer.why.length > 0 && (
        <Part title={answer.status === "impossible" ? "Together these forbid more" : "Why"}>
          <ul className="list-disc pl-5 text-base">
            {answer.why.map((w) => (
              <li key={w}>{w}</li>
            ))}
          </ul>
        </Part>
      )}
      {answer.status === "impossible" && (
        <Part title="What would mend it, each proven">
          {answer.repairs.length === 0 && (
            <p className="text-base text-ink-soft">
              Nothing that is in the drawer or the catalogue does by itself. Another supply may: the Supply
              station says which feed all sockets.
            </p>
          )}
          <ul className="grid gap-1.5">
            {answer.repairs.map((r) => (
              <li key={r.text}>
                <Button
                  className="w-full justify-start! py-1.5 text-left text-base whitespace-normal!"
                  onClick={() => onRepair(r.edit)}
                >
                  {r.text}
                </Button>
                <details className="px-1 text-sm text-ink-soft">
                  <summary className="min-h-6 cursor-pointer">
                    What it takes: {r.moves.filter((m) => m.id !== "keep").length} moves,{" "}
                    {r.moves.filter((m) => m.id === "keep").length} plugs stay
                  </summary>
                  <ol className="pl-2">
                    {r.moves
                      .filter((m) => m.id !== "keep")
                      .map((m, i) => (
                        <li key={i} className="border-b border-rule py-0.5">
                          {m.text}
                        </li>
                      ))}
                  </ol>
                </details>
              </li>
            ))}
          </ul>
        </Part>
      )}
      {answer.edit && <Laid answer={answer} />}
    </>
  );
}

/** What a map would change, what it comes to, and what it takes. */
function Laid({ answer }: { answer: MapAnswer }) {
  const moves = answer.moves.filter((m) => m.id !== "keep");
  const kept = answer.moves.length - moves.length;
  return (
    <>
      <Part title={moves.length ? `What changes, ${kept} stay` : "Nothing changes"}>
        <ol className="text-base">
          {moves.map((m, i) => (
            <li key={i} data-move={m.id} className="border-b border-rule py-1">
              {m.text}
            </li>
          ))}
        </ol>
      </Part>
      <Part title="What it comes to">
        <table className="w-full text-left text-sm">
          <thead className="text-ink-soft">
            <tr>
              <th className="font-normal">In this order</th>
              <th className="text-right font-normal">now</th>
              <th className="text-right font-normal">then</th>
            </tr>
          </thead>
          <tbody>
            {answer.goals.map((g) => (
              <tr key={g.id} data-goal={g.id} className="border-t border-rule align-top">
                <td className="py-1 pr-2">
                  {g.words}
                  {!g.proven && <span className="block text-ink-soft">at best {g.bound}</span>}
                </td>
                <td className="py-1 pr-2 text-right font-mono whitespace-nowrap text-ink-soft">{g.now}</td>
                <td className="py-1 text-right font-mono font-bold whitespace-nowrap">{g.then}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-sm text-ink-soft">
          {answer.proven
            ? "Each is proven: no map does better in one without doing worse in one above it."
            : "Not all are proven best; where not, the most that is still possible stands beside it."}
        </p>
      </Part>
      <Part title="Cables it takes">
        <ul className="text-base">
          {answer.bill.map((b) => (
            <li key={b} className="border-b border-rule py-1">
              {b}
            </li>
          ))}
        </ul>
      </Part>
    </>
  );
}

function Part({ title: words, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="mt-3">
      <h3 className="mb-1 text-sm font-bold">{words}</h3>
      {children}
    </section>
  );
}
