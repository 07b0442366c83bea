import { useQuery } from "@tanstack/react-query";

import type { Found } from "../../api/client";
import { Face, PinKey } from "../../drawing/Face";
import { figureIn } from "../../state/parts/declared";
import { useBuild, useWrite } from "../../state/build/contexts";
import { referenceQuery } from "../../state/queries";
import { Button } from "../../ui/button";

/** One entry: its sockets and figures with their origin and bounds, and a way into the build. */
export function Entry({
  found,
  added,
  onAdded,
  onRemove,
}: {
  found: Found;
  added: string;
  onAdded: (name: string) => void;
  onRemove: () => void;
}) {
  const build = useBuild();
  const { act } = useWrite();
  const { data } = useQuery(referenceQuery);
  const words = new Map(data?.connectors.map((c) => [c.kind, c.words]));
  const { part } = found;
  const sockets = "sockets" in part ? part.sockets : [];
  const kinds = [...new Set(sockets.map((s) => s.kind))];
  const figures = data?.fields[part.kind]?.filter((f) => f.shape === "figure") ?? [];
  const add = async () => {
    if (await act({ type: "add part", part })) onAdded(part.name);
  };
  return (
    <section aria-label={`Entry: ${part.name}`} className="grid gap-3 border border-rule bg-slip p-4">
      <div>
        <h2 className="text-xl leading-tight font-bold">{part.name}</h2>
        <p className="text-sm text-ink-soft">
          {found.slug}, revision {found.revision}
          {found.own ? ", yours" : ""}
        </p>
      </div>
      {kinds.map((k) => {
        const n = sockets.filter((s) => s.kind === k).length;
        return (
          <p key={k} className="flex items-center gap-2">
            <Face kind={k} size="large" />
            {n > 1 && `${n} × `}
            {words.get(k)}
          </p>
        );
      })}
      {kinds.length > 0 && <PinKey kinds={kinds} />}
      <table className="w-full text-base">
        <tbody>
          {figures.map((f) => {
            const figure = figureIn(part, f.name);
            return (
              <tr key={f.name} className="border-t border-rule align-baseline">
                <td className="py-1 pr-2">{f.text}</td>
                <td className="py-1 pr-2 text-right font-mono font-bold whitespace-nowrap">
                  {figure ? `${figure.likely} ${f.unit}` : "?"}
                </td>
                <td className="py-1 text-xs text-ink-soft">
                  {figure ? (
                    figure.origin
                  ) : f.default_from.length ? (
                    "assumed"
                  ) : f.needed ? (
                    <b className="text-unknown">no default</b>
                  ) : (
                    "not stated"
                  )}
                  {figure && figure.low !== figure.high && (
                    <span className="block whitespace-nowrap">
                      {figure.low}–{figure.high}
                    </span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {part.note && <p className="text-sm text-ink-soft">{part.note}</p>}
      <Button look="main" className="min-h-10 text-md" onClick={() => void add()}>
        Add it to {build.doc.name}
      </Button>
      <p role="status" className="min-h-5 text-sm font-semibold text-accent">
        {added && `${added} is in ${build.doc.name}.`}
      </p>
      {found.own && (
        <Button look="quiet" className="justify-self-start" onClick={onRemove}>
          Remove it from the catalogue
        </Button>
      )}
    </section>
  );
}
