import { Dialog as D, DropdownMenu, Popover as P } from "radix-ui";
import type { ComponentProps, ReactNode } from "react";

type Look = "plain" | "main" | "quiet";
const LOOKS: Record<Look, string> = {
  plain: "border border-ink bg-slip text-ink hover:bg-accent-wash",
  main: "border border-accent bg-accent text-accent-ink hover:brightness-110",
  quiet: "border border-transparent text-ink hover:bg-accent-wash",
};

/** The one button. */
export function Button({ look = "plain", className = "", ...rest }: ComponentProps<"button"> & { look?: Look }) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-8 items-center justify-center gap-1.5 rounded-[3px] px-3 text-[14px] font-semibold whitespace-nowrap disabled:opacity-45 ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}

/** A dialog over the page. */
export function Dialog({
  open, onClose, title, children, wide = false,
}: { open: boolean; onClose: () => void; title: string; children: ReactNode; wide?: boolean }) {
  return (
    <D.Root open={open} onOpenChange={(o) => !o && onClose()}>
      <D.Portal>
        <D.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <D.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(e) => {
            // The dialog itself, not what stands first in it: nothing looks chosen before it is.
            e.preventDefault();
            (e.currentTarget as HTMLElement).focus();
          }}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] ${wide ? "w-[980px]" : "w-[520px]"} max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col border border-rule-strong bg-slip p-5 shadow-xl`}
          style={{ outline: "none" }}
        >
          <div className="mb-3 flex items-start justify-between gap-3">
            <D.Title className="text-[20px] leading-8 font-bold">{title}</D.Title>
            <D.Close asChild><Button look="quiet">Close</Button></D.Close>
          </div>
          <div tabIndex={0} className="min-h-0 overflow-auto p-1">{children}</div>
        </D.Content>
      </D.Portal>
    </D.Root>
  );
}

/** A menu that opens from a button. */
export function Menu({ label, children }: { label: ReactNode; children: ReactNode }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <Button>{label}</Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" sideOffset={4} className="z-30 min-w-44 border border-rule-strong bg-slip p-1 shadow-lg">
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

/** Content that opens over the page from a trigger. */
export function Popover({
  trigger, children, open, onOpenChange, label,
}: { trigger: ReactNode; children: ReactNode; open: boolean; onOpenChange: (o: boolean) => void; label: string }) {
  return (
    <P.Root open={open} onOpenChange={onOpenChange}>
      <P.Trigger asChild>{trigger}</P.Trigger>
      <P.Portal>
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
