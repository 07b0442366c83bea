import { useState, type ReactNode } from "react";
import { Link } from "react-router";

import type { Mend, State } from "../../api/client";
import { useBuild, useResult, useShown, useWrite } from "../../state/build/contexts";
import { placeOf } from "../../state/place";
import { amount, bounds, percent, sentence, shortened } from "../../state/format";
import { Popover } from "../../ui/popover";
import { capital, useWords } from "../../words";
import { Icon, TallyMarks } from "../../ui/marks";
import { useNarrow } from "../../ui/narrow";
import { ToBuy } from "./ToBuy";
import { ToFindOut } from "./ToFindOut";

/** The tally strip: the few figures that stand on every page, each a link to what makes it. */
export function Strip() {
  const build = useBuild();
  const { result, typing } = useResult();
  const { state } = useShown();
  const s = result.strip;
  const base = `/b/${build.key}`;
  const shown: State[] =
    state === "everyday" || state === "full" ? ["everyday", "full"] : ["everyday", "full", state];
  const narrow = useNarrow();
  const [unfolded, setUnfolded] = useState(false);
  const folds = <Fold open={unfolded} onTurn={() => setUnfolded(!unfolded)} />;
  if (narrow && !unfolded)
    return (
      <footer
        aria-label="Tally"
        data-typing={typing}
        className="on-dark bg-strip text-strip-ink print:hidden"
      >
        {folds}
      </footer>
    );
  return (
    <footer
      aria-label="Tally"
      data-typing={typing}
      className="on-dark col-span-2 flex flex-wrap items-stretch bg-strip text-strip-ink max-[700px]:col-span-1 max-[700px]:max-h-[70vh] max-[700px]:overflow-y-auto print:hidden"
    >
      {narrow && folds}
      <ToMend />
      <ToFindOut />
      <ToBuy />
      {shown.map((st) => (
        <Watts key={st} state={st} base={base} />
      ))}
      <Cell to={`${base}/parts?open=ms_1`} label="Spike, 1 ms">
        <span data-strip="spike">{amount(s.spikes.ms_1)} W</span>
      </Cell>
      <Cell to={`${base}/supply`} label={s.supply ? shortened(s.supply, 28) : "Supply"}>
        <span data-strip="supply">{s.supply ? `${percent(s.supply_percent)} at full` : "none yet"}</span>
        {s.supply && s.supply_verdict !== "right size" && (
          <small className="text-sm text-strip-alert">{s.supply_verdict}</small>
        )}
      </Cell>
      <Cell to={`${base}/loom`} label="Sockets fed">
        <span data-strip="sockets">
          {s.sockets_fed} of {s.sockets_needed}
        </span>{" "}
        <TallyMarks count={s.sockets_fed} />
      </Cell>
      <Cell to={`${base}/loom`} label="Ports left">
        <span data-strip="ports">{s.ports_left}</span> <TallyMarks count={s.ports_left} />
      </Cell>
      {s.tight > 0 && (
        <Cell to={`${base}/loom`} label="Tight">
          <span>
            {s.tight} {s.tight === 1 ? "run" : "runs"}
          </span>
        </Cell>
      )}
    </footer>
  );
}

/** The strip in one line: what is to be mended, the watts at full, what is fed. */
function Fold({ open, onTurn }: { open: boolean; onTurn: () => void }) {
  const { strip: s } = useResult().result;
  const many = Object.values(s.mend).reduce((a, b) => a + b, 0);
  return (
    <button
      type="button"
      aria-expanded={open}
      onClick={onTurn}
      className="flex min-h-12 w-full items-center gap-3 px-3 text-md font-bold whitespace-nowrap"
    >
      <span className={many ? "text-strip-alert" : ""}>{many ? `${many} to mend` : "Nothing to mend"}</span>
      <span>{amount(s.watts.full)} W</span>
      <span className="min-w-0 truncate">
        {s.sockets_fed} of {s.sockets_needed} fed
      </span>
      <span className={`ml-auto ${open ? "" : "rotate-180"}`}>
        <Icon name="down" />
      </span>
    </button>
  );
}

function Watts({ state, base }: { state: State; base: string }) {
  const { result } = useResult();
  const { setState } = useShown();
  const words = useWords();
  const a = result.strip.watts[state];
  return (
    <Cell
      to={`${base}/parts?open=${state}`}
      label={capital(words.states[state] ?? state)}
      onClick={() => setState(state)}
    >
      <span data-strip={state} data-watts={a.likely}>
        {amount(a)} W
      </span>
      <small className="text-xs font-normal text-strip-soft">{bounds(a)}</small>
    </Cell>
  );
}

