import { useCallback, useState } from "react";
import { useSearchParams } from "react-router";

import { useBuild, useShown } from "../../state/build/contexts";
import { openingOf } from "../../state/parts/open";
import { Dialog } from "../../ui/dialog";
import { useNarrow } from "../../ui/narrow";
import { useWords } from "../../words";
import { StationHead } from "../frame/Head";
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

const leaveIt = () => undefined;

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
  const pasting = params.has("list");
  const setPasting = (on: boolean) =>
    setParams({ ...(at && { at }), ...(on && { list: "1" }) }, { replace: true });
  const empty = build.doc.parts.length === 0;
  const part = build.doc.parts.find((p) => p.key === at);
  const narrow = useNarrow();
  // In a hand the fields would lie over the line, which is still in use.
  const added = narrow ? leaveIt : choose;
  const inspector = part && (
    <Inspector key={part.key} part={part} field={params.get("field") ?? ""} onGone={() => choose("")} />
  );
  const open = (more: Record<string, string>) => setParams({ ...(at && { at }), ...more });
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead
        title="Parts"
        note={`by the path that feeds them, at ${words.states[state] ?? state}`}
        rest={[
          { label: "Catalogue", to: `/b/${build.key}/parts/catalogue` },
          { label: "Paste a list", onSelect: () => setPasting(true) },
        ]}
      />
      <PasteList
        key={`list-${begun.n}`}
        begun={begun.list}
        open={pasting}
        onClose={() => setPasting(false)}
      />
      <div className="flex min-h-0 flex-1 gap-5 px-6 pb-4 max-[700px]:flex-col max-[700px]:overflow-auto max-[700px]:px-3">
        <div className="@container flex min-h-0 min-w-0 flex-1 flex-col gap-3 max-[700px]:min-h-max max-[700px]:w-full max-[700px]:flex-none">
          <AddPart key={`line-${begun.n}`} begun={begun.line} onAdded={added} />
          {empty ? (
            <Begin
              onLine={(line) => setBegun({ n: begun.n + 1, line, list: "" })}
              onList={(list) => {
                setBegun({ n: begun.n + 1, line: "", list });
                setPasting(true);
              }}
            />
          ) : (
            <>
              <Unspoken onAdded={added} />
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
          {inspector && !narrow ? inspector : <ThisBuild field={part ? "" : (params.get("field") ?? "")} />}
        </aside>
      </div>
      {narrow && part && (
        <Dialog open onClose={() => choose("")} title={part.name}>
          {inspector}
        </Dialog>
      )}
      {opening && <Opened opening={opening} onChoose={choose} onClose={() => choose(at)} />}
    </div>
  );
}
