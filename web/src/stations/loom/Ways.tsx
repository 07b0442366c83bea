import type { Action, MapAnswer } from "../../api/client";
import { Button } from "../../ui/button";
import { Swaps } from "./Swaps";

/** Ways to mend a map, each proven: what it takes beside the button that takes it. */
export function Ways({ ways, onTake }: { ways: MapAnswer["repairs"]; onTake: (edit: Action) => void }) {
  return (
    <ul className="grid gap-1.5">
      {ways.map((r) => (
        <li key={r.text}>
          <Button
            className="w-full justify-start! py-1.5 text-left text-base whitespace-normal!"
            onClick={() => onTake(r.edit)}
          >
            {r.text}
          </Button>
          <details className="px-1 text-sm text-ink-soft">
            <summary className="min-h-6 cursor-pointer">What it takes: {r.price.text}</summary>
            <Swaps swaps={r.swaps} />
          </details>
        </li>
      ))}
    </ul>
  );
}
