import type { BuildCard } from "../../api/client";

export const SORTS = {
  changed: "last change",
  name: "name",
  watts: "watts at full",
  mend: "what is to mend",
} as const;
export type Sort = keyof typeof SORTS;

/** The words that a build is found by. */
function words(b: BuildCard): string {
  return [b.name, b.note, b.group, b.strip?.supply ?? "", b.overall?.text ?? b.problem]
    .join(" ")
    .toLowerCase();
}

/** Whether a build has each of some words somewhere in what is told of it. */
export const isFound = (b: BuildCard, text: string) =>
  text
    .toLowerCase()
    .split(/\s+/)
    .every((w) => words(b).includes(w));

const toMend = (b: BuildCard) => Object.values(b.strip?.mend ?? {}).reduce((a, n) => a + n, 0);

const BY: Record<Sort, (a: BuildCard, b: BuildCard) => number> = {
  changed: (a, b) => b.changed_at.localeCompare(a.changed_at),
  name: (a, b) => a.name.localeCompare(b.name),
  watts: (a, b) => (b.strip?.watts.full.likely ?? 0) - (a.strip?.watts.full.likely ?? 0),
  mend: (a, b) => toMend(b) - toMend(a),
};

export interface Group {
  name: string;
  /** Each build with whether it stands under the one that it began as. */
  builds: { build: BuildCard; under: boolean }[];
}

/** Builds that are found, in groups by name, those without one last; a variant stands under the
 * build that it began as, where that is in the same group. */
export function grouped(all: BuildCard[], text: string, sort: Sort): Group[] {
  const left = all.filter((b) => isFound(b, text)).sort(BY[sort]);
  const names = [...new Set(left.map((b) => b.group))].sort((a, b) =>
    a && b ? a.localeCompare(b) : a ? -1 : 1,
  );
  return names.map((name) => {
    const own = left.filter((b) => b.group === name);
    const here = new Set(own.map((b) => b.key));
    const tops = own.filter((b) => !here.has(b.began_as));
    const builds = tops.flatMap((build) => [
      { build, under: false },
      ...own.filter((v) => v.began_as === build.key).map((v) => ({ build: v, under: true })),
    ]);
    return { name, builds };
  });
}

/** Where a walk by keyboard goes from one build: by arrows, to the first and the last. */
export function walked(keys: string[], from: string, key: string): string | undefined {
  const at = keys.indexOf(from);
  const to: Record<string, number> = {
    ArrowDown: Math.min(at + 1, keys.length - 1),
    ArrowUp: Math.max(at - 1, 0),
    Home: 0,
    End: keys.length - 1,
    PageDown: Math.min(at + 8, keys.length - 1),
    PageUp: Math.max(at - 8, 0),
  };
  const place = to[key];
  return place === undefined ? undefined : keys[place];
}
