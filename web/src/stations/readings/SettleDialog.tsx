import { useQuery } from "@tanstack/react-query";

import { client, reason, take, type SettledOut } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { referenceQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

const three = (of: readonly number[], unit: string) => {
  const [low, likely, high] = of.map((x) => (x >= 100 ? x.toFixed(0) : String(Number(x.toFixed(2)))));
  return `${likely} ${unit}${low === high ? "" : `, ${low} to ${high}`}`;
};

/** Measured figures beside those that they would replace; each is taken over by itself, and undone
 * like any other edit. */
export function SettleDialog({
  buildKey,
  of,
  onClose,
}: {
  buildKey: string;
  of: string;
  onClose: () => void;
}) {
  const build = useBuild();
  const { act } = useWrite();
  const { data: reference } = useQuery(referenceQuery);
  const { data, error } = useQuery({
    queryKey: ["settled", buildKey, of, build.version],
    queryFn: () =>
      take(
        client.GET("/api/v1/builds/{key}/readings/{taken}/settled", {
          params: { path: { key: buildKey, taken: of } },
        }),
      ),
    placeholderData: (before) => before,
  });
  const words = (s: SettledOut) =>
    s.field === "efficiency"
      ? "efficiency at these loads, its own points"
      : (Object.values(reference?.fields ?? {})
          .flat()
          .find((f) => f.name === s.field)?.text ?? s.field);
  return (
    <Dialog open onClose={onClose} title="What these readings settle" wide>
      {error && <p className="text-over">{reason(error)}</p>}
      {data?.length === 0 && (
        <p className="text-lg">
          No figure of a part by itself. A card’s own report, the pins of its plugs, a drive’s amps or the
          supply’s output beside the wall’s would settle some.
        </p>
      )}
      {data && data.length > 0 && (
        <table className="w-full text-left text-base">
          <thead className="text-sm text-ink-soft">
            <tr>
              {["Figure", "Now", "Would be", ""].map((h) => (
                <th key={h} className="py-1 pr-3 font-normal">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {data.map((s) => (
              <tr
                key={s.of + s.field}
                data-settles={`${s.of}/${s.field}`}
                className="border-t border-rule align-top"
              >
                <td className="py-1.5 pr-3">
                  <b>{s.name}</b>
                  <span className="block text-sm">{words(s)}</span>
                </td>
                <td className="py-1.5 pr-3">
                  {s.now ? three(s.now, s.unit) : "assumed"}
                  <span className="block text-sm text-ink-soft">{s.origin}</span>
                </td>
                <td className="py-1.5 pr-3">
                  <b>
                    {s.field === "efficiency"
                      ? `${((s.then[1] ?? 0) * 100).toFixed(1)} % at full`
                      : three(s.then, s.unit)}
                  </b>
                  <span className="block text-sm text-ink-soft">{s.instrument}</span>
                </td>
                <td className="py-1.5">
                  <Button onClick={() => void act(s.edit)}>
                    Take it over
                    <span className="sr-only">
                      : {s.name}, {words(s)}
                    </span>
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="mt-3 text-sm text-ink-soft">
        What stood there before is kept in the figure’s note, with date and instrument; Undo puts it back.
      </p>
    </Dialog>
  );
}
