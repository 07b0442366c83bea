import { queryOptions } from "@tanstack/react-query";

import { client, take, type Thing } from "../api/client";
import type { Picked } from "./loom/pick";

export const buildsKey = ["builds"] as const;

export const buildsQuery = queryOptions({
  queryKey: buildsKey,
  queryFn: () => take(client.GET("/api/v1/builds")),
});

export const referenceQuery = queryOptions({
  queryKey: ["reference"],
  queryFn: () => take(client.GET("/api/v1/reference")),
  staleTime: Infinity,
});

const at = (key: string) => ({ params: { path: { key } } });
/** What stands behind the first so many: of a large build not all is answered at once. */
const behind = (key: string, after: number) => ({ params: { path: { key }, query: { after } } });

/** Everything, asked for until nothing more comes. */
async function untilNone<T>(ask: (after: number) => Promise<T[]>): Promise<T[]> {
  const found: T[] = [];
  for (;;) {
    const more = await ask(found.length);
    if (more.length === 0) return found;
    found.push(...more);
  }
}

export const getBuild = (key: string) => take(client.GET("/api/v1/builds/{key}", at(key)));

export const buildQuery = (key: string) =>
  queryOptions({ queryKey: ["build", key], queryFn: () => getBuild(key) });

export const rowsQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["rows", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/rows", at(key))),
    placeholderData: (before) => before,
  });

export const candidatesQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["candidates", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/candidates", at(key))),
    placeholderData: (before) => before,
  });

export const stayQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["stay", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/stay", at(key))),
    placeholderData: (before) => before,
  });

/** What mends plugs that do not reach. */
export const reachQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["reach", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/reach", at(key))),
  });

/** What things cost that could be had, as far as somebody said so. */
export const pricesQuery = queryOptions({
  queryKey: ["prices"],
  queryFn: () => take(client.GET("/api/v1/prices")),
});

export const sizesQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["sizes", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/sizes", at(key))),
    placeholderData: (before) => before,
  });

export const fitQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["fit", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/fit", at(key))),
    placeholderData: (before) => before,
  });

export const weekQuery = (key: string, version: number, of: string) =>
  queryOptions({
    queryKey: ["week", key, version, of],
    queryFn: () =>
      take(client.GET("/api/v1/builds/{key}/week", { params: { path: { key }, query: { of } } })),
    placeholderData: (before) => before,
  });

export const drawerKey = ["drawer"] as const;

export const drawerQuery = queryOptions({
  queryKey: drawerKey,
  queryFn: () => take(client.GET("/api/v1/drawer")),
});

export const looseQuery = queryOptions({
  queryKey: ["loose"],
  queryFn: () => take(client.GET("/api/v1/loose")),
  staleTime: Infinity,
});

/** What the lines of a thing for the drawer are understood as. */
export const readThingQuery = (kind: Thing["kind"], text: string) =>
  queryOptions({
    queryKey: ["read-thing", kind, text],
    enabled: text.trim() !== "",
    queryFn: () => take(client.POST("/api/v1/drawer/read", { body: { kind, text } })),
    staleTime: 60_000,
  });

/** What a line says that may be added in the Loom. */
export const readLooseQuery = (text: string, family: string) =>
  queryOptions({
    queryKey: ["read-thing", "loose", text, family],
    enabled: text.trim().length > 3,
    queryFn: () => take(client.POST("/api/v1/loose/read", { body: { text, family } })),
    staleTime: 60_000,
  });

export const positionsQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["positions", key, version],
    queryFn: () =>
      untilNone((after) => take(client.GET("/api/v1/builds/{key}/positions", behind(key, after)))),
    placeholderData: (before) => before,
  });

export const usesQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["assumption-uses", key, version],
    queryFn: async () =>
      Object.fromEntries(
        await untilNone(async (after) =>
          Object.entries(await take(client.GET("/api/v1/builds/{key}/assumptions", behind(key, after)))),
        ),
      ),
    placeholderData: (before) => before,
  });

/** A map that is asked for, looked at until it is there. */
export const mapQuery = (key: string) =>
  queryOptions({
    queryKey: ["map", key],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/map", at(key))),
    refetchInterval: (query) =>
      ["waiting", "running"].includes(query.state.data?.state ?? "") ? 250 : false,
  });

