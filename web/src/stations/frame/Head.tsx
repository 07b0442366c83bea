import { useEffect, useState, type ReactNode } from "react";
import { Link, useNavigate } from "react-router";

import { useBuild, useWrite } from "../../state/build/contexts";
import { STATIONS } from "../../state/frame/finder";
import { stationsOf, useHere } from "../../state/frame/here";
import { Button } from "../../ui/button";
import { BUTTON_LINK } from "../../ui/link";
import { Menu, MenuItem, MenuNote } from "../../ui/menu";
import { Icon } from "../../ui/marks";
import { useNarrow } from "../../ui/narrow";
import { DoorDialog } from "./DoorDialog";
import { MarkDialog } from "./MarkDialog";

/** Something that can be done or gone to; one without either is not to be had now. */
export interface Act {
  label: string;
  onSelect?: () => void;
  to?: string;
  /** A file that the server makes. */
  file?: string;
  disabled?: boolean;
}
/** What a head offers beside its one action: single things, and several under one word. */
export type Rest = (Act & { quiet?: boolean }) | { label: string; items: Act[]; narrowOnly?: boolean };

/** The head of a station: its name, the build's, what can be done. Where it is narrow it is one row:
 * the name, the one action, a menu with all the rest. */
export function StationHead({
  title,
  note,
  undoes = true,
  main,
  rest = [],
  children,
}: {
  title: string;
  note: string;
  /** Whether the build's undo is offered here. */
  undoes?: boolean;
  /** The one action of the station. */
  main?: ReactNode;
  rest?: Rest[];
  /** What stands in the head of a wide page alone. */
  children?: ReactNode;
}) {
  const build = useBuild();
  const narrow = useNarrow();
  const [open, setOpen] = useState<"" | "mark" | "door">("");
  useEffect(() => {
    document.title = `${title} · ${build.doc.name} · Easy Tally`;
  }, [title, build.doc.name]);
  const file = useFileMenu(setOpen);
  const history = useHistory(undoes);
  return (
    <>
      {narrow ? (
        <header className="mb-2 flex items-center gap-2 border-b border-rule px-3 py-1.5">
          <h1 className="min-w-0 flex-1 text-xl leading-none font-bold">
            <StationsMenu title={title} note={note} />
          </h1>
          {main}
          <Menu label="More" spoken={`More on ${title}`}>
            {[...history, ...rest, file].map((one) => (
              <InMenu key={one.label} one={one} />
            ))}
          </Menu>
        </header>
      ) : (
        <header className="flex flex-wrap items-center gap-x-3 gap-y-2 px-6 pt-4 pb-3">
          <h1 className="text-2xl leading-none font-bold">{title}</h1>
          <p data-note className="min-w-0 flex-1 pt-1 text-md leading-tight text-ink-soft">
            {build.doc.name} · {note}
            {build.began_as && <BeganAs />}
          </p>
          {main}
          {children}
          {rest.map((one) => (
            <InRow key={one.label} one={one} />
          ))}
          {undoes && <HistoryButtons />}
          <InRow one={file} />
        </header>
      )}
      {open === "mark" && <MarkDialog onClose={() => setOpen("")} />}
      {open === "door" && <DoorDialog onClose={() => setOpen("")} />}
    </>
  );
}

/** Where it is narrow the name of the station opens the others. */
function StationsMenu({ title, note }: { title: string; note: string }) {
  const { doc, key } = useBuild();
  const navigate = useNavigate();
  const here = useHere();
  const may = stationsOf(here);
  return (
    <Menu
      align="start"
      label={
        <span className="flex min-w-0 items-center gap-2 text-left">
          <Icon name="down" size={18} />
          <span className="min-w-0">
            {title}
            <span className="sr-only"> the other stations</span>
            <span data-note className="block truncate text-sm font-normal text-ink-soft">
              {doc.name} · {note}
            </span>
          </span>
        </span>
      }
      bare
    >
      {!may && <MenuItem onSelect={() => void navigate("/")}>All builds</MenuItem>}
      {STATIONS.filter((s) => !may || may.has(s.to)).map((s) => (
        <MenuItem key={s.to} onSelect={() => void navigate(`/b/${key}/${s.to}`)}>
          <span className={`flex items-center gap-3 ${s.name === title ? "font-bold" : ""}`}>
            <Icon name={s.to} /> {s.name}
          </span>
        </MenuItem>
      ))}
    </Menu>
  );
}

