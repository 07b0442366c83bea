import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { client, reason, take } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { buyEdit, money } from "../../state/buying";
import { pricesQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { NumberField, TextField } from "../../ui/fields";
import { Popover } from "../../ui/popover";

/** What is yet to be bought for the build, each with its price, and what it comes to. */
export function ToBuy() {
  const { result } = useResult();
  const { doc } = useBuild();
  const { act } = useWrite();
  const [open, setOpen] = useState(false);
  const { items, sum, without, text } = result.to_buy;
  const { data: prices } = useQuery({ ...pricesQuery, enabled: items.length > 0 });
  const currency = result.to_buy.currency || (prices?.currency ?? "");
  if (!items.length && !open) return null;
  const priced = items.length > without;
  return (
    <Popover
      label="To buy"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          className="flex flex-col border-r border-white/15 px-3.5 py-2.5 text-left hover:bg-white/10 max-[700px]:shrink-0 max-[700px]:py-1"
        >
          <span className="block text-xs text-strip-soft">To buy, {items.length}</span>
          <span data-strip="buy" className="text-figure leading-7 font-bold whitespace-nowrap">
            {priced ? `${without ? "≥ " : ""}${money(sum, currency)}` : "no price yet"}
          </span>
        </button>
      }
    >
      <h2 className="px-2 pt-1 text-lg font-bold">To buy</h2>
      <p className="px-2 pb-2 text-ink-soft">{text}.</p>
      <ul className="grid gap-1">
        {items.map((item) => (
          <li key={`${item.of} ${item.key}`} className="flex flex-wrap items-center gap-3 px-2 py-1">
            <b className="min-w-40 flex-1">{item.name}</b>
            <NumberField
              empty
              compact
              label={`Price of ${item.name}`}
              unit={currency}
              placeholder="price"
              value={item.price}
              onCommit={(price) => act((now) => buyEdit(now, item, { price }))}
            />
            <Button onClick={() => void act((now) => buyEdit(now, item, null))}>
              I have it<span className="sr-only"> {item.name}</span>
            </Button>
          </li>
        ))}
        {!items.length && <li className="px-2 pb-2">Nothing more.</li>}
      </ul>
      <Currency now={doc.place.currency} />
    </Popover>
  );
}

/** The one currency of all prices: of this build, and of those that were given for what could be had. */
function Currency({ now }: { now: string }) {
  const { act, say } = useWrite();
  const queries = useQueryClient();
  const { data } = useQuery(pricesQuery);
  const set = async (currency: string) => {
    try {
      const given = await take(client.PATCH("/api/v1/prices", { body: { prices: {}, currency } }));
      queries.setQueryData(pricesQuery.queryKey, given);
      void queries.invalidateQueries({ queryKey: ["candidates"] });
      return await act((doc) => ({ type: "change build", changes: { place: { ...doc.place, currency } } }));
    } catch (error) {
      say(reason(error));
      return null;
    }
  };
  return (
    <div className="mt-2 max-w-56 border-t border-rule px-2 pt-2">
      <TextField label="All prices are in" value={now || (data?.currency ?? "")} max={8} onCommit={set} />
    </div>
  );
}
