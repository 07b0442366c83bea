import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useId, useRef, useState } from "react";

import { client, reason, take } from "../../api/client";
import { useBuild } from "../../state/build/contexts";
import { pastQuery } from "../../state/compare/sides";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

/** Names the build as it is now, so that it can be put beside it later. */
export function MarkDialog({ onClose }: { onClose: () => void }) {
  const id = useId();
  const build = useBuild();
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const line = useRef<HTMLInputElement>(null);
  const mark = useMutation({
    mutationFn: () =>
      take(
        client.POST("/api/v1/builds/{key}/past", { params: { path: { key: build.key } }, body: { name } }),
      ),
    onSuccess: (past) => {
      queries.setQueryData(pastQuery(build.key).queryKey, past);
      onClose();
    },
  });
  return (
    <Dialog open onClose={onClose} title={`Mark ${build.doc.name} as it is now`} first={line}>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (name.trim()) mark.mutate();
        }}
      >
        <label htmlFor={id} className="grid gap-1 text-md">
          A name for it, as “before the second card”
          <input
            id={id}
            ref={line}
            className="field h-10! text-md"
            maxLength={60}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <p className="text-base text-ink-soft">
          It is kept whole, whatever becomes of the build, and stands among what can be put beside it.
        </p>
        {mark.error && (
          <p role="alert" className="font-semibold text-over">
            {reason(mark.error)}
          </p>
        )}
        <div>
          <Button look="main" type="submit" disabled={!name.trim() || mark.isPending}>
            Mark it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
