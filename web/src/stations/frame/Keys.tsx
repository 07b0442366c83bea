import { useEffect, useState } from "react";
import { useLocation, useNavigate } from "react-router";

import { useBuild, useWrite } from "../../state/build/contexts";
import { isTaken, KEYS, STATIONS } from "../../state/frame/finder";
import { lastThrown } from "../../state/thrown";
import { Dialog } from "../../ui/dialog";
import { Finder } from "./Finder";

/** Fields that may hold letters which no edit has taken yet. */
const TYPED_IN = "textarea, input:not([type=checkbox], [type=radio], [data-draft=false])";

/** The keys that hold on every station: undo and redo, the line, the stations, the finder, and what
 * keys there are. In a field that is being typed in the browser takes back letters; at the bench, and
 * in a question that is asked, undo does nothing to the build. */
export function Keys() {
  const { undo, redo } = useWrite();
  const { key } = useBuild();
  const navigate = useNavigate();
  const [open, setOpen] = useState<"" | "keys" | "finder">("");
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      const at = e.target instanceof HTMLElement ? e.target : null;
      const held = e.ctrlKey || e.metaKey;
      if (held && e.key.toLowerCase() === "k") {
        e.preventDefault();
        return setOpen("finder");
      }
      if (held && e.key.toLowerCase() === "z") {
        const typing = at?.matches(TYPED_IN) || at?.closest("[role=alertdialog]");
        if (typing || document.querySelector("[data-undo=its-own]")) return;
        e.preventDefault();
        if (!e.shiftKey && lastThrown.bringBack()) return;
        return void (e.shiftKey ? redo() : undo());
      }
      if (held || e.altKey || e.defaultPrevented || isTaken(at)) return;
      const station = STATIONS[Number(e.key) - 1];
      if (e.key === "?") setOpen("keys");
      else if (e.key === "/") line(() => void navigate(`/b/${key}/parts`, { state: { line: true } }));
      else if (station) void navigate(`/b/${key}/${station.to}`);
      else return;
      e.preventDefault();
    };
    window.addEventListener("keydown", down);
    return () => window.removeEventListener("keydown", down);
  }, [undo, redo, key, navigate]);
  const close = () => setOpen("");
  return (
    <>
      {open === "keys" && <KeysDialog onClose={close} />}
      {open === "finder" && <Finder onClose={close} />}
    </>
  );
}

/** Goes to the line of this station; where it has none, to that of Parts. */
function line(elsewhere: () => void) {
  const own = document.querySelector<HTMLInputElement>("main [data-line]");
  if (own) own.focus();
  else elsewhere();
}

function KeysDialog({ onClose }: { onClose: () => void }) {
  const station = useLocation().pathname.split("/")[3] ?? "";
  const name = STATIONS.find((s) => s.to === station)?.name ?? "";
  const own = KEYS.of[station] ?? [];
  return (
    <Dialog open onClose={onClose} title="Keys">
      {own.length > 0 && <Listed title={`On ${name}`} keys={own} />}
      <Listed title="Everywhere" keys={KEYS.everywhere} />
    </Dialog>
  );
}

function Listed({ title, keys }: { title: string; keys: [string, string][] }) {
  return (
    <section className="mb-4">
      <h3 className="mb-1 text-md font-bold">{title}</h3>
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1.5 text-md">
        {keys.map(([key, does]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="rounded-[3px] border border-rule-strong bg-paper px-1.5 font-mono text-base whitespace-nowrap">
                {key}
              </kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
