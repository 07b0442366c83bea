import { useMutation, useQuery } from "@tanstack/react-query";
import { useSyncExternalStore } from "react";

import { reason, type InBin } from "../../api/client";
import { day, time } from "../../state/clock";
import { lastThrown } from "../../state/thrown";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

/** What was thrown away just now, and the way back. */
export function JustThrown() {
  const thrown = useSyncExternalStore(lastThrown.subscribe, lastThrown.current);
  return (
    <div
      role="status"
      className="pointer-events-none fixed bottom-24 left-1/2 z-20 w-[560px] max-w-[90vw] -translate-x-1/2"
    >
      {thrown && (
        <div className="pointer-events-auto flex items-center gap-3 border-2 border-ink bg-slip p-3 shadow-lg">
          <p className="flex-1 text-md">
            <b>{thrown.words}</b> is in the bin, for thirty days.
          </p>
          <Button look="main" onClick={() => lastThrown.bringBack()}>
            Bring it back
          </Button>
          <Button look="quiet" onClick={lastThrown.forget}>
            Close
          </Button>
        </div>
      )}
    </div>
  );
}

/** What lies in the bin, each with a way back. */
export function BinDialog({
  title,
  load,
  back,
  onClose,
}: {
  title: string;
  load: () => Promise<InBin[]>;
  back: (of: InBin) => Promise<unknown>;
  onClose: () => void;
}) {
  const { data, error, refetch } = useQuery({ queryKey: ["bin", title], queryFn: load, staleTime: 0 });
  const bring = useMutation({
    mutationFn: back,
    onSuccess: () => refetch(),
  });
  const problem = bring.error ?? error;
  return (
    <Dialog open onClose={onClose} title={title}>
      {problem && (
        <p role="alert" className="text-over">
          {reason(problem)}
        </p>
      )}
      {data?.length === 0 && (
        <p className="text-lg">Nothing: what is thrown away lies here for thirty days.</p>
      )}
      <ul>
        {data?.map((x) => (
          <li key={x.key} data-in-bin={x.key} className="flex items-center gap-3 border-b border-rule py-2">
            <span className="min-w-0 flex-1 text-base wrap-anywhere">
              <b>{x.name}</b>
              <span className="block text-sm text-ink-soft">
                thrown away {day(x.thrown)} {time(x.thrown)}, kept until {day(x.until)}
              </span>
            </span>
            <Button disabled={bring.isPending} onClick={() => bring.mutate(x)}>
              Bring it back<span className="sr-only">: {x.name}</span>
            </Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
