import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useId, useRef, useState } from "react";

import { client, reason, take, type BuildCard } from "../../api/client";
import { buildQuery, buildsKey } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";

/** What is asked of a build's list entry: a name for it, for a copy, for a variant; its group. */
export interface Asked {
  what: "rename" | "copy" | "variant" | "group";
  build: BuildCard;
}

const WORDS: Record<Asked["what"], { title: (name: string) => string; label: string; does: string }> = {
  rename: { title: (n) => `Rename ${n}`, label: "Its name", does: "Rename it" },
  copy: { title: (n) => `Copy ${n}`, label: "Name of the copy, a build of its own", does: "Copy it" },
  variant: {
    title: (n) => `A variant of ${n}`,
    label: "Name of the variant: a plan that can be put beside it and taken",
    does: "Make it",
  },
  group: { title: (n) => `Put ${n} into a group`, label: "Group; empty for none", does: "Put it there" },
};

/** Asks for one name, and does what it is for. */
export function Naming({
  asked: { what, build },
  groups,
  onClose,
}: {
  asked: Asked;
  groups: string[];
  /** With the key of what came, if anything did. */
  onClose: (key?: string) => void;
}) {
  const id = useId();
  const queries = useQueryClient();
  const line = useRef<HTMLInputElement>(null);
  const begun = {
    rename: build.name,
    copy: `${build.name}, copy`,
    variant: `${build.name}, variant`,
    group: build.group,
  };
  const [name, setName] = useState(begun[what].slice(0, 80));
  const doIt = useMutation({
    mutationFn: () => done(what, build.key, name.trim()),
    onSuccess: async (key) => {
      await queries.invalidateQueries({ queryKey: buildsKey });
      await queries.invalidateQueries({ queryKey: buildQuery(build.key).queryKey });
      onClose(key);
    },
  });
  const { title, label, does } = WORDS[what];
  return (
    <Dialog open onClose={() => onClose()} title={title(build.name)} first={line}>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (name.trim() || what === "group") doIt.mutate();
        }}
      >
        <label htmlFor={id} className="grid gap-1 text-md">
          {label}
          <input
            id={id}
            ref={line}
            list={what === "group" ? `${id}-groups` : undefined}
            className="field h-10! text-md"
            maxLength={80}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        {what === "group" && (
          <datalist id={`${id}-groups`}>
            {groups.map((g) => (
              <option key={g} value={g} />
            ))}
          </datalist>
        )}
        {doIt.error && (
          <p role="alert" className="font-semibold text-over">
            {reason(doIt.error)}
          </p>
        )}
        <div>
          <Button look="main" type="submit" disabled={doIt.isPending || (!name.trim() && what !== "group")}>
            {does}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** Does what was asked; the key of what came. */
async function done(what: Asked["what"], key: string, name: string): Promise<string> {
  const params = { path: { key } };
  switch (what) {
    case "copy":
      return (await take(client.POST("/api/v1/builds/{key}/copy", { params, body: { name } }))).key;
    case "variant":
      return (await take(client.POST("/api/v1/builds/{key}/variant", { params, body: { name } }))).key;
    case "group":
      await take(client.PUT("/api/v1/builds/{key}/group", { params, body: { group: name } }));
      return key;
    case "rename": {
      const { version } = await take(client.GET("/api/v1/builds/{key}", { params }));
      const action = { type: "change build", changes: { name }, house_rules: {}, assumptions: {} } as const;
      await take(
        client.POST("/api/v1/builds/{key}/actions", { params, body: { base_version: version, action } }),
      );
      return key;
    }
  }
}
