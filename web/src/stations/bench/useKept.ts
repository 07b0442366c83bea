import { useQueryClient, type FetchQueryOptions } from "@tanstack/react-query";
import { useEffect } from "react";

import type { BenchPlan } from "../../api/client";
import { useResult } from "../../state/build/contexts";
import {
  offersQuery,
  photoQuery,
  positionsQuery,
  readingsQuery,
  recordQuery,
  rowsQuery,
  whyQuery,
} from "../../state/queries";

/** Milliseconds after which what is looked at rests; how long what was fetched is kept. */
const RESTS = 1_200;
const KEPT = 12 * 3_600_000;

/** Fetches what the stations of this build show, while there is a connection: who goes to the bench
 * with it has it all where there is none. */
export function useKept(key: string, version: number, plan: BenchPlan | undefined) {
  const queries = useQueryClient();
  const { result } = useResult();
  useEffect(() => {
    if (!plan) return;
    const timer = setTimeout(() => {
      const all = [
        rowsQuery(key, version),
        recordQuery(key),
        readingsQuery(key, version),
        positionsQuery(key, version),
        ...result.lanes.map((l) => whyQuery(key, version, l.cable)),
        ...result.sockets.map((s) => offersQuery(key, version, { kind: "socket", ref: s.ref })),
        ...plan.steps.flatMap((s) => s.photos.map((p) => photoQuery(key, p))),
      ] as FetchQueryOptions[];
      void inTurn(all.map((one) => () => queries.prefetchQuery({ staleTime: KEPT, ...one, gcTime: KEPT })));
    }, RESTS);
    return () => clearTimeout(timer);
  }, [key, version, plan, result, queries]);
}

/** One after another: what one does meanwhile does not wait behind them. */
async function inTurn(several: (() => Promise<void>)[]) {
  for (const one of several) await one();
}
