import { useQuery } from "@tanstack/react-query";
import { api, orProblem, type TraceView } from "../api/client";
import type { BaselineKind } from "../api/queries";

/** Where an attempt's traces are kept among what was fetched. */
export const tracesOf = (id: string) => ["attempt", id, "traces"] as const;

/** What machines and straps noted of an attempt; their points lie on the wake against a baseline. */
export function useTraces(attemptId: string, baseline?: BaselineKind) {
  const query = baseline ? { baseline } : {};
  return useQuery({
    queryKey: [...tracesOf(attemptId), query],
    queryFn: async () =>
      orProblem(await api.GET("/api/attempts/{attemptId}/traces", { params: { path: { attemptId }, query } })),
  });
}

export type SeriesView = TraceView["series"][number];
