export interface Flag {
  x: number;
  text: string;
  governs: boolean;
}

/** Put flags in as few rows as keep them apart; the one that governs stands lowest, nearest the line. */
export function placeFlags<F extends Flag>(
  flags: F[],
  width: number,
): (F & { left: number; width: number; row: number })[] {
  const rows: [number, number][][] = [];
  const placed = [...flags]
    .sort((a, b) => Number(b.governs) - Number(a.governs) || b.x - a.x)
    .map((flag) => {
      const own = 7.4 * (flag.text.length + (flag.governs ? 9 : 8)) + 14;
      const left = Math.max(0, flag.x + own > width ? flag.x - own : flag.x);
      let row = rows.findIndex((r) => r.every(([a, b]) => left > b + 6 || left + own < a - 6));
      if (row < 0) row = rows.push([]) - 1;
      rows[row]?.push([left, left + own]);
      return { ...flag, left, width: own, row };
    });
  // Row 0 was filled first; draw it nearest to the line.
  return placed.map((f) => ({ ...f, row: rows.length - 1 - f.row }));
}
