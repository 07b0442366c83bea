/** What a path of a build leads to, in words. */
export function pathWords(path: string): string {
  return path
    .replace(/^(part|cable|run|socket|plug|port):/, "$1 ")
    .replaceAll("/", " · ")
    .replaceAll("_", " ");
}

/** A value in a few words: a figure by its likely value and origin. */
export function valueWords(v: unknown): string {
  if (v === null || v === undefined) return "nothing";
  if (typeof v !== "object") return String(v);
  if ("likely" in v) return `${String(v.likely)}${"origin" in v ? ` (${String(v.origin)})` : ""}`;
  if ("name" in v) return String(v.name);
  return Array.isArray(v) ? `${v.length} entries` : "another value";
}
