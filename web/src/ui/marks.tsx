/** Five-bar-gate marks for a count of things up to 25; beyond, the figure stands alone. */
export function TallyMarks({ count }: { count: number }) {
  if (count < 1 || count > 25) return null;
  const gates = Math.ceil(count / 5);
  const width = gates * 24;
  return (
    <svg width={width} height={18} viewBox={`0 0 ${width} 18`} aria-hidden="true" className="shrink-0">
      <g stroke="currentColor" strokeWidth="1.8" strokeLinecap="round">
        {Array.from({ length: count }, (_, i) => {
          const x = Math.floor(i / 5) * 24 + (i % 5) * 4.6 + 3;
          const gate = Math.floor(i / 5) * 24;
          return i % 5 === 4 ? (
            <path key={i} d={`M${gate} 14 L${gate + 20} 4`} />
          ) : (
            <path key={i} d={`M${x} 2 V16`} />
          );
        })}
      </g>
    </svg>
  );
}

/** What stands on figures that nobody measured. */
export function UsualMark() {
  return (
    <span className="ml-1.5 rounded-[3px] border border-current px-1 text-xs font-normal text-ink-soft">
      usual
    </span>
  );
}

const PATHS: Record<string, string> = {
  parts: "M4 6h16M4 12h10M4 18h13",
  supply: "M4 20h16M7 20v-6M12 20V5M17 20V10",
  loom: "M3 7h8v10h10M3 12h5M16 12h5",
  bench: "M3 9h18M5 9v11M19 9v11M8 5l3 4M16 4l-3 5",
  readings: "M3 17h4l3-9 4 12 3-7h4",
  ask: "M8 9c0-5 8-5 8 0 0 4-4 3.5-4 7M12 20v.5",
  drawer: "M4 4h16v16H4zM4 12h16M10 8h4M10 16h4",
  rules: "M5 4h14v16H5zM9 9h6M9 13h6",
  builds: "M4 4h7v7H4zM13 4h7v7h-7zM4 13h7v7H4zM13 13h7v7h-7z",
  down: "m6 9 6 6 6-6",
  undo: "M8 5 4 9l4 4M4 9h10a6 6 0 0 1 0 12h-3",
  redo: "M16 5l4 4-4 4M20 9H10a6 6 0 0 0 0 12h3",
};

export function Icon({ name, size = 22 }: { name: keyof typeof PATHS; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden="true"
    >
      <path d={PATHS[name]} />
    </svg>
  );
}
