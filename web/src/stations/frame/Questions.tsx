import { useBuild } from "../../state/build";
import { Button, Dialog } from "../../ui/controls";

/** What a write met and the builder decides: consent to unplug, or a change made meanwhile. */
export function Questions() {
  const { question, answer, giveUp } = useBuild();
  if (question?.kind === "release")
    return (
      <Dialog open onClose={() => answer(null)} title="This would unplug something">
        <ul className="mb-4 list-disc pl-5">{question.problem.released.map((r) => <li key={r}>{r}</li>)}</ul>
        <div className="flex justify-end gap-2">
          <Button onClick={() => { answer(null); void giveUp(); }}>Leave it as it is</Button>
          <Button look="main" onClick={() => { answer(null); void question.retry(); }}>Unplug and go on</Button>
        </div>
      </Dialog>
    );
  if (question?.kind === "stale") return <Stale question={question} done={() => answer(null)} />;
  return null;
}

function Stale({
  question, done,
}: {
  question: Extract<NonNullable<ReturnType<typeof useBuild>["question"]>, { kind: "stale" }>;
  done: () => void;
}) {
  const { problem, retry } = question;
  const { giveUp, reload } = useBuild();
  return (
    <section role="alertdialog" aria-label="Changed meanwhile" className="fixed top-4 left-1/2 z-40 w-[640px] max-w-[92vw] -translate-x-1/2 border-2 border-tight bg-slip p-4 shadow-xl">
      <h2 className="text-[17px] font-bold">Changed meanwhile, in another window or by undo</h2>
      <table className="my-3 w-full text-left">
        <thead className="text-[13px] text-ink-soft"><tr><th>What</th><th>Yours</th><th>Theirs, now in the build</th></tr></thead>
        <tbody>
          {problem.conflicts.map((c) => (
            <tr key={c.path} className="border-t border-rule align-top">
              <td className="py-1 pr-3">{words(c.path)}</td>
              <td className="py-1 pr-3 font-semibold">{value(c.yours)}</td>
              <td className="py-1 font-semibold">{value(c.theirs)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="flex justify-end gap-2">
        <Button onClick={() => void giveUp().then(done)}>Take theirs</Button>
        <Button look="main" onClick={() => { done(); void reload().then(() => retry(problem.version)); }}>Keep mine</Button>
      </div>
    </section>
  );
}

function words(path: string): string {
  return path.replace(/^(part|cable|run|socket|plug|port):/, "$1 ").replaceAll("/", " · ").replaceAll("_", " ");
}

/** A value in a few words: a figure by its likely value and origin. */
function value(v: unknown): string {
  if (v === null || v === undefined) return "nothing";
  if (typeof v !== "object") return String(v);
  if ("likely" in v) return `${String(v.likely)}${"origin" in v ? ` (${String(v.origin)})` : ""}`;
  if ("name" in v) return String(v.name);
  return Array.isArray(v) ? `${v.length} entries` : "another value";
}
