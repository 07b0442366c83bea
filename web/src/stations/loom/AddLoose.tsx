import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";

import { useBuild, useWrite } from "../../state/build/contexts";
import { priceFor } from "../../state/buying";
import { addable, said, type Item } from "../../state/loom/addable";
import { unknownWords } from "../../state/parts/words";
import { drawerKey, drawerQuery, looseQuery, pricesQuery, readLooseQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { InBoxes } from "../parts/InBoxes";
import { PriceField } from "../supply/PriceField";
import { OwnWords } from "../../ui/ownwords";

/** Cables of the supply's family, adapters, extensions: of the drawer first, then what is sold. */
export function AddLoose({ onClose }: { onClose: () => void }) {
  const { doc } = useBuild();
  const { act } = useWrite();
  const queries = useQueryClient();
  const { data: things = [] } = useQuery(drawerQuery);
  const { data: loose = [] } = useQuery(looseQuery);
  const [text, setText] = useState("");
  const [done, setDone] = useState("");
  const family = doc.supply?.family ?? "";
  const { data: told } = useQuery(readLooseQuery(useDeferredValue(text), family));
  const own = said(told);
  const { data: prices } = useQuery(pricesQuery);
  const priceOf = (slug: string) => priceFor(prices, slug, doc.place.currency);
  const items = [...(own ? [own] : []), ...addable(things, loose, family, text, priceOf)];
  // A search finds things by names that nobody has to explain.
  const unknown = own || items.length === 0 ? unknownWords(told) : [];
  const add = async (item: Item) => {
    if (await act(item.edit)) {
      setDone(item.name);
      void queries.invalidateQueries({ queryKey: drawerKey });
    }
  };
  return (
    <Dialog open onClose={onClose} title="Add a cable or adapter" wide>
      <input
        type="search"
        aria-label="Search cables and adapters, or say one"
        placeholder="Search, or say it: sata lead, 4 plugs, 500 mm, then every 150 mm · cage with 4 bays, two sata plugs"
        className="field mb-2 w-full text-md"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <p role="status" className="min-h-6 text-base font-semibold text-within">
        {done && `${done} is in the build now; its ends are parked.`}
      </p>
      {!text && <InBoxes title="In the boxes of this build" of={() => true} />}
      <ul>
        {items.map((i) => (
          <li key={i.id} data-loose={i.id} className="flex items-center gap-3 border-b border-rule py-1.5">
            <span className="min-w-0 flex-1">
              <b>{i.name}</b> <span className="text-sm text-ink-soft">{i.from}</span>
              <span className="block text-sm text-ink-soft">{i.words}</span>
            </span>
            {i.price && <PriceField of={i.price} name={i.name} compact />}
            <Button onClick={() => void add(i)}>
              Add<span className="sr-only"> {i.name}</span>
            </Button>
          </li>
        ))}
        {items.length === 0 && (
          <li className="py-3 text-ink-soft">
            Nothing of this name for this supply.{" "}
            {told?.problems[0] && text.trim().includes(" ") && `As it is said: ${told.problems[0]}.`}
          </li>
        )}
      </ul>
      {told && <OwnWords unknown={unknown} own={told.own} />}
      <p className="mt-3 text-sm text-ink-soft">
        Only cables of the supply’s own pinout family ({family}) are listed: never use another’s unless its
        maker states the same pinout.
      </p>
    </Dialog>
  );
}
