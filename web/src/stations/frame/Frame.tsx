import { Link, NavLink, Outlet, useNavigate, useParams, useSearchParams } from "react-router";
import { Fragment, Suspense, useEffect, useState, type ReactNode } from "react";

import { useBuild, useSaid, useWrite } from "../../state/build/contexts";
import { BuildProvider } from "../../state/build/provider";
import { STATIONS } from "../../state/frame/finder";
import { Button } from "../../ui/button";
import { JustThrown } from "./Bin";
import { Menu, MenuItem } from "../../ui/menu";
import { Icon } from "../../ui/marks";
import { Keys } from "./Keys";
import { MarkDialog } from "./MarkDialog";
import { Questions } from "./Questions";
import { Strip } from "./Strip";

/** Station rail, page and tally strip of one build. */
export function Frame() {
  const { key = "" } = useParams();
  return (
    <BuildProvider key={key} buildKey={key}>
      <div className="relative grid h-full overflow-clip print:static print:overflow-visible grid-cols-[76px_minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto] max-[700px]:grid-cols-1 max-[700px]:grid-rows-[auto_minmax(0,1fr)_auto] print:block print:h-auto">
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
        <nav
          aria-label="Stations"
          className="flex flex-col border-r border-rule max-[700px]:flex-row max-[700px]:overflow-x-auto max-[700px]:border-r-0 max-[700px]:border-b print:hidden"
        >
          <Station to="/" name="Builds" icon="builds" end />
          <hr className="mx-3 my-1 border-rule-strong max-[700px]:hidden" />
          {STATIONS.map((s) => (
            <Fragment key={s.to}>
              {s.to === "drawer" && <hr className="mx-3 my-1 border-rule-strong max-[700px]:hidden" />}
              <Station to={s.to} name={s.name} icon={s.to} />
            </Fragment>
          ))}
        </nav>
        <main id="page" tabIndex={-1} className="min-h-0 min-w-0 overflow-auto print:overflow-visible">
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

function Station({ to, name, icon, end = false }: { to: string; name: string; icon: string; end?: boolean }) {
  return (
    <NavLink
      to={to}
      end={end}
      className="relative flex flex-col items-center gap-1 px-1 py-3 max-[700px]:min-w-16 max-[700px]:shrink-0 max-[700px]:py-1.5 text-center text-sm leading-tight text-ink-soft hover:bg-accent-wash aria-[current=page]:bg-slip aria-[current=page]:font-bold aria-[current=page]:text-ink aria-[current=page]:before:absolute aria-[current=page]:before:inset-y-2 aria-[current=page]:before:left-0 aria-[current=page]:before:w-[5px] aria-[current=page]:before:bg-accent"
    >
      <Icon name={icon} />
      {name}
    </NavLink>
  );
}

/** The head of a station: its name, the build's, what can be done. */
export function StationHead({
  title,
  note,
  undoes = true,
  children,
}: {
  title: string;
  note: string;
  /** Whether the build's undo is offered here. */
  undoes?: boolean;
  children?: ReactNode;
}) {
  const build = useBuild();
  const { undo, redo } = useWrite();
  const { undo: back, redo: forth } = build.history;
  const navigate = useNavigate();
  const [marking, setMarking] = useState(false);
  useEffect(() => {
    document.title = `${title} · ${build.doc.name} · Easy Tally`;
  }, [title, build.doc.name]);
  return (
    <header className="flex flex-wrap items-center gap-x-3 gap-y-2 px-6 pt-4 pb-3 max-[700px]:px-3 max-[700px]:pt-2">
      <h1 className="text-2xl leading-none font-bold">{title}</h1>
      <p className="min-w-0 flex-1 pt-1 text-md leading-tight text-ink-soft max-[700px]:order-last max-[700px]:basis-full">
        {build.doc.name} · {note}
        {build.began_as && (
          <>
            {" · "}
            <Link
              to={`/compare?of=${build.began_as},${build.key}`}
              className="underline decoration-dotted underline-offset-4"
            >
              a variant of {build.began_name || "a build that was removed"}
            </Link>
          </>
        )}
      </p>
      {children}
      {undoes && (
        <>
          <Button
            look="quiet"
            className="px-2 print:hidden"
            disabled={!back}
            onClick={() => void undo()}
            aria-label={back ? `Undo: ${back}` : "Undo"}
            title={back ? `Undo: ${back}` : "Nothing to undo"}
          >
            <Icon name="undo" size={20} />
          </Button>
          <Button
            look="quiet"
            className="px-2 print:hidden"
            disabled={!forth}
            onClick={() => void redo()}
            aria-label={forth ? `Redo: ${forth}` : "Redo"}
            title={forth ? `Redo: ${forth}` : "Nothing to redo"}
          >
            <Icon name="redo" size={20} />
          </Button>
        </>
      )}
      <Menu label="File">
        <MenuItem onSelect={() => setMarking(true)}>Mark it as it is now…</MenuItem>
        <MenuItem
          onSelect={() =>
            void navigate(`/compare?of=${[build.began_as, build.key].filter(Boolean).join(",")}`)
          }
        >
          Put it beside another, or its past…
        </MenuItem>
        <MenuItem onSelect={() => window.location.assign(`/api/v1/builds/${build.key}/file`)}>
          Save the build file
        </MenuItem>
        <MenuItem onSelect={() => window.location.assign(`/api/v1/builds/${build.key}/history.json`)}>
          Save it with its whole history
        </MenuItem>
        <MenuItem onSelect={() => window.location.assign(`/api/v1/builds/${build.key}/map.csv`)}>
          Save the connection list, CSV
        </MenuItem>
        <MenuItem onSelect={() => window.location.assign(`/api/v1/builds/${build.key}/loom.svg`)}>
          Save the Loom as a picture, SVG
        </MenuItem>
        <MenuItem onSelect={() => window.location.assign(`/api/v1/builds/${build.key}/loom.pdf`)}>
          Save the Loom as a page, PDF
        </MenuItem>
      </Menu>
      {marking && <MarkDialog onClose={() => setMarking(false)} />}
    </header>
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
