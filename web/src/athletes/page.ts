import { useQuery } from "@tanstack/react-query";
import { api, orProblem } from "../api/client";
import { keys } from "../api/queries";

/** Where an athlete's page is kept among what was fetched. */
export const athletePage = (id: string) => [...keys.athletes, id, "page"] as const;

/** An athlete's page: attempts from a day on, ways held against each other over a workout. */
export function useAthletePage(id: string, from: string, over: string) {
  const query = { ...(from && { from }), ...(over && { over }) };
  return useQuery({
    queryKey: [...athletePage(id), query],
    placeholderData: (previous) => previous,
    refetchInterval: ({ state }) => ((state.data?.beingRead ?? 0) > 0 ? 1000 : false),
    queryFn: async () => orProblem(await api.GET("/api/athletes/{id}/page", { params: { path: { id }, query } })),
  });
}
