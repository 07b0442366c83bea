import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useId, useState } from "react";
import { Link } from "react-router";

import { client, reason, take } from "../../api/client";
import { schoolsQuery } from "../../state/compare/sides";
import { useBuild, useWrite } from "../../state/build/contexts";
import { Button } from "../../ui/button";
import { BUTTON_LINK } from "../../ui/link";

/** Named sets of positions: taken for this build, judged side by side, one's own kept. */
export function Schools() {
  const build = useBuild();
  const { act } = useWrite();
  const queries = useQueryClient();
  const { data: schools = [] } = useQuery(schoolsQuery);
  const again = () => queries.invalidateQueries({ queryKey: schoolsQuery.queryKey });
  const remove = useMutation({
    mutationFn: (id: string) => take(client.DELETE("/api/v1/schools/{id}", { params: { path: { id } } })),
    onSuccess: again,
  });
  const rules = build.doc.house_rules as Record<string, unknown>;
  const holds = (positions: Record<string, unknown>) =>
    Object.entries(positions).every(([rule, position]) => rules[rule] === position);
  const side = schools.slice(0, 4).map(({ school }) => `${build.key}~${school.id}`);
  return (
    <section aria-label="Schools">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-lg font-bold">Schools</h2>
        <p className="min-w-56 flex-1 text-base text-ink-soft">Sets of positions that go together.</p>
        {side.length > 0 && (
          <Link to={`/compare?of=${side.join(",")}`} className={BUTTON_LINK}>
            This build under each, side by side
          </Link>
        )}
      </div>
      <ul className="mt-2 grid grid-cols-2 gap-3 max-[900px]:grid-cols-1">
        {schools.map(({ school, own }) => (
          <li key={school.id} data-school={school.id} className="border border-rule bg-slip p-3">
            <h3 className="text-md font-bold">{school.name}</h3>
            {school.text && <p className="text-base">{school.text}</p>}
            {school.risk && <p className="mt-1 text-base text-ink-soft">What it risks: {school.risk}</p>}
            <div className="mt-2 flex flex-wrap gap-2">
              {holds(school.positions) ? (
                <p className="py-1 font-semibold text-within">This build is judged by it.</p>
              ) : (
                <Button
                  onClick={() =>
                    void act({
                      type: "change build",
                      changes: {},
                      house_rules: school.positions,
                      assumptions: {},
                    })
                  }
                >
                  Judge this build by it
                </Button>
              )}
              {own && (
                <Button look="quiet" onClick={() => remove.mutate(school.id)}>
                  Remove<span className="sr-only"> {school.name}</span>
                </Button>
              )}
            </div>
          </li>
        ))}
      </ul>
      <KeepOwn positions={build.doc.house_rules} onKept={again} />
    </section>
  );
}

/** Keeps the positions of this build under a name. */
function KeepOwn({ positions, onKept }: { positions: Record<string, unknown>; onKept: () => void }) {
  const id = useId();
  const [name, setName] = useState("");
  const [text, setText] = useState("");
  const keep = useMutation({
    mutationFn: () => take(client.POST("/api/v1/schools", { body: { name, text, risk: "", positions } })),
    onSuccess: () => {
      setName("");
      setText("");
      onKept();
    },
  });
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (name.trim()) keep.mutate();
      }}
    >
      <label htmlFor={`${id}-name`} className="grid gap-1 text-sm text-ink-soft">
        Keep the positions of this build as
        <input
          id={`${id}-name`}
          className="field w-56 text-md text-ink"
          maxLength={80}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      <label htmlFor={`${id}-text`} className="grid min-w-56 flex-1 gap-1 text-sm text-ink-soft">
        Why one would
        <input
          id={`${id}-text`}
          className="field w-full text-md text-ink"
          maxLength={400}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <Button type="submit" disabled={!name.trim() || keep.isPending}>
        Keep it
      </Button>
      {keep.error && (
        <p role="alert" className="basis-full font-semibold text-over">
          {reason(keep.error)}
        </p>
      )}
    </form>
  );
}
