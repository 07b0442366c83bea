import uPlot from "uplot";
import "uplot/dist/uPlot.min.css";
import { useEffect, useRef } from "react";

import { timeWords, type Range } from "../state/readings/range";
import { spoken } from "../state/readings/strip";

/** One line: its least and its most in each bucket, so that no peak is lost. */
export interface Line {
  channel: string;
  words: string;
  times: number[];
  low: (number | null)[];
  high: (number | null)[];
}
/** What is expected while a state lasts, and what must not be crossed. */
export interface Expected {
  from: number;
  to: number;
  low: number | null;
  high: number | null;
  most: number | null;
}

export const INKS = ["accent", "tight", "bar-dark", "over", "unknown", "within", "ink"];
const DASHES: number[][] = [[], [7, 3], [2, 3]];
export const inkOf = (i: number) => INKS[i % INKS.length] ?? "ink";
export const dashOf = (i: number) => DASHES[Math.floor(i / INKS.length) % DASHES.length] ?? [];

const token = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim();

/** Readings of one unit over time, on the axis that all strips share. */
export function TimeStrip({
  unit,
  lines,
  firstInk,
  expected,
  range,
  height,
  onRange,
  onZoom,
}: {
  unit: string;
  lines: Line[];
  /** The place of its first line among all that are drawn, for its ink. */
  firstInk: number;
  expected: Expected[];
  range: Range;
  height: number;
  onRange: (range: Range) => void;
  onZoom: (factor: number, around: number) => void;
}) {
  const at = useRef<HTMLDivElement>(null);
  const plot = useRef<uPlot | null>(null);
  const live = useRef({ expected, onRange, onZoom, range });
  useEffect(() => {
    live.current = { expected, onRange, onZoom, range };
  });
  const names = lines.map((l) => l.channel).join();
  useEffect(() => {
    const element = at.current;
    if (!element) return;
    const made = new uPlot(
      options(element.clientWidth, height, unit, lines, firstInk, live),
      data(lines),
      element,
    );
    plot.current = made;
    const watch = new ResizeObserver(() => made.setSize({ width: element.clientWidth, height }));
    watch.observe(element);
    const wheel = (e: WheelEvent) => {
      if (!e.ctrlKey && !e.shiftKey && Math.abs(e.deltaY) < Math.abs(e.deltaX)) return;
      e.preventDefault();
      const around = made.posToVal(e.clientX - made.over.getBoundingClientRect().left, "x");
      live.current.onZoom(e.deltaY < 0 ? 0.8 : 1.25, around);
    };
    made.over.addEventListener("wheel", wheel, { passive: false });
    return () => {
      watch.disconnect();
      made.destroy();
      plot.current = null;
    };
    // A plot is made anew for other lines; what they hold is set below.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [names, unit, height, firstInk]);
  useEffect(() => {
    plot.current?.setData(data(lines), false);
    plot.current?.setScale("x", { min: range.from, max: range.to });
  }, [lines, range, expected]);
  return (
    <div
      ref={at}
      role="img"
      aria-label={spoken(lines, expected, range, unit)}
      data-strip-of={unit}
      className="w-full"
    />
  );
}

function data(lines: Line[]): uPlot.AlignedData {
  const times = lines[0]?.times ?? [];
  return [times, ...lines.flatMap((l) => [l.high, l.low])] as uPlot.AlignedData;
}

interface Live {
  expected: Expected[];
  onRange: (range: Range) => void;
}

function options(
  width: number,
  height: number,
  unit: string,
  lines: Line[],
  firstInk: number,
  live: { readonly current: Live },
): uPlot.Options {
  const ink = token("ink-soft");
  const font = `12px ${getComputedStyle(document.body).fontFamily}`;
  const axis = { stroke: ink, font, grid: { stroke: token("rule"), width: 1 }, ticks: { show: false } };
  return {
    width,
    height,
    legend: { show: false },
    cursor: { drag: { x: true, y: false, setScale: false }, points: { show: false } },
    scales: {
      x: { time: false, auto: false },
      y: { range: (_u, low, high) => bounds(low, high, live.current.expected) },
    },
    axes: [
      {
        ...axis,
        values: (_u, splits) => splits.map((s) => (s < 7200 ? `${Number(s.toFixed(3))} s` : timeWords(s))),
        size: 26,
      },
      {
        ...axis,
        values: (_u, splits) => splits.map((s) => `${s}`),
        size: 56,
        label: unit,
        labelFont: font,
        labelSize: 16,
      },
    ],
    series: [
      {},
      ...lines.flatMap((_l, i) => {
        const of = {
          stroke: token(inkOf(firstInk + i)),
          dash: dashOf(firstInk + i),
          width: 1.5,
          points: { show: (u: uPlot) => (u.data[0]?.length ?? 0) < 3 },
        };
        return [of, { ...of, width: 1 }];
      }),
    ],
    bands: lines.map((_l, i) => ({
      series: [2 * i + 1, 2 * i + 2] as [number, number],
      fill: `color-mix(in srgb, ${token(inkOf(firstInk + i))} 35%, transparent)`,
    })),
    hooks: {
      drawClear: [(u) => drawExpected(u, live.current.expected)],
      setSelect: [
        (u) => {
          if (u.select.width < 4) return;
          const from = u.posToVal(u.select.left, "x");
          const to = u.posToVal(u.select.left + u.select.width, "x");
          u.setSelect({ left: 0, top: 0, width: 0, height: 0 }, false);
          live.current.onRange({ from, to });
        },
      ],
    },
  };
}

/** The values in sight, what is expected, and a limit that is near. */
function bounds(low: number | null, high: number | null, expected: Expected[]): [number, number] {
  const values = [low, high, ...expected.flatMap((e) => [e.low, e.high])].filter(
    (x): x is number => x !== null && Number.isFinite(x),
  );
  if (!values.length) return [0, 1];
  let [least, most] = [Math.min(...values), Math.max(...values)];
  const limits = expected.map((e) => e.most).filter((x): x is number => x !== null && x < most * 2.2);
  most = Math.max(most, ...limits);
  if (least < 0.6 * most) least = Math.min(0, least);
  const room = (most - least || 1) * 0.06;
  return [least === 0 ? 0 : least - room, most + room];
}

function drawExpected(u: uPlot, expected: Expected[]) {
  const { ctx } = u;
  const { left, top, width, height } = u.bbox;
  ctx.save();
  ctx.beginPath();
  ctx.rect(left, top, width, height);
  ctx.clip();
  for (const e of expected) {
    const x = u.valToPos(e.from, "x", true);
    const across = u.valToPos(e.to, "x", true) - x;
    if (e.low !== null && e.high !== null) {
      const y = u.valToPos(e.high, "y", true);
      const tall = Math.max(3, u.valToPos(e.low, "y", true) - y);
      ctx.fillStyle = token("accent-wash");
      ctx.fillRect(x, y, across, tall);
    }
    if (e.most !== null) {
      ctx.strokeStyle = token("over");
      ctx.lineWidth = 2;
      ctx.setLineDash([8, 5]);
      ctx.beginPath();
      const y = u.valToPos(e.most, "y", true);
      ctx.moveTo(x, y);
      ctx.lineTo(x + across, y);
      ctx.stroke();
      ctx.setLineDash([]);
    }
  }
  ctx.restore();
}