function Cell({
  to,
  label,
  children,
  onClick,
}: {
  to?: string;
  label: string;
  children: ReactNode;
  onClick?: () => void;
}) {
  const inside = (
    <>
      <span className="block text-xs text-strip-soft">{label}</span>
      <span className="flex items-center gap-2 text-figure leading-7 font-bold whitespace-nowrap">
        {children}
      </span>
    </>
  );
  const look = "shrink-0 border-r border-white/15 px-3.5 py-2.5 max-[700px]:min-w-1/2 max-[700px]:flex-1";
  return to ? (
    <Link to={to} onClick={onClick} className={`${look} hover:bg-white/10`}>
      {inside}
    </Link>
  ) : (
    <div className={look}>{inside}</div>
  );
}

/** What is left to mend, worst first; each item leads to its place. */
function ToMend() {
  const build = useBuild();
  const { result } = useResult();
  const [open, setOpen] = useState(false);
  const words = useWords();
  const counts = Object.entries(result.strip.mend).map(([kind, n]) => `${n} ${words.findings[kind] ?? kind}`);
  return (
    <Popover
      label="To mend"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          className="min-w-36 max-[700px]:shrink-0 border-r border-white/15 px-3.5 py-2.5 pl-5 text-left hover:bg-white/10"
        >
          <span className="block text-xs text-strip-soft">To mend</span>
          <span
            data-strip="mend"
            className={`text-figure leading-7 font-bold max-[700px]:whitespace-nowrap ${counts.length ? "text-strip-alert" : ""}`}
          >
            {counts.join(", ") || "nothing"}
          </span>
          <span data-strip="whole" className="block text-xs text-strip-soft">
            {result.overall.verdict}
          </span>
        </button>
      }
    >
      <h2 className="px-2 pt-1 text-lg font-bold">To mend</h2>
      <p className="px-2 pb-2 text-sm text-ink-soft">As a whole: {result.overall.text}.</p>
      <ul className="grid gap-1">
        {result.mend.map((m, i) => (
          <MendItem key={i} item={m} base={`/b/${build.key}`} close={() => setOpen(false)} />
        ))}
        {result.mend.length === 0 && <li className="px-2 pb-2">Nothing, in what is checked.</li>}
      </ul>
      {result.notes.length > 0 && (
        <details className="mt-2 border-t border-rule px-2 pt-2 text-sm text-ink-soft">
          <summary className="cursor-pointer">Worth knowing: {result.notes.length}</summary>
          <ul className="grid gap-1">
            {result.notes.map((n, i) => (
              <MendItem key={i} item={n} base={`/b/${build.key}`} close={() => setOpen(false)} />
            ))}
          </ul>
        </details>
      )}
      <details className="mt-2 border-t border-rule px-2 pt-2 text-sm text-ink-soft">
        <summary className="cursor-pointer">Not checked yet: {result.not_checked.length}</summary>
        <ul className="list-disc pl-5">
          {result.not_checked.map((n) => (
            <li key={n}>{n}</li>
          ))}
        </ul>
      </details>
    </Popover>
  );
}

function MendItem({ item, base, close }: { item: Mend; base: string; close: () => void }) {
  const { act } = useWrite();
  const words = useWords();
  const facts = item.remedies.filter((r) => r.edit === null);
  const edits = item.remedies.filter((r) => r.edit !== null);
  return (
    <li className="rounded-[3px] hover:bg-accent-wash">
      <Link to={placeOf(base, item)} onClick={close} className="block rounded-[3px] px-2 py-2">
        <span className="flex justify-between gap-3">
          <b>{item.title}</b>
          {item.kind !== "note" && <b className="whitespace-nowrap text-over">{words.findings[item.kind]}</b>}
        </span>
        <span className="block">{sentence(item.text)}</span>
        {facts.map((r) => (
          <span key={r.id} className="block font-semibold text-accent">
            {sentence(r.text)}
          </span>
        ))}
      </Link>
      {edits.map((r) => (
        <button
          key={r.id}
          type="button"
          className="mx-2 mb-2 block w-[calc(100%-1rem)] rounded-[3px] border border-accent px-3 py-1 text-left font-semibold text-accent hover:bg-accent hover:text-accent-ink"
          onClick={() => void (r.edit && act(r.edit))}
        >
          {sentence(r.text)}
        </button>
      ))}
    </li>
  );
}
