import { useSearchParams } from "react-router";

import { client, take, type BenchStep, type InBin } from "../../api/client";
import { useBuild } from "../../state/build/contexts";
import { doneWith } from "../../state/bench/queue";
import { useMayEdit } from "../../state/frame/here";
import { Button } from "../../ui/button";
import { BinDialog } from "../frame/Bin";
import { StationHead } from "../frame/Head";
import { FlagsDialog } from "./FlagsDialog";
import { FoundDialog } from "./FoundDialog";
import { RecordDialog } from "./RecordDialog";
import type { BenchState } from "./useBench";

/** The bench's head: taking a tick back, the record, what is printed; dialogs with an address each. */
export function BenchHead({
  bench,
  last,
  onTakeBack,
}: {
  bench: BenchState;
  last: BenchStep | undefined;
  onTakeBack: () => void;
}) {
  const { key } = useBuild();
  const { plan, pending } = bench;
  const mayEdit = useMayEdit();
  const work = bench.steps.filter((s) => s.state !== "stands");
  const ticked = work.filter((s) => doneWith(s, pending)).length;
  const [params, setParams] = useSearchParams();
  const shown = params.get("open") ?? "";
  const show = (dialog: string) =>
    setParams((p) => {
      if (dialog) p.set("open", dialog);
      else p.delete("open");
      return p;
    });
  const close = () => show("");
  const of = (name: string) => `/api/v1/builds/${key}/${name}`;
  return (
    <>
      <StationHead
        title="Bench"
        undoes={false}
        note={plan ? `${ticked} of ${work.length} done` : "…"}
        main={
          <Button
            look="quiet"
            disabled={!last}
            title={last ? `Take back: ${last.step.title}` : "Nothing is ticked"}
            onClick={onTakeBack}
          >
            <span className="max-[700px]:hidden">Take the last tick back</span>
            <span className="min-[701px]:hidden">Take back</span>
          </Button>
        }
        rest={[
          { label: "The record", onSelect: () => show("record") },
          ...(plan?.is_known
            ? [{ label: "It stands like this…", quiet: true, onSelect: () => show("found") }]
            : []),
          {
            label: "Print",
            items: [
              { label: "Work order, A4", file: of("bench.pdf") },
              { label: "Work order, letter", file: of("bench.pdf?paper=letter") },
              { label: "Handover, A4", file: of("handover.pdf") },
              { label: "Handover, letter", file: of("handover.pdf?paper=letter") },
              { label: "Cable flags…", onSelect: () => show("flags") },
              { label: "The record, CSV", file: of("bench.csv") },
              ...(mayEdit
                ? [{ label: "The build, its record and photos, ZIP", file: of("record.zip") }]
                : []),
              { label: "Photos in the bin…", onSelect: () => show("bin") },
            ],
          },
        ]}
      />
      {shown === "found" && <FoundDialog bench={bench} onClose={close} />}
      {shown === "record" && <RecordDialog buildKey={key} onClose={close} />}
      {shown === "flags" && <FlagsDialog buildKey={key} onClose={close} />}
      {shown === "bin" && <PhotosInBin bench={bench} onClose={close} />}
    </>
  );
}

function PhotosInBin({ bench, onClose }: { bench: BenchState; onClose: () => void }) {
  const { key } = useBuild();
  const { steps } = bench;
  /** A photo in the bin is called by its step. */
  const named = (x: InBin) => ({ ...x, name: steps.find((s) => s.step.id === x.name)?.step.title ?? x.name });
  return (
    <BinDialog
      title="Photos in the bin"
      load={async () => {
        const params = { path: { key } };
        return (await take(client.GET("/api/v1/builds/{key}/bin/photos", { params }))).map(named);
      }}
      back={async (x) => {
        const params = { path: { key, photo: x.key } };
        await take(client.POST("/api/v1/builds/{key}/bin/photos/{photo}", { params }));
        await bench.refresh();
      }}
      onClose={onClose}
    />
  );
}