function BeganAs() {
  const build = useBuild();
  return (
    <>
      {" · "}
      <Link
        to={`/compare?of=${build.began_as},${build.key}`}
        className="underline decoration-dotted underline-offset-4"
      >
        a variant of {build.began_name || "a build that was removed"}
      </Link>
    </>
  );
}

/** Undo and redo as entries of a menu. */
function useHistory(undoes: boolean): Act[] {
  const { undo: back, redo: forth } = useBuild().history;
  const { undo, redo } = useWrite();
  if (!undoes) return [];
  return [
    ...(back ? [{ label: `Undo: ${back}`, onSelect: () => void undo() }] : []),
    ...(forth ? [{ label: `Redo: ${forth}`, onSelect: () => void redo() }] : []),
  ];
}

function HistoryButtons() {
  const { undo: back, redo: forth } = useBuild().history;
  const { undo, redo } = useWrite();
  return (
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
  );
}

/** What every station offers of the build as a whole. */
function useFileMenu(open: (dialog: "mark" | "door") => void): { label: string; items: Act[] } {
  const build = useBuild();
  const here = useHere();
  const of = `/api/v1/builds/${build.key}`;
  const drawn = [
    { label: "Print the tally and the parts, PDF", file: `${of}/tally.pdf` },
    { label: "Print the whole machine, PDF", file: `${of}/machine.pdf` },
    { label: "Save the connection list, CSV", file: `${of}/map.csv` },
    { label: "Save the Loom as a picture, SVG", file: `${of}/loom.svg` },
    { label: "Print the Loom, PDF", file: `${of}/loom.pdf` },
  ];
  if (stationsOf(here)) return { label: "File", items: drawn };
  const beside = [build.began_as, build.key].filter(Boolean).join(",");
  return {
    label: "File",
    items: [
      ...(here.is_device ? [] : [{ label: "Take it to the bench…", onSelect: () => open("door") }]),
      { label: "Mark it as it is now…", onSelect: () => open("mark") },
      { label: "Put it beside another, or its past…", to: `/compare?of=${beside}` },
      { label: "Save the build file", file: `${of}/file` },
      { label: "Save it with its whole history", file: `${of}/history.json` },
      ...drawn,
    ],
  };
}

/** One thing of a head on a wide page. */
function InRow({ one }: { one: Rest }) {
  if ("items" in one)
    return one.narrowOnly ? null : (
      <Menu label={one.label}>
        {one.items.map((a) => (
          <Item key={a.label} act={a} />
        ))}
      </Menu>
    );
  if (one.to)
    return (
      <Link to={one.to} className={BUTTON_LINK}>
        {one.label}
      </Link>
    );
  if (one.file)
    return (
      <a href={one.file} download className={BUTTON_LINK}>
        {one.label}
      </a>
    );
  return (
    <Button
      look={one.quiet ? "quiet" : "plain"}
      className="print:hidden"
      disabled={one.disabled}
      onClick={one.onSelect}
    >
      {one.label}
    </Button>
  );
}

/** One thing of a head in the menu of a narrow page. */
function InMenu({ one }: { one: Rest }) {
  if (!("items" in one)) return one.disabled ? null : <Item act={one} />;
  return (
    <>
      <MenuNote>{one.label}</MenuNote>
      {one.items.map((a) => (
        <Item key={a.label} act={a} />
      ))}
    </>
  );
}

function Item({ act }: { act: Act }) {
  const navigate = useNavigate();
  const select = () => {
    if (act.file) window.location.assign(act.file);
    else if (act.to) void navigate(act.to);
    else act.onSelect?.();
  };
  return <MenuItem onSelect={select}>{act.label}</MenuItem>;
}
