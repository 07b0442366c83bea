import { queryOptions, useQuery } from "@tanstack/react-query";

import { client, take, type Here } from "../../api/client";

/** Who asks: the desk, or a device with what it may do. */
export const hereQuery = queryOptions({
  queryKey: ["here"],
  queryFn: () => take(client.GET("/api/v1/here")),
  staleTime: Infinity,
});

export const doorQuery = queryOptions({
  queryKey: ["door"],
  queryFn: () => take(client.GET("/api/v1/door")),
  refetchInterval: 2_000,
});

const DESK: Here = { is_device: false, name: "", allows: "everything", build: "", closes_at: "" };

export function useHere(): Here {
  return useQuery(hereQuery).data ?? DESK;
}

/** The stations that a device is let in for; null: all of them. */
export function stationsOf(here: Here): Set<string> | null {
  if (here.allows === "everything") return null;
  return new Set(
    here.allows === "bench"
      ? ["loom", "bench", "readings"]
      : ["parts", "supply", "loom", "bench", "readings"],
  );
}

/** Whether this window changes the build; a device may be let in for less. */
export function useMayEdit(): boolean {
  return useHere().allows === "everything";
}

/** What a device may do, in words. */
export const ALLOWS: Record<Here["allows"], string> = {
  bench: "the bench: steps, photos, typed readings",
  look: "looking on",
  everything: "everything but this door",
};
