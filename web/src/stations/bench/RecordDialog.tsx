import { useQuery } from "@tanstack/react-query";

import { reason } from "../../api/client";
import { day, time } from "../../state/clock";
import { recordQuery } from "../../state/queries";
import { Dialog } from "../../ui/dialog";

const KINDS: Record<string, string> = {
  done: "done",
  found: "found so",
  undone: "not done after all",
  warm: "found warm",
  browned: "found browned",
  loose: "found loose",
  "looked at": "looked at",
  note: "noted",
  photo: "photo",
  measured: "measured",
  simulated: "simulated",
};

/** The history of the machine and every entry of its record, newest first. */
export function RecordDialog({ buildKey, onClose }: { buildKey: string; onClose: () => void }) {
  const { data, error } = useQuery({ ...recordQuery(buildKey), staleTime: 0 });
  return (
    <Dialog open onClose={onClose} title="The record of this machine" wide>
      {error && !data && <p className="text-over">{reason(error)}</p>}
      {data && data.of === 0 && (
        <p className="text-lg">Nothing is done yet. Each step that is ticked is kept here, for good.</p>
      )}
      {data && data.of > 0 && (
        <>
          <h3 className="text-md font-bold">Its history</h3>
          <ul className="mb-4 text-base">
            {data.sittings.map((s) => (
              <li key={s.begun} data-sitting className="border-b border-rule py-1.5">
                <b className="inline-block first-letter:uppercase">{s.what.join(", ")}</b>, {day(s.begun)}{" "}
                {time(s.begun)}
                {s.ended !== s.begun &&
                  ` to ${day(s.ended) === day(s.begun) ? "" : `${day(s.ended)} `}${time(s.ended)}`}
                {s.who.length > 0 && ` by ${s.who.join(", ")}`}
                <span className="block text-sm text-ink-soft">
                  {[
                    s.made && `${s.made} ${s.made === 1 ? "joint" : "joints"} made`,
                    s.apart && `${s.apart} taken apart`,
                    s.bad && `${s.bad} found bad`,
                    s.versions[0] === s.versions[1]
                      ? `build as of change ${s.versions[0]}`
                      : `build as of changes ${s.versions[0]} to ${s.versions[1]}`,
                  ]
                    .filter(Boolean)
                    .join(" · ")}
                </span>
              </li>
            ))}
          </ul>
          <h3 className="text-md font-bold">
            {data.entries.length < data.of
              ? `Its last ${data.entries.length} entries of ${data.of}`
              : "Every entry"}
          </h3>
          <table className="w-full text-left text-sm">
            <thead className="text-ink-soft">
              <tr>
                <th className="py-1 pr-3 font-normal">When</th>
                <th className="py-1 pr-3 font-normal">Who</th>
                <th className="py-1 pr-3 font-normal">What</th>
                <th className="w-full py-1 font-normal">Step</th>
              </tr>
            </thead>
            <tbody>
              {data.entries.map((e, i) => (
                <tr key={i} data-entry className="border-t border-rule align-top">
                  <td className="py-1 pr-3 whitespace-nowrap">
                    {day(e.at)} {time(e.at)}
                  </td>
                  <td className="py-1 pr-3">{e.who || "not said"}</td>
                  <td className="py-1 pr-3">{KINDS[e.kind] ?? e.kind}</td>
                  <td className="py-1">
                    {e.words}
                    {e.text && <span className="block font-semibold">{e.text}</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </Dialog>
  );
}
