import { createContext, useContext, useId, useRef, useState, type ReactNode } from "react";

import { parseNumber, shown } from "../state/parts/figure";

/** Counts how often what is being typed was given up for what the build holds. */
export const GivenUp = createContext(0);

/** What is typed and not committed yet; gone when it is given up. */
function useDraft() {
  const givenUp = useContext(GivenUp);
  const [seen, setSeen] = useState(givenUp);
  const [draft, setDraft] = useState<string | null>(null);
  if (seen !== givenUp) {
    setSeen(givenUp);
    setDraft(null);
  }
  return [draft, setDraft] as const;
}

/** Sends what is typed, each text once; what is typed while that goes in stays. */
function useSending(setDraft: (to: (now: string | null) => string | null) => void) {
  const sent = useRef<string | null>(null);
  const send = async (text: string, to: () => Promise<unknown>): Promise<boolean> => {
    sent.current = text;
    try {
      const done = Boolean(await to());
      if (done) setDraft((now) => (now === text ? null : now));
      return done;
    } finally {
      if (sent.current === text) sent.current = null;
    }
  };
  return { sent, send };
}

/**
 * A number that previews while it is typed and commits on Enter or when the field is left.
 * Escape puts the old value back. What can't be a number stays in the field, marked.
 */
export function NumberField({
  label,
  value,
  unit,
  placeholder = "",
  empty = false,
  whole = false,
  onPreview,
  onCommit,
  compact = false,
  narrow = false,
}: {
  label: ReactNode;
  value: number | null;
  unit: string;
  placeholder?: string;
  /** Whether an empty field is an answer: not known. */
  empty?: boolean;
  whole?: boolean;
  onPreview?: (value: number | null) => void;
  onCommit: (value: number | null) => Promise<unknown>;
  compact?: boolean;
  narrow?: boolean;
}) {
  const id = useId();
  const [draft, setDraft] = useDraft();
  const [wrong, setWrong] = useState("");
  const { sent, send } = useSending(setDraft);
  /** What was sent and not taken: it stays on screen, and leaving the field does not send it again. */
  const [refused, setRefused] = useState<string | null>(null);

  const read = (text: string): { ok: true; value: number | null } | { ok: false } => {
    if (empty && text.trim() === "") return { ok: true, value: null };
    const n = parseNumber(text);
    return n === null || (whole && !Number.isInteger(n)) ? { ok: false } : { ok: true, value: n };
  };
  if (draft !== null && draft === refused) {
    const found = read(draft);
    if (found.ok && found.value === value) {
      setDraft(null); // taken after all: the builder kept his
      setRefused(null);
    }
  }
  const commit = async (again: boolean) => {
    if (draft === null || draft === sent.current || (!again && draft === refused)) return;
    const found = read(draft);
    if (!found.ok) {
      setWrong(
        `Needs a ${whole ? "whole " : ""}number${unit ? ` of ${unit}` : ""}${empty ? ", or nothing where it is not known" : ""}; got “${draft}”.`,
      );
      return;
    }
    if (found.value === value && sent.current === null) {
      setDraft(null);
      return;
    }
    const done = await send(draft, () => onCommit(found.value));
    // What was not taken stays on screen, to be mended.
    setRefused(done ? null : draft);
  };
  return (
    <div className={compact ? "" : "grid gap-0.5"}>
      <label htmlFor={id} className={compact ? "sr-only" : "text-sm text-ink-soft"}>
        {label}
      </label>
      <span className="flex items-center gap-1.5">
        <input
          id={id}
          data-draft={draft !== null}
          inputMode="decimal"
          autoComplete="off"
          placeholder={placeholder}
          aria-invalid={wrong !== ""}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          className={`field ${narrow ? "w-14" : "w-20"} text-right font-mono text-md placeholder:font-sans placeholder:text-sm`}
          value={draft ?? shown(value)}
          onChange={(e) => {
            setDraft(e.target.value);
            setWrong("");
            const found = read(e.target.value);
            if (found.ok) onPreview?.(found.value);
          }}
          onBlur={() => void commit(false)}
          onKeyDown={(e) => {
            if (e.key === "Enter") void commit(true);
            if (e.key === "Escape" && draft !== null) {
              e.stopPropagation();
              setDraft(null);
              setWrong("");
              onPreview?.(value);
            }
          }}
        />
        {unit && <span className="text-ink-soft">{unit}</span>}
      </span>
      {wrong && (
        <p id={`${id}-wrong`} className="text-sm font-semibold text-over">
          {wrong}
        </p>
      )}
    </div>
  );
}

/** A line of text that commits on Enter or when the field is left. */
export function TextField({
  label,
  value,
  onCommit,
  max = 80,
}: {
  label: string;
  value: string;
  onCommit: (v: string) => Promise<unknown>;
  max?: number;
}) {
  const id = useId();
  const [draft, setDraft] = useDraft();
  const { sent, send } = useSending(setDraft);
  const commit = async () => {
    if (draft === null || draft === sent.current) return;
    if (draft.trim() === value && sent.current === null) setDraft(null);
    else await send(draft, () => onCommit(draft.trim()));
  };
  return (
    <div className="grid gap-0.5">
      <label htmlFor={id} className="text-sm text-ink-soft">
        {label}
      </label>
      <input
        id={id}
        data-draft={draft !== null}
        className="field w-full text-md"
        maxLength={max}
        value={draft ?? value}
        onChange={(e) => setDraft(e.target.value)}
        onBlur={() => void commit()}
        onKeyDown={(e) => {
          if (e.key === "Enter") void commit();
          if (e.key === "Escape") setDraft(null);
        }}
      />
    </div>
  );
}

/** One of a few. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel = false,
}: {
  label: string;
  value: T;
  options: { value: T; words: string }[];
  onChange: (v: T) => void;
  hideLabel?: boolean;
}) {
  const id = useId();
  return (
    <div className="grid min-w-0 gap-0.5">
      <label htmlFor={id} className={hideLabel ? "sr-only" : "text-sm text-ink-soft"}>
        {label}
      </label>
      <select
        id={id}
        className="field min-w-0 text-base"
        value={value}
        onChange={(e) => onChange(e.target.value as T)}
      >
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.words}
          </option>
        ))}
      </select>
    </div>
  );
}

export function Tick({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (v: boolean) => void;
}) {
  const id = useId();
  return (
    <span className="flex items-center gap-2">
      <input
        id={id}
        type="checkbox"
        className="size-4 accent-accent"
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
      />
      <label htmlFor={id} className="text-base">
        {label}
      </label>
    </span>
  );
}
