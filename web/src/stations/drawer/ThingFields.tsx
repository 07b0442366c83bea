import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { client, take, type Thing } from "../../api/client";
import { useWrite } from "../../state/build/contexts";
import { drawerKey } from "../../state/queries";
import { Button } from "../../ui/button";
import { Choice, NumberField, TextField } from "../../ui/fields";
import { Lines } from "./Lines";

/** How many, how old, in what condition and where; and the thing itself, said anew. */
export function ThingFields({ of: t }: { of: Thing }) {
  const queries = useQueryClient();
  const { say } = useWrite();
  const [text, setText] = useState(t.lines);
  const put = useMutation({
    mutationFn: (body: { changes: Record<string, unknown>; text: string }) =>
      take(client.PATCH("/api/v1/drawer/{key}", { params: { path: { key: t.thing.key } }, body })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: drawerKey });
      void queries.invalidateQueries({ queryKey: ["candidates"] });
    },
    onError: (e) => say(e.message),
  });
  const set = (changes: Record<string, unknown>) => put.mutateAsync({ changes, text: "" }).catch(() => false);
  return (
    <div className="mt-2 grid gap-3 border-l-4 border-accent bg-slip p-3">
      <div className="flex flex-wrap items-end gap-3">
        {t.kind !== "supply" && (
          <NumberField
            narrow
            whole
            label="How many"
            unit=""
            value={t.thing.count}
            onCommit={(count) => set({ count })}
          />
        )}
        <NumberField
          whole
          empty
          narrow
          label="Bought in"
          unit=""
          placeholder="year"
          value={t.thing.since}
          onCommit={(since) => set({ since })}
        />
        <div className="w-56">
          <TextField label="Where it lies" value={t.thing.lies} onCommit={(lies) => set({ lies })} />
        </div>
        <Choice
          label="Condition"
          value={t.thing.condition}
          options={(["good", "worn", "not to be used"] as const).map((v) => ({ value: v, words: v }))}
          onChange={(condition) => void set({ condition })}
        />
        {t.kind === "supply" && (
          <Choice
            label="It is"
            value={t.thing.standing}
            options={[
              { value: "owned", words: "owned" },
              { value: "looked at", words: "one I am looking at" },
            ]}
            onChange={(standing) => void set({ standing })}
          />
        )}
      </div>
      <details>
        <summary className="cursor-pointer text-base font-semibold">Say it anew</summary>
        <div className="mt-2 grid gap-2">
          <Lines kind={t.kind} text={text} onText={setText} />
          <Button
            className="justify-self-start"
            disabled={!text.trim() || text === t.lines}
            onClick={() => put.mutate({ changes: {}, text })}
          >
            Put this in its place
          </Button>
        </div>
      </details>
    </div>
  );
}
