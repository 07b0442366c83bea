import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { client, take, type PutIn as Body, type Thing } from "../../api/client";
import { useBuild } from "../../state/build/contexts";
import { candidatesQuery, drawerKey, looseQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { Choice } from "../../ui/fields";
import { Lines } from "./Lines";

/** Put a thing in the drawer: of the catalogue, or said in a line. */
export function PutIn({
  kind,
  begun = "",
  onClose,
}: {
  kind: Thing["kind"];
  /** Words that say it already. */
  begun?: string;
  onClose: () => void;
}) {
  const build = useBuild();
  const queries = useQueryClient();
  const { data: loose = [] } = useQuery(looseQuery);
  const { data: candidates = [] } = useQuery(candidatesQuery(build.key, build.version));
  const [slug, setSlug] = useState("");
  const [text, setText] = useState(begun);
  const [count, setCount] = useState("1");
  const [lies, setLies] = useState("");
  const [since, setSince] = useState("");
  const [condition, setCondition] = useState<Thing["thing"]["condition"]>("good");
  const known =
    kind === "supply"
      ? candidates
          .filter((c) => c.source === "catalogue")
          .map((c) => ({ value: c.slug, words: c.supply.name }))
      : loose
          .filter((l) => l.kind === kind)
          .map((l) => ({
            value: l.entry.slug,
            words: [l.family, l.entry.thing.name].filter(Boolean).join(", "),
          }));
  const put = useMutation({
    mutationFn: () => {
      const body: Partial<Body> = {
        kind,
        slug,
        text: slug ? "" : text,
        count: Number(count) || 1,
        lies,
        condition,
        since: since ? Number(since) : null,
      };
      return take(client.POST("/api/v1/drawer", { body: body as Body }));
    },
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: drawerKey });
      void queries.invalidateQueries({ queryKey: ["candidates"] });
      onClose();
    },
  });
  return (
    <Dialog open onClose={onClose} title={`Put in the drawer: ${kind}`} wide>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          put.mutate();
        }}
      >
        <Choice
          label="From the catalogue"
          value={slug}
          options={[{ value: "", words: "none of these: said below" }, ...known]}
          onChange={setSlug}
        />
        {!slug && <Lines kind={kind} text={text} onText={setText} />}
        <div className="flex flex-wrap gap-3">
          {kind !== "supply" && (
            <label className="grid gap-0.5 text-sm text-ink-soft">
              How many
              <input
                inputMode="numeric"
                className="field w-16 text-right text-md text-ink"
                value={count}
                onChange={(e) => setCount(e.target.value)}
              />
            </label>
          )}
          <label className="grid gap-0.5 text-sm text-ink-soft">
            Bought in
            <input
              inputMode="numeric"
              placeholder="year"
              className="field w-20 text-right text-md text-ink"
              value={since}
              onChange={(e) => setSince(e.target.value)}
            />
          </label>
          <label className="grid gap-0.5 text-sm text-ink-soft">
            Where it lies
            <input
              className="field w-52 text-md text-ink"
              maxLength={80}
              value={lies}
              onChange={(e) => setLies(e.target.value)}
            />
          </label>
          <Choice
            label="Condition"
            value={condition}
            options={(["good", "worn", "not to be used"] as const).map((v) => ({ value: v, words: v }))}
            onChange={setCondition}
          />
        </div>
        {put.error && (
          <p role="alert" className="font-semibold text-over">
            {put.error.message}
          </p>
        )}
        <p className="flex gap-2">
          <Button look="main" type="submit" disabled={put.isPending || (!slug && !text.trim())}>
            Put it in
          </Button>
          <Button onClick={onClose}>Leave it</Button>
        </p>
      </form>
    </Dialog>
  );
}
