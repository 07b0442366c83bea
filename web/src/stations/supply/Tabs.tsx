import { NavLink } from "react-router";

import { useBuild } from "../../state/build/contexts";
import { PAGES } from "./pages";

/** The pages of the Supply station, each with an address of its own. */
export function Tabs() {
  const { key } = useBuild();
  return (
    <nav aria-label="Supply" className="flex gap-x-1 print:hidden">
      {PAGES.map((p) => (
        <NavLink
          key={p.to}
          to={`/b/${key}/supply${p.to}`}
          end
          className="rounded-[3px] px-2 py-1 text-base text-ink-soft hover:bg-accent-wash aria-[current=page]:font-bold aria-[current=page]:text-ink aria-[current=page]:underline aria-[current=page]:decoration-accent aria-[current=page]:decoration-[3px] aria-[current=page]:underline-offset-8"
        >
          {p.words}
        </NavLink>
      ))}
    </nav>
  );
}
