export interface Flag {
  x: number;
  text: string;
  governs: boolean;
}

type Placed<F> = F & { left: number; width: number; row: number };

/**
 * Put flags in as few rows as keep them apart, right or left of their pole; the one that governs
 * stands lowest, nearest the line.
 */
export function placeFlags<F extends Flag>(flags: F[], width: number): Placed<F>[] {
  const rows: [number, number][][] = [];
  const placed = [...flags]
    .sort((a, b) => Number(b.governs) - Number(a.governs) || b.x - a.x)
    .map((flag) => {
      const own = 7.4 * (flag.text.length + (flag.governs ? 9 : 8)) + 14;
      const sides = [flag.x, flag.x - own].filter((left) => left >= 0 && left + own <= width);
      const ways = sides.length ? sides : [Math.max(0, flag.x + own > width ? flag.x - own : flag.x)];
      const free = (row: [number, number][], left: number) =>
        row.every(([a, b]) => left > b + 6 || left + own < a - 6);
      for (const [row, taken] of rows.entries()) {
        const left = ways.find((way) => free(taken, way));
        if (left !== undefined) {
          taken.push([left, left + own]);
          return { ...flag, left, width: own, row };
        }
      }
      const left = ways[0] ?? 0;
      rows.push([[left, left + own]]);
      return { ...flag, left, width: own, row: rows.length - 1 };
    });
  // Row 0 was filled first; draw it nearest to the line.
  return placed.map((f) => ({ ...f, row: rows.length - 1 - f.row }));
}
