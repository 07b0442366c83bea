import { useQuery } from "@tanstack/react-query";
import { useMemo, useState } from "react";

import { client, reason, take } from "../../api/client";
import { NOT_SEEN, NOTHING, Taking, type Place } from "../../state/bench/found";
import { useBuild, useWrite } from "../../state/build/contexts";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { AddPhoto } from "./Photos";
import type { BenchState } from "./useBench";

/** Takes a machine over as it stands: at once, or socket by socket. */
export function FoundDialog({ bench, onClose }: { bench: BenchState; onClose: () => void }) {
  const { key, version } = useBuild();
  const { data, error } = useQuery({
    queryKey: ["found", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/found", { params: { path: { key } } })),
    staleTime: 0,
  });
  const [byPlace, setByPlace] = useState(false);
  return (
    <Dialog open onClose={onClose} title="It stands like this" wide={byPlace}>
      {error && <p className="text-over">{reason(error)}</p>}
      {data && !byPlace && (
        <Whole
          onWhole={() => {
            bench.find("whole", "Taken over as it stands: everything as the build has it", data.whole);
            onClose();
          }}
          onByPlace={() => setByPlace(true)}
        />
      )}
      {data && byPlace && <ByPlace found={data} bench={bench} onClose={onClose} />}
    </Dialog>
  );
}

function Whole({ onWhole, onByPlace }: { onWhole: () => void; onByPlace: () => void }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 text-lg">
      <p>
        For a machine that runs: what stands is put on record as found, and the work is what differs from it.
        Do this before the build is changed; after a change, undo it, say this, and redo it.
      </p>
      <Button look="main" className="min-h-14 text-xl max-[700px]:whitespace-normal" onClick={onWhole}>
        Everything is plugged as the map has it
      </Button>
      <Button className="min-h-14 text-xl max-[700px]:whitespace-normal" onClick={onByPlace}>
        Go through it, socket by socket
      </Button>
      <p className="text-base text-ink-soft">
        What nobody can see is put down as not seen; the first work that meets it says so.
      </p>
    </div>
  );
}

function ByPlace({
  found,
  bench,
  onClose,
}: {
  found: { places: Place[]; parts: string[][] };
  bench: BenchState;
  onClose: () => void;
}) {
  const { say } = useWrite();
  const taking = useMemo(() => new Taking(found.places), [found]);
  const [at, setAt] = useState(0);
  const places = taking.places();
  const place = places[at];
  const counts = taking.counts();
  const done = () => {
    bench.find("parts", "Taken over as it stands: parts and small leads", found.parts);
    for (const t of taking.told()) bench.find(t.place, t.words, t.acts);
    onClose();
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <p className="text-base text-ink-soft" role="status">
        {Math.min(at + 1, places.length)} of {places.length}: {counts.like} as the map has it, {counts.other}{" "}
        otherwise, {counts.unseen} not seen
      </p>
      {place ? (
        <One
          key={place.place}
          place={place}
          said={taking.said.get(place.place)}
          onSay={(id) => {
            taking.say(place.place, id);
            setAt(at + 1);
          }}
        />
      ) : (
        <p className="text-lg">
          That was all of it. What was found is put on record; the work is what differs from the map.
        </p>
      )}
      <div className="flex flex-wrap gap-2 border-t border-rule pt-3">
        <Button className="min-h-12 px-5 text-lg" disabled={at === 0} onClick={() => setAt(at - 1)}>
          Back
        </Button>
        {place && <AddPhoto step="found" of="" places={[place.place]} onPhoto={bench.photo} say={say} />}
        <Button
          look={place ? "quiet" : "main"}
          className="ml-auto min-h-12 px-5 text-lg max-[700px]:whitespace-normal"
          onClick={done}
        >
          {place ? "The rest I can’t see: take it over" : "Take it over"}
        </Button>
      </div>
    </div>
  );
}

/** One socket, or one supply end: what is in it. */
function One({
  place,
  said,
  onSay,
}: {
  place: Place;
  said: string | undefined;
  onSay: (id: string) => void;
}) {
  const [wanted, ...others] = place.choices.toSorted((a, b) => rank(a.id, place) - rank(b.id, place));
  const [all, setAll] = useState(Boolean(said) && said !== wanted?.id);
  const last = others.filter((c) => c.id === NOTHING || c.id === NOT_SEEN);
  const rest = others.filter((c) => !last.includes(c));
  return (
    <section aria-label={place.words} className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <h3 className="text-2xl font-bold">{place.words}</h3>
      {wanted && (
        <Choice
          words={wanted.words}
          note="as the map has it"
          chosen={said === wanted.id}
          onSay={() => onSay(wanted.id)}
        />
      )}
      {last.map((c) => (
        <Choice key={c.id} words={c.words} note="" chosen={said === c.id} onSay={() => onSay(c.id)} />
      ))}
      {rest.length > 0 && !all && (
        <Button
          look="quiet"
          className="min-h-12 justify-start text-lg max-[700px]:whitespace-normal"
          onClick={() => setAll(true)}
        >
          Something else…
        </Button>
      )}
      {all &&
        rest.map((c) => (
          <Choice key={c.id} words={c.words} note="" chosen={said === c.id} onSay={() => onSay(c.id)} />
        ))}
    </section>
  );
}

const rank = (id: string, place: Place) => (id === place.wanted ? 0 : 1);

function Choice({
  words,
  note,
  chosen,
  onSay,
}: {
  words: string;
  note: string;
  chosen: boolean;
  onSay: () => void;
}) {
  return (
    <Button
      className="min-h-14 justify-start px-4 text-left text-lg max-[700px]:whitespace-normal"
      aria-pressed={chosen}
      onClick={onSay}
    >
      <span>
        {words}
        {note && <span className="ml-2 text-base text-ink-soft">{note}</span>}
      </span>
    </Button>
  );
}
