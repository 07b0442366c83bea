import { useQuery } from "@tanstack/react-query";
import { memo } from "react";

import { referenceQuery } from "../state/queries";

const COLOURS: Record<string, string> = {
  y: "var(--pin-v12)",
  r: "var(--pin-v5)",
  o: "var(--pin-v3v3)",
  v: "var(--pin-v5sb)",
  m: "#6f93c9",
  k: "var(--pin-ground)",
  s: "var(--pin-signal)",
  n: "transparent",
};
const LETTERS: [string, string][] = [
  ["y", "12 V"], ["r", "5 V"], ["o", "3.3 V"], ["v", "standby"], ["m", "−12 V"], ["k", "ground"], ["s", "signal or sense"],
];

/** Width in px of a face drawn with pins of `pin` px. */
export function faceWidth(columns: number, pin: number): number {
  return columns * (pin + 1) + 5;
}

/** A connector seen into its mated face; hollow where nothing is plugged in. Drawn once: there are
 * dozens on a page, of dozens of pins each, and none changes with a figure. */
export const Face = memo(function Face({ kind, pin = 4, hollow = false }: { kind: string; pin?: number; hollow?: boolean }) {
  const { data } = useQuery(referenceQuery);
  const found = data?.connectors.find((c) => c.kind === kind);
  if (!found) return null;
  const rows = found.side ? [...found.face, ` ${found.side} `] : found.face;
  const columns = Math.max(...found.face.map((r) => r.length));
  const [w, h] = [faceWidth(columns, pin), rows.length * (pin + 1) + 5];
  return (
    <svg width={w} height={h} viewBox={`0 0 ${w} ${h}`} role="img" aria-label={found.words} className="block h-auto max-w-full shrink-0">
      <rect
        x={0.5} y={0.5} width={w - 1} height={h - 1} rx={2}
        fill={hollow ? "none" : "var(--pin-body)"}
        stroke={hollow ? "var(--ink-soft)" : "var(--pin-body)"}
        strokeDasharray={hollow ? "2 2" : undefined}
      />
      {rows.flatMap((row, y) =>
        [...row].map((letter, x) =>
          letter === " " ? null : (
            <rect
              key={`${x}-${y}`}
              x={3 + x * (pin + 1) + (y >= found.face.length ? (columns * (pin + 1) - row.length * (pin + 1)) / 2 : 0)}
              y={3 + y * (pin + 1)}
              width={pin} height={pin}
              fill={hollow ? "none" : COLOURS[letter]}
              stroke={hollow || letter === "n" ? "var(--ink-soft)" : "none"}
              strokeWidth={hollow ? 0.6 : 0.5}
            />
          ),
        ),
      )}
    </svg>
  );
});

/** What the pin colours of some connectors mean, each with its word. */
export function PinKey({ kinds }: { kinds: string[] }) {
  const { data } = useQuery(referenceQuery);
  const used = new Set(data?.connectors.filter((c) => kinds.includes(c.kind)).flatMap((c) => [...c.face.join(""), ...c.side]));
  return (
    <ul className="flex flex-wrap gap-x-3 gap-y-0.5 text-[12px] text-ink-soft">
      {LETTERS.filter(([letter]) => used.has(letter)).map(([letter, word]) => (
        <li key={letter} className="flex items-center gap-1">
          <span className="size-2.5 border border-ink-soft" style={{ background: COLOURS[letter] }} />
          {word}
        </li>
      ))}
    </ul>
  );
}
