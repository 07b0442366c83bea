import { useQuery } from "@tanstack/react-query";

import { client, take, type SchoolsState } from "../../api/client";

/** A build under every school: asked for where it is not worked out yet, and looked at until it is;
 * no build: nothing. */
export function useSchools(key: string): SchoolsState | undefined {
  const path = { path: { key } };
  const { data } = useQuery({
    queryKey: ["under-schools", key],
    enabled: key !== "",
    staleTime: 0,
    queryFn: async ({ client: queries }) => {
      const known = queries.getQueryData<SchoolsState>(["under-schools", key]);
      const isUnderWay = known?.state === "waiting" || known?.state === "running";
      // What was answered of the very same build is not worked out again by asking.
      return isUnderWay
        ? take(client.GET("/api/v1/builds/{key}/schools", { params: path }))
        : take(client.POST("/api/v1/builds/{key}/schools", { params: path }));
    },
    refetchInterval: (query) =>
      ["waiting", "running"].includes(query.state.data?.state ?? "") ? 250 : false,
  });
  return data;
}
