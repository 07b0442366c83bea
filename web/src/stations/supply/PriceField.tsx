import { useQuery, useQueryClient } from "@tanstack/react-query";

import { client, reason, take } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { pricesQuery } from "../../state/queries";
import { NumberField } from "../../ui/fields";

/** What somebody says that a thing costs which could be had: kept for every build. `of`: its slug. */
export function PriceField({ of, name, compact = false }: { of: string; name: string; compact?: boolean }) {
  const { doc } = useBuild();
  const { say } = useWrite();
  const queries = useQueryClient();
  const { data } = useQuery(pricesQuery);
  if (!data) return null;
  if (doc.place.currency && data.currency && doc.place.currency !== data.currency)
    return (
      <p className="text-sm text-ink-soft">
        Your prices are in {data.currency}; this build is in {doc.place.currency}.
      </p>
    );
  const give = async (price: number | null) => {
    try {
      const prices = { [of]: price };
      const currency = data.currency || doc.place.currency || null;
      const given = await take(client.PATCH("/api/v1/prices", { body: { prices, currency } }));
      queries.setQueryData(pricesQuery.queryKey, given);
      for (const queryKey of [["candidates"], ["stay"], ["reach"]])
        void queries.invalidateQueries({ queryKey });
      return given;
    } catch (error) {
      say(reason(error));
      return null;
    }
  };
  const field = (
    <NumberField
      empty
      compact
      label={`Price of ${name}`}
      unit={data.currency || doc.place.currency}
      placeholder="price"
      value={data.prices[of] ?? null}
      onCommit={give}
    />
  );
  if (compact) return field;
  return (
    <div className="flex items-center justify-between gap-2 text-sm">
      <span className="text-ink-soft" aria-hidden="true">
        what it costs
      </span>
      {field}
    </div>
  );
}
