import { AlertDialog as A } from "radix-ui";
import type { ReactNode } from "react";

/** A question that has to be answered before anything else; Escape leaves it as it is. */
export function AlertDialog({
  title,
  children,
  answers,
  onLeave,
  wide = false,
}: {
  title: string;
  children: ReactNode;
  answers: ReactNode;
  onLeave: () => void;
  wide?: boolean;
}) {
  return (
    <A.Root open onOpenChange={(open) => !open && onLeave()}>
      <A.Portal>
        <A.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <A.Content
          aria-describedby={undefined}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] ${wide ? "w-[640px]" : "w-[520px]"} max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col border-2 border-tight bg-slip p-5 shadow-xl`}
        >
          <A.Title className="mb-3 text-xl leading-7 font-bold">{title}</A.Title>
          <div className="min-h-0 overflow-auto">{children}</div>
          <div className="mt-4 flex flex-wrap justify-end gap-2">{answers}</div>
        </A.Content>
      </A.Portal>
    </A.Root>
  );
}
