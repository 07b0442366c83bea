import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";

import { client, reason, take, type Action, type MapAnswer, type MapWish } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { mapShown, type MapShown } from "../../state/loom/map";
import { mapQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Waits } from "../../ui/waits";
import { Swaps } from "./Swaps";
import { Ways } from "./Ways";

/** A map that is asked for: how far it is, what it would change, whether it is proven best; or why
 * there is none, and what would mend that. It is shown on the lanes before it is taken. */
export function MapPanel({ onClose, onAgain }: { onClose: () => void; onAgain: (wish: MapWish) => void }) {
  const build = useBuild();
  const { act, preview, say } = useWrite();
  const queries = useQueryClient();
  const { data } = useQuery(mapQuery(build.key));
  const top = useRef<HTMLHeadingElement>(null);
  const shown = mapShown(data, build.version);
  const edit = shown.take?.edit ?? null;
  useEffect(() => {
    preview(edit);
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
  const again = (wish: MapWish) => {
    top.current?.focus(); // this button goes
    onAgain(wish);
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col" onKeyDown={(e) => e.key === "Escape" && void close()}>
      <div className="border-b border-rule px-3 py-2">
        <h2 ref={top} tabIndex={-1} className="text-md font-bold">
          {shown.title}
        </h2>
        {shown.progress && (
          <div className="mt-1">
            <progress
              aria-label="Goals reached"
              className="h-2 w-full accent-[var(--accent)]"
              value={shown.progress.done}
              max={shown.progress.of}
            />
            <p className="text-sm text-ink-soft">{shown.progress.words}</p>
            {data && <Waits waits={data.waits} busy={data.busy} />}
          </div>
        )}
        {shown.error && <p className="mt-1 text-base text-over">{shown.error}</p>}
        {shown.late && <p className="mt-1 text-base">The build has changed since it was asked for.</p>}
        <div className="mt-2 flex flex-wrap gap-2">
          <Buttons shown={shown} onLay={lay} onAgain={again} onStop={away} onLeave={close} />
        </div>
      </div>
      <div
        tabIndex={0}
        role="region"
        aria-label="What mapping found"
        className="min-h-0 flex-1 overflow-auto px-3 pb-3"
      >
        {shown.answer && <Found answer={shown.answer} onRepair={(a) => void lay(a)} />}
      </div>
    </div>
  );
}

function Buttons({
  shown: { take, again, busy },
  onLay,
  onAgain,
  onStop,
  onLeave,
}: {
  shown: MapShown;
  onLay: (edit: Action) => Promise<void>;
  onAgain: (wish: MapWish) => void;
  onStop: () => Promise<void>;
  onLeave: () => Promise<void>;
}) {
  return (
    <>
      {take && (
        <Button look="main" onClick={() => void onLay(take.edit)}>
          {take.words}
        </Button>
      )}
      {again && (
        <Button look="main" onClick={() => onAgain(again)}>
          Map it again
        </Button>
      )}
      {busy ? (
        <Button onClick={() => void onStop()}>Stop</Button>
      ) : (
        <Button look={take || again ? "quiet" : undefined} onClick={() => void onLeave()}>
          Leave it as it is
        </Button>
      )}
    </>
  );
}

function Found({ answer, onRepair }: { answer: MapAnswer; onRepair: (a: Action) => void }) {
  return (
    <>
      {answer.unfed.length > 0 && answer.left.length === 0 && (
        <p className="mt-2 text-base">
          Left unfed: <b>{answer.unfed.join(", ")}</b>
        </p>
      )}
      {answer.left.map((left) => (
        <Part key={left.sockets[0]} title={`Left unfed: ${few(left.sockets)}`}>
          <ul className="list-disc pl-5 text-base">
            {left.why.map((w) => (
              <li key={w}>{w}</li>
            ))}
          </ul>
        </Part>
      ))}
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
              Nothing that is in the drawer or the catalogue does, by itself or three together. Another supply
              may: the Supply station says which feed all sockets.
            </p>
          )}
          <Ways ways={answer.repairs} onTake={onRepair} />
        </Part>
      )}
      {answer.edit && <Laid answer={answer} />}
    </>
  );
}

/** The first of many names, and how many more there are. */
function few(names: readonly string[]): string {
  const more = names.length - 3;
  return more > 1 ? `${names.slice(0, 3).join(", ")} and ${more} more` : names.join(", ");
}

/** What a map would change, what it comes to, and what it takes. */
function Laid({ answer }: { answer: MapAnswer }) {
  const stay = answer.swaps.reduce((sum, s) => sum + s.stays, 0);
  const moved = answer.moved === 1 ? "1 end moves" : `${answer.moved} ends move`;
  return (
    <>
      <Part title={answer.moved ? `What changes: ${moved}, ${stay} plugs stay` : "Nothing changes"}>
        <Swaps swaps={answer.swaps} />
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
