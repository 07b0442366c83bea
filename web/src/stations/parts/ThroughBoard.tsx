import { useResult } from "../../state/build/contexts";
import { inUnit, percent, sentence, VERDICT_TEXT } from "../../state/format";
import { UsualMark } from "../../ui/marks";

/** What comes through the board, worst first, and the figure that moves the total most. */
export function ThroughBoard({ onChoose }: { onChoose: (part: string, field: string) => void }) {
  const { result } = useResult();
  const found = result.through_board;
  const first = found[0];
  const moves = result.moves_most;
  if (!first && !moves) return null;
  return (
    <section
      aria-label="Through the board"
      className="shrink-0 border border-dashed border-rule-strong px-4 py-2.5"
    >
      {first && (
        <>
          <h2 className="flex justify-between text-base font-bold">
            Through the board
            <span className={`text-md ${VERDICT_TEXT[first.verdict]}`}>
              {first.verdict}
              {first.percent !== null && `, ${percent(first.percent)}`}
            </span>
          </h2>
          <ul className="mt-1">
            {found.slice(0, first.verdict === "within" ? 2 : 3).map((b) => (
              <li key={b.title}>
                <button
                  type="button"
                  onClick={() => onChoose(b.part, b.field)}
                  className="grid w-full grid-cols-[minmax(0,1fr)_auto_52px] gap-3 py-0.5 text-left text-base hover:bg-accent-wash"
                >
                  <span>
                    {b.title}
                    {b.usual && <UsualMark />}
                  </span>
                  <span className="font-mono whitespace-nowrap">
                    {inUnit(b.load, b.unit)}{" "}
                    <span className="text-ink-soft">of {inUnit(b.limit, b.unit)}</span>
                  </span>
                  <b className={`text-right font-mono ${VERDICT_TEXT[b.verdict]}`}>{percent(b.percent)}</b>
                </button>
                {(b.verdict === "over" || b.verdict === "unknown") && (
                  <p className="text-sm text-ink-soft">
                    {sentence(b.cause)} <b className="text-accent">{sentence(b.fix)}</b>
                  </p>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      {moves && (
        <p className="mt-1 text-sm text-ink-soft">
          {sentence(moves.text)}{" "}
          <button
            type="button"
            className="font-semibold text-accent underline-offset-2 hover:underline"
            onClick={() => onChoose(moves.part, moves.field)}
          >
            Look at it
          </button>
        </p>
      )}
    </section>
  );
}
