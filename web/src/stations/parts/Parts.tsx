import { useCallback, useState } from "react";
import { Link, useSearchParams } from "react-router";

import { useBuild, useShown } from "../../state/build/contexts";
import { openingOf } from "../../state/parts/open";
import { useWords } from "../../words";
import { StationHead } from "../frame/Frame";
import { AddPart } from "./AddPart";
import { Begin } from "./Begin";
import { Columns } from "./Columns";
import { Inspector } from "./Inspector";
import { Opened } from "./Opened";
import { PasteList } from "./PasteList";
import { Stacks } from "./Stacks";
import { ThisBuild } from "./ThisBuild";
import { ThroughBoard } from "./ThroughBoard";
import { Unspoken } from "./Unspoken";
import { BUTTON_LINK } from "../../ui/link";

/** The parts under the path that feeds them, the state shown, and the part in hand. */
export default function Parts() {
  const build = useBuild();
  const { state } = useShown();
  const [params, setParams] = useSearchParams();
  const at = params.get("at") ?? "";
  const opening = openingOf(params);
  const words = useWords();
  const choose = useCallback(
    (part: string, field = "") =>
      setParams({ ...(part && { at: part }), ...(field && { field }) }, { replace: true }),
    [setParams],
  );
  /** What was begun from the page of an empty build: a line, or a list. */
  const [begun, setBegun] = useState({ n: 0, line: "", list: "" });
  const empty = build.doc.parts.length === 0;
  const part = build.doc.parts.find((p) => p.key === at);
  const open = (more: Record<string, string>) => setParams({ ...(at && { at }), ...more });
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead title="Parts" note={`by the path that feeds them, at ${words.states[state] ?? state}`}>
        <Link to={`/b/${build.key}/parts/catalogue`} className={BUTTON_LINK}>
          Catalogue
        </Link>
        <PasteList key={`list-${begun.n}`} begun={begun.list} />
      </StationHead>
      <div className="flex min-h-0 flex-1 gap-5 px-6 pb-4 max-[700px]:flex-col max-[700px]:overflow-auto max-[700px]:px-3">
        <div className="@container flex min-h-0 min-w-0 flex-1 flex-col gap-3 max-[700px]:min-h-max max-[700px]:w-full max-[700px]:flex-none">
          <AddPart key={`line-${begun.n}`} begun={begun.line} onAdded={choose} />
          {empty ? (
            <Begin
              onLine={(line) => setBegun({ n: begun.n + 1, line, list: "" })}
              onList={(list) => setBegun({ n: begun.n + 1, line: "", list })}
            />
          ) : (
            <>
              <Unspoken onAdded={choose} />
              <Columns
                chosen={part?.key ?? ""}
                onChoose={choose}
                onOpen={(path) => open({ open: state, path })}
              />
              <ThroughBoard onChoose={choose} />
            </>
          )}
        </div>
        <aside
          aria-label="Watts and part in hand"
          className="flex w-[330px] shrink-0 flex-col gap-3 overflow-auto max-[1100px]:w-[296px] max-[700px]:w-full max-[700px]:overflow-visible"
        >
          <Stacks folds={part !== undefined} onOpen={open} />
          {part ? (
            <Inspector
              key={part.key}
              part={part}
              field={params.get("field") ?? ""}
              onGone={() => choose("")}
            />
          ) : (
            <ThisBuild field={params.get("field") ?? ""} />
          )}
        </aside>
      </div>
      {opening && <Opened opening={opening} onChoose={choose} onClose={() => choose(at)} />}
    </div>
  );
}
