import type { ReactNode } from "react";

import type { SupplyAnswer } from "../../api/client";
import { percent, sentence, watts } from "../../state/format";
import { Button } from "../../ui/button";
import { aYear, telling } from "../../state/supply/ticket";
import { VERDICTS, Line } from "./checks";

/** How many lines a ticket shows before all of them have to be opened. */
const MOST = 3;

/** A supply as a ticket: verdict, what fails or warns first, how it would live; all on demand. */
export function Ticket({
  name,
  about,
  answer,
  inBuild,
  lit,
  onLight,
  onOpen,
  onTake,
  from,
  compared,
  onCompare,
  stay,
  children,
}: {
  name: string;
  about: string;
  answer: SupplyAnswer;
  inBuild: boolean;
  lit: boolean;
  onLight: (on: boolean) => void;
  onOpen: () => void;
  onTake?: () => void;
  /** Whose it is, where it is no new one of the catalogue. */
  from: string;
  compared: boolean;
  onCompare: () => void;
  /** What would let it stay, where it does not do. */
  stay?: ReactNode;
  children?: ReactNode;
}) {
  const key = telling(answer.checks);
  return (
    <li
      data-ticket={name}
      data-in-build={inBuild}
      tabIndex={inBuild ? -1 : undefined}
      data-lit={lit}
      onMouseEnter={() => onLight(true)}
      onMouseLeave={() => onLight(false)}
      className="flex flex-col border border-rule bg-slip p-4 data-[in-build=true]:border-2 data-[in-build=true]:border-accent data-[lit=true]:border-ink"
    >
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-lg font-bold">{name}</h2>
        <b className={`text-lg whitespace-nowrap ${VERDICTS[answer.verdict]}`}>{answer.verdict}</b>
      </div>
      <p className="mb-2 text-sm text-ink-soft">
        <span className={from === "catalogue" ? "" : "font-bold text-accent"}>{from}</span>, {about}
      </p>
      <ul className="grid gap-1 text-base">
        {key.slice(0, MOST).map((c, i) => (
          <Line key={i} status={c.status} text={sentence(c.text)} />
        ))}
      </ul>
      {key.length > MOST && <p className="mt-1 text-sm text-ink-soft">and {key.length - MOST} more</p>}
      {stay}
      <dl className="mt-2 grid grid-cols-2 gap-x-4 border-t border-rule pt-2 text-sm">
        <Fact term="of its rating">
          {percent(answer.percent.everyday)} everyday, {percent(answer.percent.full)} full
        </Fact>
        <Fact term="its fan, everyday">
          {answer.fan_stands === null ? "not known" : answer.fan_stands ? "stands" : "turns"}
        </Fact>
        <Fact term="from the wall">
          {answer.wall_w === null ? "not known" : `${watts(answer.wall_w)} W everyday`}
        </Fact>
        <Fact term="a year">{aYear(answer)}</Fact>
      </dl>
      {children}
      <div className="mt-auto flex flex-wrap gap-2 pt-3">
        {!inBuild && onTake && (
          <Button onClick={onTake}>
            Take<span className="sr-only"> {name}</span>
          </Button>
        )}
        <Button look="quiet" onClick={onOpen}>
          All {answer.checks.length} checks
        </Button>
        <Button
          look="quiet"
          aria-pressed={compared}
          className="ml-auto aria-pressed:bg-accent-wash aria-pressed:underline"
          onClick={onCompare}
        >
          Compare<span className="sr-only"> {name}</span>
        </Button>
      </div>
    </li>
  );
}

function Fact({ term, children }: { term: string; children: ReactNode }) {
  return (
    <div className="py-0.5">
      <dt className="text-xs text-ink-soft">{term}</dt>
      <dd className="font-semibold">{children}</dd>
    </div>
  );
}
