import type { MapAnswer } from "../../api/client";

type Swap = MapAnswer["swaps"][number];

/** What changes, cable by cable: each end with what it comes out of and what it goes into. */
export function Swaps({ swaps }: { swaps: Swap[] }) {
  return (
    <ul className="grid gap-2">
      {swaps
        .filter((s) => s.ends.length > 0)
        .map((s) => (
          <li key={s.cable} data-swap={s.cable} data-does={s.does}>
            <p className="flex justify-between gap-3 border-b border-rule">
              <b className="min-w-0">{s.name}</b>
              <span className="flex-none text-ink-soft">
                {s.does}
                {s.stays > 0 && `, ${s.stays} ${s.stays === 1 ? "plug stays" : "plugs stay"}`}
              </span>
            </p>
            <ul>
              {s.ends.map((e, i) => (
                <li key={i} className="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-x-2 py-0.5">
                  <span className="text-ink-soft">{e.end}</span>
                  <span>
                    {e.out_of && <span className="text-ink-soft">from {e.out_of}</span>}
                    {e.out_of && e.into && " "}
                    {e.into && `into ${e.into}`}
                    {!e.into && s.does !== "goes out" && ", and hangs"}
                  </span>
                </li>
              ))}
            </ul>
          </li>
        ))}
    </ul>
  );
}
