import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";

import { client, take, type Part } from "../../api/client";
import { useWrite } from "../../state/build/contexts";
import { catalogueEntryQuery, catalogueKey } from "../../state/queries";
import { Button } from "../../ui/button";
import type { SetPart } from "./set";

/** Where a part came from: an entry changed since is offered, never applied; a part can be kept. */
export function FromCatalogue({ part, set }: { part: Part; set: SetPart }) {
  const { act, say } = useWrite();
  const queries = useQueryClient();
  const [slug = "", revision = "0"] = part.catalogue.split("@");
  const { data: entry } = useQuery(catalogueEntryQuery(slug));
  const keep = useMutation({
    mutationFn: () => take(client.POST("/api/v1/catalogue/entries", { body: { part } })),
    onSuccess: (kept) => {
      void queries.invalidateQueries({ queryKey: catalogueKey });
      return set({ catalogue: kept.part.catalogue });
    },
    onError: (e) => say(e.message),
  });
  const kept = keep.data?.part.catalogue === part.catalogue ? keep.data : undefined;
  const newer = entry && entry.revision > Number(revision);
  const over = (entry: Part) => act({ type: "take entry", part: part.key, entry });
  return (
    <div className="grid gap-1.5 text-sm">
      {part.catalogue && (
        <p role="status" className="text-ink-soft">
          {kept ? (
            <>
              Kept in your catalogue as <b className="text-ink">{kept.slug}</b>.
            </>
          ) : (
            `From the catalogue: ${slug}, revision ${revision}`
          )}
        </p>
      )}
      {newer && (
        <p>
          <b className="text-tight">Its entry has changed since: {entry.words}.</b>{" "}
          <Button className="min-h-7 text-sm" onClick={() => void over(entry.part)}>
            Take it over
          </Button>
        </p>
      )}
      <Button
        look="quiet"
        className="justify-self-start"
        disabled={keep.isPending}
        onClick={() => keep.mutate()}
      >
        Keep it in the catalogue
      </Button>
    </div>
  );
}
