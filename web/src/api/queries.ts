import { QueryClient, useQuery } from "@tanstack/react-query";
import { api, ApiProblem, orProblem } from "./client";

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 1000,
      networkMode: "always",
      retry: (count, error) => !(error instanceof ApiProblem) && count < 2,
    },
    mutations: { networkMode: "always" },
  },
});

const byId = (id: string) => ({ params: { path: { id } } });

export const keys = {
  today: ["today"] as const,
  athletes: ["athletes"] as const,
  workouts: ["workouts"] as const,
  movements: ["movements"] as const,
  logSettings: ["settings", "log"] as const,
  gym: ["settings", "gym"] as const,
  attempt: (id: string) => ["attempt", id] as const,
  plan: (id: string) => ["attempt", id, "plan"] as const,
  planVersions: (id: string) => ["attempt", id, "plan", "versions"] as const,
  planSources: (id: string) => ["attempt", id, "plan", "sources"] as const,
  reading: (id: string) => ["attempt", id, "reading"] as const,
  versus: (id: string) => ["attempt", id, "versus"] as const,
  calls: ["calls"] as const,
  retest: (id: string) => ["attempt", id, "retest"] as const,
};

export function useToday() {
  return useQuery({
    queryKey: [...keys.today, "now"],
    refetchInterval: ({ state }) => ((state.data?.beingRead ?? 0) > 0 || state.data?.filling ? 1000 : false),
    queryFn: async () => orProblem(await api.GET("/api/today")),
  });
}

/** The latest attempts, of one athlete or of all. */
export function useLatest(size: number, athlete?: string) {
  const query = athlete ? { athlete, size } : { size };
  return useQuery({
    queryKey: [...keys.today, "latest", query],
    queryFn: async () => orProblem(await api.GET("/api/attempts", { params: { query } })),
  });
}

export function useAthletes() {
  return useQuery({ queryKey: keys.athletes, queryFn: async () => orProblem(await api.GET("/api/athletes")) });
}

/** What there is of each athlete that has attempts. */
export function useRoster() {
  return useQuery({
    queryKey: [...keys.today, "roster"],
    queryFn: async () => orProblem(await api.GET("/api/athletes/roster")),
  });
}

/** What the technique tests of all athletes say, a sentence each. */
export function useSquadTechniques() {
  return useQuery({
    queryKey: [...keys.athletes, "techniques"],
    queryFn: async () => orProblem(await api.GET("/api/athletes/techniques")),
  });
}

export function useWorkouts() {
  return useQuery({ queryKey: keys.workouts, queryFn: async () => orProblem(await api.GET("/api/workouts")) });
}

export function useMovements() {
  return useQuery({ queryKey: keys.movements, queryFn: async () => orProblem(await api.GET("/api/movements")) });
}

export function useLogSettings() {
  return useQuery({
    queryKey: keys.logSettings,
    staleTime: 60_000,
    queryFn: async () => orProblem(await api.GET("/api/settings/log")),
  });
}

export function useAttempt(id: string) {
  return useQuery({
    queryKey: keys.attempt(id),
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}", byId(id))),
  });
}

export function usePlan(id: string) {
  return useQuery({
    queryKey: [...keys.plan(id), "now"],
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}/plan", byId(id))),
  });
}

export function usePlanVersions(id: string) {
  return useQuery({
    queryKey: keys.planVersions(id),
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}/plan/versions", byId(id))),
  });
}

export function usePlanSources(id: string) {
  return useQuery({
    queryKey: keys.planSources(id),
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}/plan/sources", byId(id))),
  });
}

export type BaselineKind = "PLAN" | "EDITED_PLAN" | "FALLBACK" | "BEST_SPLITS";

/** The reading against a kind of baseline, or against another attempt by its id. */
export function useReading(id: string, baseline: BaselineKind | undefined, other: string | undefined) {
  const query = other ? { other } : baseline ? { baseline } : {};
  return useQuery({
    queryKey: [...keys.reading(id), other ?? baseline ?? "usual"],
    placeholderData: (previous) => previous,
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}/reading", { params: { path: { id }, query } })),
  });
}

/** Where the retest would run beside a reading; of a version of what is chosen, where that is at hand. */
export function useFan(id: string, baseline?: BaselineKind, other?: string, version?: number) {
  const query = other ? { other } : baseline ? { baseline } : {};
  return useQuery({
    queryKey: [...keys.retest(id), "fan", other ?? baseline ?? "usual", version ?? "any"],
    queryFn: async () =>
      orProblem(await api.GET("/api/attempts/{id}/reading/fan", { params: { path: { id }, query } })),
  });
}

export function useRetest(id: string) {
  return useQuery({
    queryKey: keys.retest(id),
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}/retest", byId(id))),
  });
}

/** An attempt beside others; with none named, beside the likeliest. */
export function useVersus(id: string, others: string[]) {
  return useQuery({
    queryKey: [...keys.versus(id), ...others],
    placeholderData: (previous) => previous,
    queryFn: async () =>
      orProblem(await api.GET("/api/attempts/{id}/versus", { params: { path: { id }, query: { with: others } } })),
  });
}

/** Asked again soon while attempts are still being read on the side. */
const whileWaiting = (query: { state: { data?: { waiting: number } | undefined } }) =>
  (query.state.data?.waiting ?? 0) > 0 ? 1500 : false;

/** All attempts at a part of a workout in the order of their scores. */
export function useRanking(id: string, part: number) {
  return useQuery({
    queryKey: [...keys.today, "ranking", id, part],
    placeholderData: (previous) => previous,
    refetchInterval: whileWaiting,
    queryFn: async () =>
      orProblem(await api.GET("/api/workouts/{id}/ranking", { params: { path: { id }, query: { part } } })),
  });
}

/** How the splits of all who did a part of a workout are spread, and one attempt among them. */
export function useField(id: string, query: { part: number; division?: string; attempt?: string }) {
  return useQuery({
    queryKey: [...keys.today, "field", id, query],
    placeholderData: (previous) => previous,
    refetchInterval: whileWaiting,
    queryFn: async () => orProblem(await api.GET("/api/workouts/{id}/field", { params: { path: { id }, query } })),
  });
}

/** What would move an attempt up a place. */
export function useNextPlace(id: string) {
  return useQuery({
    queryKey: [...keys.attempt(id), "next place"],
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}/next-place", byId(id))),
  });
}

/** How past projections came out, overall and by athlete. */
export function useProjectionRecord() {
  return useQuery({ queryKey: keys.calls, queryFn: async () => orProblem(await api.GET("/api/calls")) });
}
