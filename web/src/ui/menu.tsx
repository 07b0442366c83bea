import { DropdownMenu } from "radix-ui";
import type { ReactNode } from "react";

import { Button } from "./button";

/** A menu that opens from a button. */
export function Menu({
  label,
  quiet = false,
  align = "end",
  stop = 0,
  children,
}: {
  label: ReactNode;
  quiet?: boolean;
  align?: "start" | "end";
  /** Whether Tab stops at its button. */
  stop?: 0 | -1;
  children: ReactNode;
}) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        {quiet ? (
          <Button
            look="quiet"
            className="min-h-7 px-1.5 text-sm underline decoration-dotted underline-offset-4"
          >
            {label}
          </Button>
        ) : (
          <Button tabIndex={stop}>{label}</Button>
        )}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align={align}
          sideOffset={4}
          className="z-30 min-w-44 border border-rule-strong bg-slip p-1 shadow-lg"
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** What stands over the choices of a menu. */
export function MenuNote({ children }: { children: ReactNode }) {
  return (
    <DropdownMenu.Label className="max-w-80 px-3 py-1.5 text-sm text-ink-soft">{children}</DropdownMenu.Label>
  );
}

export function MenuItem({ onSelect, children }: { onSelect: () => void; children: ReactNode }) {
  return (
    <DropdownMenu.Item
      onSelect={onSelect}
      className="cursor-pointer rounded-[3px] px-3 py-1.5 outline-none data-[highlighted]:bg-accent-wash"
    >
      {children}
    </DropdownMenu.Item>
  );
}
