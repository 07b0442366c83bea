import { Popover as P } from "radix-ui";
import type { ReactNode } from "react";

import { over } from "./over";

/** Content that opens over the page from a trigger. */
export function Popover({
  trigger,
  children,
  open,
  onOpenChange,
  label,
}: {
  trigger: ReactNode;
  children: ReactNode;
  open: boolean;
  onOpenChange: (o: boolean) => void;
  label: string;
}) {
  return (
    <P.Root open={open} onOpenChange={onOpenChange}>
      <P.Trigger asChild>{trigger}</P.Trigger>
      <P.Portal container={over()}>
        <P.Content
          aria-label={label}
          side="top"
          align="start"
          sideOffset={8}
          collisionPadding={12}
          className="z-30 max-h-[70vh] w-[460px] max-w-[94vw] overflow-auto border border-rule-strong bg-slip p-2 text-ink shadow-xl"
        >
          {children}
        </P.Content>
      </P.Portal>
    </P.Root>
  );
}
