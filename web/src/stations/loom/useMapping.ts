import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";

import { client, reason, take, type MapWish } from "../../api/client";
import { useBuild, useWrite } from "../../state/build/contexts";
import { movesByCable } from "../../state/loom/map";
import { mapQuery } from "../../state/queries";

const WISHES = ["all", "rest", "least"] as const;

/** Asking for a map, and what of it is shown; `onAsked`: one was asked for. */
export function useMapping(onAsked: () => void) {
  const build = useBuild();
  const { say } = useWrite();
  const queries = useQueryClient();
  const [wanted, setWanted] = useState(false);
  const job = useQuery(mapQuery(build.key)).data;
  const ask = async (wish: MapWish) => {
    try {
      const asked = await take(
        client.POST("/api/v1/builds/{key}/map", {
          params: { path: { key: build.key } },
          body: { base_version: build.version, ...wish },
        }),
      );
      queries.setQueryData(mapQuery(build.key).queryKey, asked);
      onAsked();
      setWanted(true);
    } catch (error) {
      say(reason(error));
    }
  };
  // A link that asks for one: asked once, and gone from the address.
  const [params, setParams] = useSearchParams();
  const wish = WISHES.find((w) => w === params.get("map"));
  const asked = useRef("");
  useEffect(() => {
    if (!wish || asked.current === wish) return;
    asked.current = wish;
    setParams({}, { replace: true });
    void ask({ what: wish });
  });
  useEffect(() => {
    if (!wish) asked.current = "";
  }, [wish]);
  // A map that was asked for before the page was loaded anew is still there.
  const open = wanted || (job !== undefined && job.state !== "none" && job.version === build.version);
  return {
    open,
    ask: (wish: MapWish) => void ask(wish),
    close: () => setWanted(false),
    /** What it would do to each cable, by the cable's key. */
    moved: open ? movesByCable(job, build.version) : movesByCable(undefined, 0),
  };
}
