import { useState } from "react";

import type { Problem } from "../../api/client";
import { pathWords, valueWords } from "../../state/build/conflict";
import { useQuestion, useWrite } from "../../state/build/contexts";
import { AlertDialog } from "../../ui/alert";
import { Button } from "../../ui/button";

/** What a write met and the builder decides: consent to unplug, or a change made meanwhile. */
export function Questions() {
  const { question, answered } = useQuestion();
  const { giveUp, reload } = useWrite();
  const [busy, setBusy] = useState(false);
  if (!question) return null;
  // A question stays until what was answered is done, so that nobody leaves on half of it.
  const doing = (work: () => Promise<unknown>) => async () => {
    setBusy(true);
    await work();
    setBusy(false);
    answered(question);
  };
  if (question.kind === "stale")
    return (
      <Stale
        problem={question.problem}
        busy={busy}
        theirs={doing(giveUp)}
        mine={doing(() => reload().then(() => question.retry(question.problem.version)))}
      />
    );
  const leave = doing(giveUp);
  return (
    <AlertDialog
      title="This would unplug something"
      leave="Leave it as it is"
      busy={busy}
      onLeave={() => void leave()}
      answers={
        <Button disabled={busy} look="main" onClick={() => void doing(question.retry)()}>
          Unplug and go on
        </Button>
      }
    >
      <ul className="list-disc pl-5">
        {question.problem.released.map((r) => (
          <li key={r}>{r}</li>
        ))}
      </ul>
    </AlertDialog>
  );
}

function Stale({
  problem,
  busy,
  theirs,
  mine,
}: {
  problem: Problem;
  busy: boolean;
  theirs: () => Promise<void>;
  mine: () => Promise<void>;
}) {
  return (
    <AlertDialog
      title="Changed meanwhile, in another window or by undo"
      wide
      leave="Cancel mine, theirs stays"
      busy={busy}
      onLeave={() => void theirs()}
      answers={
        <Button disabled={busy} look="main" onClick={() => void mine()}>
          Keep mine
        </Button>
      }
    >
      <table className="w-full text-left">
        <thead className="text-sm text-ink-soft">
          <tr>
            <th>What</th>
            <th>Yours</th>
            <th>Theirs, now in the build</th>
          </tr>
        </thead>
        <tbody>
          {problem.conflicts.map((c) => (
            <tr key={c.path} className="border-t border-rule align-top">
              <td className="py-1 pr-3">{pathWords(c.path)}</td>
              <td className="py-1 pr-3 font-semibold wrap-anywhere">{valueWords(c.yours)}</td>
              <td className="py-1 font-semibold wrap-anywhere">{valueWords(c.theirs)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </AlertDialog>
  );
}
