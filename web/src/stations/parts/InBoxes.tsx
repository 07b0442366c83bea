import type { Result } from "../../api/client";
import { useResult, useWrite } from "../../state/build/contexts";
import { Button } from "../../ui/button";

type Lying = Result["at_hand"][number];

/** What lies in the boxes of a build, or of one thing of it, and can be put in; nothing where there is none. */
export function InBoxes({ of, title }: { of: (x: Lying) => boolean; title: string }) {
  const { result } = useResult();
  const { act } = useWrite();
  const lying = result.at_hand.filter(of);
  if (!lying.length) return null;
  return (
    <section aria-label={title} className="grid gap-1">
      <h3 className="text-base font-bold">{title}</h3>
      <ul className="grid gap-1">
        {lying.map((x, i) => (
          <li key={i} className="flex items-center justify-between gap-2 border-b border-rule py-1">
            <span>
              {x.name}
              <span className="text-sm text-ink-soft">, of {x.whose}</span>
            </span>
            {x.edit ? (
              <Button onClick={() => void (x.edit && act(x.edit))}>
                Put it in<span className="sr-only"> {x.name}</span>
              </Button>
            ) : (
              <span className="text-sm text-ink-soft">at hand</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
