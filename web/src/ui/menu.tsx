import { DropdownMenu } from "radix-ui";
import type { ReactNode } from "react";

import { Button } from "./button";

/** A menu that opens from a button. */
export function Menu({ label, children }: { label: ReactNode; children: ReactNode }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <Button>{label}</Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-30 min-w-44 border border-rule-strong bg-slip p-1 shadow-lg"
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
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
