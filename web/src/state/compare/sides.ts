import { queryOptions } from "@tanstack/react-query";

import { client, take, type BuildCard, type Compared } from "../../api/client";

/** Sides that stand beside each other at the most. */
export const MOST_SIDES = 4;

/** What a side is called in an address: a build's key, with a moment of it (@) or a school (~). */
export interface Ref {
  key: string;
  sign: "" | "@" | "~";
  which: string;
}

export function parted(ref: string): Ref {
  const at = ref.search(/[@~]/);
  if (at < 0) return { key: ref, sign: "", which: "" };
  return { key: ref.slice(0, at), sign: ref[at] as "@" | "~", which: ref.slice(at + 1) };
}

/** The sides of an address, each once, no more than there is room for. */
export function sidesOf(of: string | null): string[] {
  return [...new Set((of ?? "").split(",").filter(Boolean))].slice(0, MOST_SIDES);
}

/** The build that is to be worked out under schools before it can be compared; none: "". */
export const underSchools = (sides: string[]) => sides.map(parted).find((r) => r.sign === "~")?.key ?? "";

/** The build that a side can be taken into: of a variant the one that it began as. */
export function takenInto(ref: string, builds: BuildCard[]): BuildCard | undefined {
  const { key, sign } = parted(ref);
  const began = sign === "" ? builds.find((b) => b.key === key)?.began_as : "";
  return began ? builds.find((b) => b.key === began) : undefined;
}

/** The lines of a group: what differs, and what is the same. */
export function linesOf(compared: Compared, group: string) {
  const own = compared.lines.filter((l) => l.group === group);
  return { differ: own.filter((l) => l.differs), same: own.filter((l) => !l.differs) };
}

export const comparedQuery = (sides: string[]) =>
  queryOptions({
    queryKey: ["compared", ...sides],
    enabled: sides.length > 0,
    retry: false,
    staleTime: 0,
    queryFn: () => take(client.GET("/api/v1/compare", { params: { query: { sides: sides.join(",") } } })),
  });

export const schoolsQuery = queryOptions({
  queryKey: ["schools"],
  queryFn: () => take(client.GET("/api/v1/schools")),
});

export const pastQuery = (key: string) =>
  queryOptions({
    queryKey: ["past", key],
    enabled: key !== "",
    queryFn: () => take(client.GET("/api/v1/builds/{key}/past", { params: { path: { key } } })),
  });