export const feedsQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["feeds", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/feeds", at(key))),
  });

export const benchQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: ["bench", key, version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/bench", at(key))),
    placeholderData: (before) => before,
  });

export const recordQuery = (key: string) =>
  queryOptions({
    queryKey: ["record", key],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/record", at(key))),
  });

/** A photo as an address of this page's own: it is there without a connection too. */
export const photoQuery = (key: string, photo: string) =>
  queryOptions({
    queryKey: ["photo", key, photo],
    queryFn: async () => {
      const answer = await fetch(`/api/v1/builds/${key}/photos/${photo}`);
      if (!answer.ok) throw new Error("The photo could not be fetched.");
      return URL.createObjectURL(await answer.blob());
    },
    staleTime: Infinity,
    gcTime: Infinity,
  });

export const houseRulesKey = ["house-rules"] as const;

export const houseRulesQuery = queryOptions({
  queryKey: houseRulesKey,
  queryFn: () => take(client.GET("/api/v1/house-rules")),
});

export const whyQuery = (key: string, version: number, cable: string) =>
  queryOptions({
    queryKey: ["why", key, version, cable],
    queryFn: () =>
      take(client.GET("/api/v1/builds/{key}/runs/{cable}", { params: { path: { key, cable } } })),
  });

export const offersQuery = (key: string, version: number, picked: Picked | null) =>
  queryOptions({
    queryKey: ["offers", key, version, picked],
    enabled: picked !== null,
    staleTime: Infinity, // the version is in the key
    queryFn: () => {
      const query =
        picked?.kind === "socket" ? { socket: picked.ref } : { cable: picked?.cable, plug: picked?.plug };
      return take(client.GET("/api/v1/builds/{key}/offers", { params: { path: { key }, query } }));
    },
  });

/** What the entry line understands, and what the catalogue has for it. */
export const sayQuery = (text: string) =>
  queryOptions({
    queryKey: ["say", text],
    enabled: text.trim() !== "",
    queryFn: () => take(client.POST("/api/v1/entry", { body: { text } })),
    staleTime: 60_000,
  });

/** One's own words, and all that a word may mean. */
export const wordsQuery = queryOptions({
  queryKey: ["words"],
  queryFn: () => take(client.GET("/api/v1/words")),
  staleTime: Infinity,
});

export const casesQuery = queryOptions({
  queryKey: ["cases"],
  queryFn: () => take(client.GET("/api/v1/cases")),
  staleTime: Infinity,
});

export const catalogueKey = ["catalogue"] as const;

export const catalogueQuery = (text: string) =>
  queryOptions({
    queryKey: [...catalogueKey, text],
    queryFn: () => take(client.GET("/api/v1/catalogue", { params: { query: { text } } })),
    placeholderData: (before) => before,
  });

/** The entry that a part was copied from, as it is now. */
export const catalogueEntryQuery = (slug: string) =>
  queryOptions({
    queryKey: [...catalogueKey, "entry", slug],
    enabled: slug !== "",
    retry: false,
    queryFn: () => take(client.GET("/api/v1/catalogue/entries/{slug}", { params: { path: { slug } } })),
  });

export const readingsKey = (key: string) => ["readings", key] as const;

export const readingsQuery = (key: string, version: number) =>
  queryOptions({
    queryKey: [...readingsKey(key), version],
    queryFn: () => take(client.GET("/api/v1/builds/{key}/readings", at(key))),
    placeholderData: (before) => before,
    // A stream that comes in is looked at as it grows.
    refetchInterval: (query) => (query.state.data?.sets.some((s) => s.state === "coming") ? 1_000 : false),
  });

export const heldQuery = (key: string, set: string, version: number, samples: number) =>
  queryOptions({
    queryKey: ["held", key, set, version, samples],
    queryFn: () =>
      take(
        client.GET("/api/v1/builds/{key}/readings/{taken}/held", { params: { path: { key, taken: set } } }),
      ),
    placeholderData: (before) => before,
    enabled: set !== "",
  });
