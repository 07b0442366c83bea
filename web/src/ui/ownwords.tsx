import { useQuery } from "@tanstack/react-query";

import type { Heard } from "../api/client";
import { wordsQuery } from "../state/queries";
import { ownTold, useOwnWords } from "../state/parts/words";
import { capital } from "../words";

/** What somebody calls so: asked of a word that nobody knows, told of one that was learned. */
export function OwnWords({ unknown, own }: { unknown: string[]; own: Heard["own"] }) {
  const { data } = useQuery(wordsQuery);
  const { learn, forget } = useOwnWords();
  const groups = [...new Set((data?.meanings ?? []).map((m) => m.group))];
  if (unknown.length === 0 && own.length === 0) return null;
  return (
    <ul aria-label="Your own words" className="grid gap-1 text-base">
      {unknown.map((word) => (
        <li key={word}>
          <label>
            What do you call <b>{word}</b>?{" "}
            <select
              className="field h-8 text-base"
              value=""
              onChange={(e) =>
                learn.mutate({ word, means: data?.meanings[Number(e.target.value)]?.means ?? "" })
              }
            >
              <option value="" disabled>
                say it once
              </option>
              {groups.map((group) => (
                <optgroup key={group} label={capital(group)}>
                  {data?.meanings.map(
                    (m, i) =>
                      m.group === group && (
                        <option key={m.means} value={i}>
                          {m.label}
                        </option>
                      ),
                  )}
                </optgroup>
              ))}
            </select>
          </label>
        </li>
      ))}
      {own.map((w) => (
        <li key={w.word} className="text-ink-soft">
          {ownTold(w)}.{" "}
          <button type="button" className="text-accent underline" onClick={() => forget.mutate(w.word)}>
            Forget it
          </button>
        </li>
      ))}
      {(learn.error ?? forget.error) && (
        <li role="alert" className="font-semibold text-over">
          {(learn.error ?? forget.error)?.message}
        </li>
      )}
    </ul>
  );
}
