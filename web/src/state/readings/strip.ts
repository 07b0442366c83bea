interface Line {
  words: string;
  times: number[];
  low: (number | null)[];
  high: (number | null)[];
}
interface Span {
  from: number;
  to: number;
  low: number | null;
  high: number | null;
  most: number | null;
}

const figure = (n: number) => String(Number(n.toPrecision(4)));

/** Least and most of a line between two times; null where nothing was read. */
function between(line: Line, from: number, to: number): [number, number] | null {
  const inside = line.times.flatMap((t, i) => (t >= from && t <= to ? [i] : []));
  const low = inside.flatMap((i) => line.low[i] ?? []);
  const high = inside.flatMap((i) => line.high[i] ?? []);
  return low.length && high.length ? [Math.min(...low), Math.max(...high)] : null;
}

/** What a strip shows, for whoever does not see it: each line in each state, beside what is tallied
 * and what must not be crossed; where no state is known, over all that is in sight. */
export function spoken(lines: Line[], spans: Span[], range: { from: number; to: number }, unit: string) {
  const told = lines.flatMap((line) => {
    const states = spans.flatMap((s) => {
      const read = between(line, s.from, s.to);
      if (!read) return [];
      const tallied =
        s.low !== null && s.high !== null ? `, tallied ${figure(s.low)} to ${figure(s.high)}` : "";
      const most = s.most !== null ? `, at most ${figure(s.most)} allowed` : "";
      return [`${figure(read[0])} to ${figure(read[1])} ${unit}${tallied}${most}`];
    });
    const whole = between(line, range.from, range.to);
    if (states.length) return [`${line.words}: ${states.join("; then ")}`];
    return whole ? [`${line.words}: ${figure(whole[0])} to ${figure(whole[1])} ${unit}`] : [];
  });
  return told.length ? `${told.join(". ")}.` : `Nothing was read here in ${unit}.`;
}
