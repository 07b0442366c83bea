import { AlertDialog as A } from "radix-ui";
import type { ReactNode } from "react";

import { Button } from "./button";

/** A question that has to be answered before anything else. The safe way out has the focus; Escape
 * takes it. */
export function AlertDialog({
  title,
  children,
  leave,
  busy = false,
  answers,
  onLeave,
  wide = false,
}: {
  title: string;
  children: ReactNode;
  leave: string;
  busy?: boolean;
  answers: ReactNode;
  onLeave: () => void;
  wide?: boolean;
}) {
  return (
    <A.Root open onOpenChange={(open) => !open && onLeave()}>
      <A.Portal>
        <A.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <A.Content
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] ${wide ? "w-[640px]" : "w-[520px]"} max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col border-2 border-tight bg-slip p-5 shadow-xl`}
        >
          <A.Title className="mb-3 text-xl leading-7 font-bold">{title}</A.Title>
          <A.Description asChild>
            <div className="min-h-0 overflow-auto">{children}</div>
          </A.Description>
          <div className="mt-4 flex flex-wrap justify-end gap-2">
            <A.Cancel asChild>
              <Button disabled={busy} className="focus:outline-2 focus:outline-offset-2 focus:outline-accent">
                {leave}
              </Button>
            </A.Cancel>
            {answers}
          </div>
        </A.Content>
      </A.Portal>
    </A.Root>
  );
}
