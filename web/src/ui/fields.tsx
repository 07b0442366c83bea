import { createContext, useContext, useId, useState, useSyncExternalStore, type ReactNode } from "react";

import { Draft, type Read } from "../state/draft";
import { parseNumber, shown } from "../state/parts/figure";

/** Counts how often what is being typed was given up for what the build holds. */
export const GivenUp = createContext(0);

/** What is typed into a field that holds `value`, and not taken yet. */
function useDraft<T>(value: T, read: (text: string) => Read<T>, onCommit: (value: T) => Promise<unknown>) {
  const [draft] = useState(() => new Draft<T>());
  useSyncExternalStore(draft.subscribe, draft.snapshot, draft.snapshot);
  const beside = { era: useContext(GivenUp), value, read };
  const text = draft.text(beside);
  return {
    text,
    wrong: text === null ? "" : draft.wrong,
    type: (typed: string) => draft.type(typed, beside.era),
    drop: () => draft.drop(),
    commit: (again: boolean) => draft.commit(beside, again, onCommit),
  };
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
  const read = (text: string): Read<number | null> => {
    if (empty && text.trim() === "") return { ok: true, value: null };
    const n = parseNumber(text);
    if (n !== null && (!whole || Number.isInteger(n))) return { ok: true, value: n };
    const or = empty ? ", or nothing where it is not known" : "";
    const wrong = `Needs a ${whole ? "whole " : ""}number${unit ? ` of ${unit}` : ""}${or}; got “${text}”.`;
    return { ok: false, wrong };
  };
  const draft = useDraft(value, read, onCommit);
  const { wrong } = draft;
  return (
    <div className={compact ? "" : "grid gap-0.5"}>
      <label htmlFor={id} className={compact ? "sr-only" : "text-sm text-ink-soft"}>
        {label}
      </label>
      <span className="flex items-center gap-1.5">
        <input
          id={id}
          data-draft={draft.text !== null}
          inputMode="decimal"
          autoComplete="off"
          placeholder={placeholder}
          aria-invalid={wrong !== ""}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          className={`field ${narrow ? "w-14" : "w-20"} text-right font-mono text-md placeholder:font-sans placeholder:text-sm`}
          value={draft.text ?? shown(value)}
          onChange={(e) => {
            draft.type(e.target.value);
            const found = read(e.target.value);
            if (found.ok) onPreview?.(found.value);
          }}
          onBlur={() => void draft.commit(false)}
          onKeyDown={(e) => {
            if (e.key === "Enter") void draft.commit(true);
            if (e.key === "Escape" && draft.text !== null) {
              e.stopPropagation();
              draft.drop();
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
  const draft = useDraft(value, (text) => ({ ok: true, value: text.trim() }), onCommit);
  return (
    <div className="grid gap-0.5">
      <label htmlFor={id} className="text-sm text-ink-soft">
        {label}
      </label>
      <input
        id={id}
        data-draft={draft.text !== null}
        className="field w-full text-md"
        maxLength={max}
        value={draft.text ?? value}
        onChange={(e) => draft.type(e.target.value)}
        onBlur={() => void draft.commit(false)}
        onKeyDown={(e) => {
          if (e.key === "Enter") void draft.commit(true);
          if (e.key === "Escape") draft.drop();
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
  return (
    <label className="flex items-center gap-2 text-base">
      <input
        type="checkbox"
        className="size-4 accent-accent"
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  );
}
