import { Dialog as D } from "radix-ui";
import type { ReactNode, RefObject } from "react";

import { Button } from "./button";

/** A dialog over the page. */
export function Dialog({
  open,
  onClose,
  title,
  children,
  wide = false,
  first,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  children: ReactNode;
  wide?: boolean;
  /** The field that is in hand when it opens, its text chosen. */
  first?: RefObject<HTMLInputElement | null>;
}) {
  return (
    <D.Root open={open} onOpenChange={(o) => !o && onClose()}>
      <D.Portal>
        <D.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <D.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(e) => {
            // The dialog itself, not what stands first in it: nothing looks chosen before it is.
            e.preventDefault();
            (first?.current ?? (e.currentTarget as HTMLElement)).focus();
            first?.current?.select();
          }}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] ${wide ? "w-[980px]" : "w-[520px]"} max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col border border-rule-strong bg-slip p-5 shadow-xl max-[700px]:inset-0 max-[700px]:max-h-none max-[700px]:w-full max-[700px]:max-w-none max-[700px]:translate-none max-[700px]:border-0 max-[700px]:p-3`}
          style={{ outline: "none" }}
        >
          <div className="mb-3 flex items-start justify-between gap-3">
            <D.Title className="text-xl leading-8 font-bold">{title}</D.Title>
            <D.Close asChild>
              <Button look="quiet">Close</Button>
            </D.Close>
          </div>
          <div tabIndex={0} className="min-h-0 overflow-auto p-1">
            {children}
          </div>
        </D.Content>
      </D.Portal>
    </D.Root>
  );
}
