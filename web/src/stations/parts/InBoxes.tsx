import { useMutation } from "@tanstack/react-query";
import { useId, useState } from "react";

import { client, take, type Case, type Result } from "../../api/client";
import { useResult, useWrite } from "../../state/build/contexts";
import { Button } from "../../ui/button";

type Lying = Result["at_hand"][number];
export type Boxed = Case["in_box"][number];
/** Sets what the box of one thing holds, made of what it holds when its turn comes. */
export type SetBox = (made: (now: Boxed[]) => Boxed[]) => Promise<unknown>;

/** What lies in the boxes of a build, or of one thing of it, and can be put in; nothing where there is none. */
export function InBoxes({ of, title, set }: { of: (x: Lying) => boolean; title: string; set?: SetBox }) {
  const { result } = useResult();
  const { act } = useWrite();
  const lying = result.at_hand.filter(of);
  if (!lying.length) return null;
  return (
    <section aria-label={title} className="grid gap-1">
      <h2 className="text-base font-bold">{title}</h2>
      <ul className="grid gap-1">
        {lying.map((x, i) => (
          <li key={i} className="flex items-center justify-between gap-2 border-b border-rule py-1">
            <span>
              {x.name}
              {!set && <span className="text-sm text-ink-soft">, of {x.whose}</span>}
            </span>
            <span className="flex flex-none items-center gap-2">
              {x.edit ? (
                <Button onClick={() => void (x.edit && act(x.edit))}>
                  Put it in<span className="sr-only"> {x.name}</span>
                </Button>
              ) : (
                <span className="text-sm text-ink-soft">at hand</span>
              )}
              {set && (
                <Button onClick={() => void set((now) => without(now, x.name))}>
                  Not in it<span className="sr-only"> {x.name}</span>
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function without(box: Boxed[], name: string): Boxed[] {
  const at = box.findIndex((b) => b.name === name);
  return box.filter((_, i) => i !== at);
}

/** The box of one thing: what lies in it, and a line for what else came in it. */
export function ItsBox({ of, set }: { of: (x: Lying) => boolean; set: SetBox }) {
  const [text, setText] = useState("");
  const read = useMutation({
    mutationFn: () => take(client.POST("/api/v1/loose/boxed", { body: { text } })),
    onSuccess: ({ thing }) => set((now) => [...now, thing]).then(() => setText("")),
  });
  const id = useId();
  return (
    <div className="grid gap-1">
      <InBoxes title="In its box" of={of} set={set} />
      <form
        className="flex items-center gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (text.trim() && !read.isPending) read.mutate();
        }}
      >
        <label htmlFor={id} className="sr-only">
          Something that came in its box
        </label>
        <input
          id={id}
          className="field min-w-0 flex-1 text-base"
          spellCheck={false}
          autoComplete="off"
          placeholder="In its box: three 8-pin to 16-pin adapter · 3 fans 120 mm"
          value={text}
          aria-describedby={read.error ? `${id}-wrong` : undefined}
          onChange={(e) => setText(e.target.value)}
        />
        <Button type="submit" disabled={!text.trim() || read.isPending}>
          Came with it
        </Button>
      </form>
      {read.error && (
        <p id={`${id}-wrong`} role="alert" className="text-sm font-semibold text-over">
          {read.error.message}
        </p>
      )}
    </div>
  );
}
