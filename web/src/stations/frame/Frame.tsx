import { NavLink, Outlet, useParams, useSearchParams } from "react-router";
import { useQuery } from "@tanstack/react-query";
import { Fragment, Suspense, useState } from "react";

import { useSaid, useWrite } from "../../state/build/contexts";
import { BuildProvider } from "../../state/build/provider";
import { newsQuery } from "../../state/build/news";
import { clock } from "../../state/format";
import { STATIONS } from "../../state/frame/finder";
import { stationsOf, useHere } from "../../state/frame/here";
import { Button } from "../../ui/button";
import { JustThrown } from "./Bin";
import { Icon } from "../../ui/marks";
import { Connection } from "./Connection";
import { DoorDialog } from "./DoorDialog";
import { Keys } from "./Keys";
import { Questions } from "./Questions";
import { Strip } from "./Strip";

/** Station rail, page and tally strip of one build. */
export function Frame() {
  const { key = "" } = useParams();
  return (
    <BuildProvider key={key} buildKey={key}>
      <div className="relative grid h-full overflow-clip print:static print:overflow-visible grid-cols-[76px_minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto] max-[700px]:grid-cols-1 print:block print:h-auto">
        <a
          href="#page"
          className="sr-only z-40 bg-slip px-4 py-3 font-semibold focus:not-sr-only focus:absolute!"
          onClick={(e) => {
            e.preventDefault();
            document.getElementById("page")?.focus();
          }}
        >
          To the page, past the stations
        </a>
        <Rail />
        <main
          id="page"
          tabIndex={-1}
          className="flex min-h-0 min-w-0 flex-col overflow-auto print:overflow-visible [&>:last-child]:min-h-0 [&>:last-child]:flex-1"
        >
          <Connection />
          <Suspense fallback={<p className="p-8 text-ink-soft">One moment…</p>}>
            <Outlet />
          </Suspense>
        </main>
        <Strip />
      </div>
      <Questions />
      <Said />
      <JustThrown />
      <Keys />
    </BuildProvider>
  );
}

/** The stations at the side of a wide page; a narrow one has them under the name of its own. */
function Rail() {
  const here = useHere();
  const may = stationsOf(here);
  return (
    <nav
      aria-label="Stations"
      className="flex flex-col overflow-y-auto border-r border-rule max-[700px]:hidden print:hidden"
    >
      {!may && (
        <>
          <Station to="/" name="Builds" icon="builds" end />
          <hr className="mx-3 my-1 border-rule-strong" />
        </>
      )}
      {STATIONS.filter((s) => !may || may.has(s.to)).map((s) => (
        <Fragment key={s.to}>
          {s.to === "drawer" && <hr className="mx-3 my-1 border-rule-strong" />}
          <Station to={s.to} name={s.name} icon={s.to} />
        </Fragment>
      ))}
      <DoorMark />
    </nav>
  );
}

/** That the network's door is open, and until when. */
function DoorMark() {
  const [open, setOpen] = useState(false);
  const here = useHere();
  const { key } = useParams();
  const until = useQuery(newsQuery(key ?? "")).data?.door;
  if (!until || here.is_device) return null;
  return (
    <>
      <button
        type="button"
        className="mt-auto px-1 py-3 text-center text-sm leading-tight font-semibold text-tight hover:bg-accent-wash"
        onClick={() => setOpen(true)}
      >
        Door open until {clock(until)}
      </button>
      {open && <DoorDialog onClose={() => setOpen(false)} />}
    </>
  );
}

function Station({ to, name, icon, end = false }: { to: string; name: string; icon: string; end?: boolean }) {
  return (
    <NavLink
      to={to}
      end={end}
      className="relative flex flex-col items-center gap-1 px-1 py-3 text-center text-sm leading-tight text-ink-soft hover:bg-accent-wash aria-[current=page]:bg-slip aria-[current=page]:font-bold aria-[current=page]:text-ink aria-[current=page]:before:absolute aria-[current=page]:before:inset-y-2 aria-[current=page]:before:left-0 aria-[current=page]:before:w-[5px] aria-[current=page]:before:bg-accent"
    >
      <Icon name={icon} />
      {name}
    </NavLink>
  );
}

/** What went wrong last, in the product's words. */
function Said() {
  const said = useSaid();
  const { say } = useWrite();
  return (
    <div
      role="alert"
      className="pointer-events-none fixed bottom-24 left-1/2 z-30 w-[640px] max-w-[90vw] -translate-x-1/2"
    >
      {said && (
        <div className="pointer-events-auto flex items-start gap-3 border-2 border-over bg-slip p-3 shadow-lg">
          <p className="flex-1 text-md font-semibold text-ink">{said}</p>
          <Button look="quiet" onClick={() => say("")}>
            Close
          </Button>
        </div>
      )}
    </div>
  );
}

/** What a link into a station points at. */
export function usePlace(): string {
  return useSearchParams()[0].get("at") ?? "";
}
