import { useQuery } from "@tanstack/react-query";
import { memo } from "react";

import { referenceQuery } from "../state/queries";

const COLOURS: Record<string, string> = {
  y: "var(--pin-v12)",
  r: "var(--pin-v5)",
  o: "var(--pin-v3v3)",
  v: "var(--pin-v5sb)",
  m: "var(--pin-vneg)",
  k: "var(--pin-ground)",
  s: "var(--pin-signal)",
  n: "transparent",
};
const LETTERS: [string, string][] = [
  ["y", "12 V"],
  ["r", "5 V"],
  ["o", "3.3 V"],
  ["v", "standby"],
  ["m", "−12 V"],
  ["k", "ground"],
  ["s", "signal or sense"],
];

export type FaceSize = "lane" | "list" | "offer" | "open lane" | "large";
/** Sides of a pin in px by where its face stands: of most connectors, of the widest, of wide ones. */
const PIN_PX: Record<FaceSize, [number, number, number]> = {
  lane: [3, 2, 3],
  list: [4, 3, 3],
  offer: [6, 4, 4],
  "open lane": [7, 4, 5],
  large: [9, 6, 6],
};

function pinPx(columns: number, size: FaceSize): number {
  const [usual, widest, wide] = PIN_PX[size];
  return columns > 12 ? widest : columns > 10 ? wide : usual;
}

/** A connector seen into its mated face; hollow where nothing is plugged in. Drawn once: there are
 * dozens on a page, of dozens of pins each, and none changes with a figure. */
export const Face = memo(function Face({
  kind,
  size = "list",
  hollow = false,
}: {
  kind: string;
  size?: FaceSize;
  hollow?: boolean;
}) {
  const { data } = useQuery(referenceQuery);
  const found = data?.connectors.find((c) => c.kind === kind);
  if (!found) return null;
  const rows = found.side ? [...found.face, ` ${found.side} `] : found.face;
  const columns = Math.max(...found.face.map((r) => r.length));
  const pin = pinPx(columns, size);
  const body = rows.length * (pin + 1) + 5;
  const [w, h] = [columns * (pin + 1) + 5, body + (found.latch ? 3 : 0)];
  const tab = Math.max(5, Math.min(w / 3, 4 * pin));
  return (
    <svg
      width={w}
      height={h}
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label={found.latch ? `${found.words}, latch below` : found.words}
      className="block h-auto max-w-full shrink-0"
    >
      <rect
        x={0.5}
        y={0.5}
        width={w - 1}
        height={body - 1}
        rx={2}
        fill={hollow ? "none" : "var(--pin-body)"}
        stroke={hollow ? "var(--ink-soft)" : "var(--pin-body)"}
        strokeDasharray={hollow ? "2 2" : undefined}
      />
      {found.latch && (
        <rect
          x={(w - tab) / 2}
          y={body - 0.5}
          width={tab}
          height={2.5}
          fill={hollow ? "none" : "var(--pin-body)"}
          stroke={hollow ? "var(--ink-soft)" : "var(--pin-body)"}
          strokeWidth={0.6}
        />
      )}
      {rows.flatMap((row, y) =>
        [...row].map((letter, x) =>
          letter === " " ? null : (
            <rect
              key={`${x}-${y}`}
              x={
                3 +
                x * (pin + 1) +
                (y >= found.face.length ? (columns * (pin + 1) - row.length * (pin + 1)) / 2 : 0)
              }
              y={3 + y * (pin + 1)}
              width={pin}
              height={pin}
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
  const used = new Set(
    data?.connectors.filter((c) => kinds.includes(c.kind)).flatMap((c) => [...c.face.join(""), ...c.side]),
  );
  return (
    <ul className="flex flex-wrap gap-x-3 gap-y-0.5 text-xs text-ink-soft">
      {LETTERS.filter(([letter]) => used.has(letter)).map(([letter, word]) => (
        <li key={letter} className="flex items-center gap-1">
          <span className="size-2.5 border border-ink-soft" style={{ background: COLOURS[letter] }} />
          {word}
        </li>
      ))}
    </ul>
  );
}
