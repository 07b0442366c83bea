import { Popover as P } from "radix-ui";
import { useId, useRef, type KeyboardEvent, type ReactNode, type RefObject } from "react";

export interface Choice {
  id: string;
  words: string;
  hint: string;
  /** The digit that takes it, with Alt held. */
  key?: string | undefined;
}

/**
 * A line of text with choices under it. Which one is active is the owner's to say: nothing is
 * chosen by itself. Arrows move, Enter takes, Alt and its digit takes a choice that has one, Escape clears; the text stays in hand throughout.
 */
export function Combobox<C extends Choice>({
  label,
  listLabel,
  placeholder,
  text,
  onText,
  choices,
  active,
  onMove,
  onEnter,
  onTake,
  onEscape,
  open,
  onOpen,
  told,
  under,
  nothing,
  line,
  takesFocus = false,
}: {
  label: string;
  listLabel: string;
  placeholder: string;
  text: string;
  onText: (text: string) => void;
  choices: C[];
  /** Place of the active choice; −1 where none is. */
  active: number;
  onMove: (to: number) => void;
  onEnter: () => void;
  onTake: (choice: C) => void;
  onEscape?: () => void;
  open: boolean;
  onOpen: (open: boolean) => void;
  /** What is told under the line. */
  told: string;
  /** What stands above the choices. */
  under?: ReactNode;
  /** What stands in the list where it is empty. */
  nothing: ReactNode;
  line?: RefObject<HTMLInputElement | null>;
  /** Whether it is in hand as soon as it stands there. */
  takesFocus?: boolean;
}) {
  const id = useId();
  const own = useRef<HTMLInputElement>(null);
  const panel = useRef<HTMLDivElement>(null);
  const input = line ?? own;
  const keys = (e: KeyboardEvent) => {
    if (e.key === "ArrowDown" || e.key === "ArrowUp") {
      e.preventDefault();
      onOpen(true);
      const step = e.key === "ArrowDown" ? 1 : -1;
      if (choices.length) onMove(Math.max(0, (active + step + choices.length) % choices.length));
    }
    const digit = e.altKey && /^Digit[0-9]$/.test(e.code) ? e.code.at(-1) : undefined;
    const answer = digit && choices.find((c) => c.key === digit);
    if (answer) {
      e.preventDefault();
      onTake(answer);
    }
    if (e.key === "Enter" && open) onEnter();
    if (e.key === "Escape") {
      onOpen(false);
      onEscape?.();
    }
  };
  return (
    <P.Root open={open} onOpenChange={onOpen}>
      <P.Anchor asChild>
        <div>
          <label htmlFor={id} className="sr-only">
            {label}
          </label>
          <input
            ref={input}
            autoFocus={takesFocus}
            id={id}
            role="combobox"
            data-line
            autoComplete="off"
            aria-autocomplete="list"
            aria-expanded={open}
            aria-controls={`${id}-list`}
            aria-describedby={`${id}-told`}
            aria-activedescendant={open && choices[active] ? `${id}-${active}` : undefined}
            placeholder={placeholder}
            value={text}
            className="h-11 w-full border-2 border-accent bg-slip px-4 text-lg placeholder:text-ink-soft"
            onChange={(e) => {
              onText(e.target.value);
              onOpen(true);
            }}
            onClick={() => onOpen(true)}
            onBlur={(e) => {
              if (!panel.current?.contains(e.relatedTarget)) onOpen(false);
            }}
            onKeyDown={keys}
          />
          <p
            id={`${id}-told`}
            role="status"
            className={`min-h-5 pt-0.5 text-sm font-semibold ${active >= 0 ? "text-accent" : "text-tight"}`}
          >
            {told}
          </p>
        </div>
      </P.Anchor>
      <P.Content
        asChild
        side="bottom"
        align="start"
        sideOffset={2}
        avoidCollisions={false}
        onOpenAutoFocus={(e) => e.preventDefault()}
        onCloseAutoFocus={(e) => e.preventDefault()}
        onInteractOutside={(e) => {
          if (e.target === input.current) e.preventDefault();
        }}
      >
        <div
          ref={panel}
          data-panel
          role="group"
          aria-label={label}
          className="z-30 w-(--radix-popover-trigger-width) border border-accent bg-slip text-ink shadow-lg"
        >
          {under}
          <Choices
            id={id}
            label={listLabel}
            choices={choices}
            active={active}
            onTake={onTake}
            nothing={nothing}
          />
        </div>
      </P.Content>
    </P.Root>
  );
}

/** The choices under the line, the active one in sight. */
function Choices<C extends Choice>({
  id,
  label,
  choices,
  active,
  onTake,
  nothing,
}: {
  id: string;
  label: string;
  choices: C[];
  active: number;
  onTake: (choice: C) => void;
  nothing: ReactNode;
}) {
  return (
    <ul id={`${id}-list`} role="listbox" aria-label={label} className="max-h-80 overflow-auto">
      {choices.map((c, i) => (
        <li
          key={c.id}
          id={`${id}-${i}`}
          role="option"
          aria-selected={i === active}
          data-option={c.id}
          ref={i === active ? (e) => e?.scrollIntoView({ block: "nearest" }) : undefined}
          className="flex cursor-pointer items-baseline justify-between gap-4 px-4 py-2 text-md hover:bg-accent-wash aria-selected:bg-accent-wash aria-selected:shadow-[inset_4px_0_0_var(--accent)]"
          onMouseDown={(e) => {
            e.preventDefault();
            onTake(c);
          }}
        >
          <span className="flex items-baseline gap-3">
            {c.key && (
              <kbd className="shrink-0 rounded-[3px] border border-rule-strong bg-paper px-1.5 font-mono text-sm">
                Alt {c.key}
              </kbd>
            )}
            {c.words}
          </span>
          <span className="max-w-[45%] shrink-0 text-right text-sm text-ink-soft">{c.hint}</span>
        </li>
      ))}
      {choices.length === 0 && (
        <li role="option" aria-selected={false} aria-disabled className="px-4 py-2 text-ink-soft">
          {nothing}
        </li>
      )}
    </ul>
  );
}
