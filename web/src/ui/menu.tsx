import { DropdownMenu } from "radix-ui";
import type { ReactNode } from "react";

import { Button } from "./button";
import { over } from "./over";

/** A menu that opens from a button. */
export function Menu({
  label,
  spoken,
  quiet = false,
  bare = false,
  align = "end",
  stop = 0,
  children,
}: {
  label: ReactNode;
  /** Its name where the label alone does not tell. */
  spoken?: string;
  quiet?: boolean;
  /** A button that looks like the words it stands in. */
  bare?: boolean;
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
          <Button
            tabIndex={stop}
            aria-label={spoken}
            look={bare ? "quiet" : "plain"}
            className={bare ? "-ml-2 max-w-full justify-start px-2 text-left text-xl font-bold" : ""}
          >
            {label}
          </Button>
        )}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal container={over()}>
        <DropdownMenu.Content
          align={align}
          sideOffset={4}
          collisionPadding={8}
          className="z-30 max-h-(--radix-dropdown-menu-content-available-height) max-w-[min(340px,calc(100vw-16px))] min-w-44 overflow-y-auto border border-rule-strong bg-slip p-1 shadow-lg"
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
      className="flex cursor-pointer items-center rounded-[3px] px-3 py-1.5 outline-none max-[700px]:min-h-11 data-[highlighted]:bg-accent-wash"
    >
      {children}
    </DropdownMenu.Item>
  );
}
