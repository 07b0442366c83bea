import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { client, take } from "../../api/client";
import { drawerKey } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { Lines } from "../drawer/Lines";

/** One that a builder is looking at, said from its box: it stands among the candidates at once. */
export function LookedAt({ onClose }: { onClose: () => void }) {
  const [text, setText] = useState("");
  const queries = useQueryClient();
  const add = useMutation({
    mutationFn: () =>
      take(client.POST("/api/v1/drawer", { body: { kind: "supply", text, standing: "looked at" } })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: drawerKey });
      void queries.invalidateQueries({ queryKey: ["candidates"] });
      onClose();
    },
  });
  return (
    <Dialog open onClose={onClose} title="One I am looking at" wide>
      <Lines kind="supply" text={text} onText={setText} />
      {add.error && (
        <p role="alert" className="mt-2 font-semibold text-over">
          {add.error.message}
        </p>
      )}
      <p className="mt-3 flex gap-2">
        <Button look="main" disabled={!text.trim() || add.isPending} onClick={() => add.mutate()}>
          Judge it for this build
        </Button>
        <Button onClick={onClose}>Leave it</Button>
      </p>
    </Dialog>
  );
}
