import { useState } from "react";
import { Link } from "react-router";

import type { FindOut } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { sentence } from "../../state/format";
import { placeOf } from "../../state/place";
import { Button } from "../../ui/button";
import { Popover } from "../../ui/popover";

type Answer = FindOut["answers"][number];
const MEANS: Record<string, string> = {
  over: "text-over",
  "does not fit": "text-over",
  unknown: "text-unknown",
  "may not fit": "text-unknown",
  tight: "text-tight",
  within: "text-within",
  fits: "text-within",
};

/** What nobody measured or says and could change something, that first which could change the verdict. */
export function ToFindOut() {
  const build = useBuild();
  const { result } = useResult();
  const [open, setOpen] = useState(false);
  const items = result.find_out;
  if (!items.length && !open) return null;
  return (
    <Popover
      label="To find out"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          className="flex flex-col border-r border-white/15 px-3.5 py-2.5 text-left hover:bg-white/10 max-[700px]:shrink-0 max-[700px]:py-1"
        >
          <span className="block text-xs text-strip-soft">To find out</span>
          <span data-strip="find" className="text-figure leading-7 font-bold">
            {items.length || "nothing"}
          </span>
        </button>
      }
    >
      <h2 className="px-2 pt-1 pb-2 text-lg font-bold">To find out</h2>
      <ul className="grid gap-3">
        {items.map((item) => (
          <Item
            key={`${item.id} ${item.subject} ${item.field}`}
            item={item}
            base={`/b/${build.key}`}
            close={() => setOpen(false)}
          />
        ))}
        {!items.length && <li className="px-2 pb-2">Nothing that could change anything.</li>}
      </ul>
    </Popover>
  );
}

/** The same in its place: what is to be found out of one thing; nothing where nothing is. */
export function FindOutHere({ of, subject = "" }: Pick<FindOut, "of"> & { subject?: string }) {
  const build = useBuild();
  const { result } = useResult();
  const items = result.find_out.filter((i) => i.of === of && i.subject === subject && i.answers.length > 0);
  if (!items.length) return null;
  return (
    <section aria-label="To find out here" className="mb-3 border-l-4 border-tight bg-slip py-1 pl-2">
      <h3 className="px-2 text-base font-bold">To find out</h3>
      <ul className="grid gap-2">
        {items.map((item) => (
          <Item
            key={`${item.id} ${item.field}`}
            item={item}
            base={`/b/${build.key}`}
            close={() => undefined}
          />
        ))}
      </ul>
    </section>
  );
}

function Item({ item, base, close }: { item: FindOut; base: string; close: () => void }) {
  const { act } = useWrite();
  const chosen = item.answers.filter((a) => !a.how && a.edit);
  const measured = item.answers.find((a) => a.how && a.edit);
  return (
    <li className="px-2 pb-1">
      <Link to={placeOf(base, item)} onClick={close} className="block rounded-[3px] hover:bg-accent-wash">
        <span className="flex justify-between gap-3">
          <b>{item.title}</b>
          <span className="text-sm whitespace-nowrap text-ink-soft">
            {item.settles === "verdict" ? "may change the verdict" : "may change what to buy"}
          </span>
        </span>
        <span className="block">{sentence(item.text)}</span>
        <span className="block text-ink-soft">{sentence(item.where)}</span>
      </Link>
      {chosen.length > 0 && (
        <div className="mt-1 flex flex-wrap gap-2">
          {chosen.map((a) => (
            <Button key={a.label} onClick={() => void (a.edit && act(a.edit))}>
              {a.label} <span className={`ml-1 text-sm ${MEANS[a.means]}`}>{a.means}</span>
            </Button>
          ))}
        </div>
      )}
      {measured && <Measured answer={measured} title={item.title} means={item.means} />}
    </li>
  );
}

/** A figure that is read off a tape measure or a page, in its own unit. */
function Measured({ answer, title, means }: { answer: Answer; title: string; means: string }) {
  const { act } = useWrite();
  const [text, setText] = useState("");
  const value = Number(text.replace(",", "."));
  const edit = answer.edit;
  return (
    <form
      className="mt-1 flex flex-wrap items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (value > 0 && edit?.type === "find out") void act({ ...edit, value });
      }}
    >
      <label className="flex items-center gap-1.5">
        <span className="sr-only">{title}</span>
        <input
          inputMode="decimal"
          value={text}
          onChange={(e) => setText(e.target.value)}
          className="w-20 border border-rule-strong bg-slip px-2 py-1 text-right font-mono"
        />
        {answer.unit}
      </label>
      <Button type="submit" disabled={!(value > 0)}>
        Set it
      </Button>
      <span className="text-sm text-ink-soft">{sentence(means)}</span>
    </form>
  );
}
