import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api, ApiProblem, type LineJson, message, orProblem, type PlanJson, type PlanView } from "../api/client";
import { keys, queryClient } from "../api/queries";

type Edit = (id: string) => Promise<PlanView>;

const CONFLICT = 409;

const at = (id: string) => ({ params: { path: { id } } });

/** Everything that changes a plan. Each change is kept at once, as a version of its own; undo puts the one before back. */
export function usePlanEdits(id: string, view: PlanView | undefined) {
  const [undone, setUndone] = useState<(PlanJson | null)[]>([]);
  const run = useMutation({
    mutationFn: async ({ edit }: { edit: Edit; before: PlanJson | null | undefined }) => edit(id),
    onSuccess: async (after, { before }) => {
      if (before !== undefined) setUndone((stack) => [...stack, before]);
      queryClient.setQueryData([...keys.plan(id), "now"], after);
      await queryClient.invalidateQueries({ queryKey: keys.planVersions(id) });
      await queryClient.invalidateQueries({ queryKey: keys.attempt(id), exact: true });
      await queryClient.invalidateQueries({ queryKey: keys.reading(id), refetchType: "none" });
    },
    onError: async (error) => {
      if (!(error instanceof ApiProblem) || error.status !== CONFLICT) return;
      // The other window's plan is shown; this one's is among the versions.
      await queryClient.invalidateQueries({ queryKey: keys.plan(id) });
    },
  });
  const now = view === undefined ? undefined : view.assumed ? null : view.plan;
  const go = (edit: Edit) => run.mutate({ edit, before: now });
  const put = (plan: PlanJson, by: string) => async (attempt: string) =>
    orProblem(
      await api.PUT("/api/attempts/{id}/plan", {
        params: { path: { id: attempt }, query: view ? { by, from: view.version } : { by } },
        body: plan,
      }),
    );
  const draft = async (attempt: string) => orProblem(await api.DELETE("/api/attempts/{id}/plan", at(attempt)));
  const problem = run.error;
  return {
    keep: (plan: PlanJson, by: string) => go(put(plan, by)),
    change: (part: Partial<PlanJson>, by: string) => view && go(put({ ...view.plan, ...part }, by)),
    changeLine: (line: LineJson, by: string) => {
      if (!view) return;
      const lines = view.plan.lines.map((one) => (one.lineIndex === line.lineIndex ? line : one));
      go(put({ ...view.plan, lines }, by));
    },
    backToDraft: () => go(draft),
    aim: (goal: string, pauseShare: number | undefined) =>
      go(async (attempt) =>
        orProblem(
          await api.POST("/api/attempts/{id}/plan/goal", {
            ...at(attempt),
            body: pauseShare === undefined ? { goal } : { goal, pauseShare },
          }),
        ),
      ),
    fromWarmUp: (round: string) =>
      go(async (attempt) =>
        orProblem(await api.POST("/api/attempts/{id}/plan/warm-up", { ...at(attempt), body: { round } })),
      ),
    copyFrom: (from: string) =>
      go(async (attempt) =>
        orProblem(await api.POST("/api/attempts/{id}/plan/copy", { ...at(attempt), body: { from } })),
      ),
    makeTimetable: (body: { max: string; lifts: number; bar: string; plates: string }) =>
      go(async (attempt) => orProblem(await api.POST("/api/attempts/{id}/plan/timetable", { ...at(attempt), body }))),
    restore: (version: number) =>
      go(async (attempt) =>
        orProblem(
          await api.POST("/api/attempts/{id}/plan/versions/{version}/restore", {
            params: { path: { id: attempt, version } },
          }),
        ),
      ),
    canUndo: undone.length > 0,
    undo: () => {
      const before = undone.at(-1);
      if (before === undefined || run.isPending) return;
      setUndone((stack) => stack.slice(0, -1));
      run.mutate({ edit: before ? put(before, "Undo") : draft, before: undefined });
    },
    isPending: run.isPending,
    problem: problem ? message(problem) : undefined,
    problemAt: problem instanceof ApiProblem && problem.status !== CONFLICT ? problem.field : undefined,
  };
}

export type PlanEdits = ReturnType<typeof usePlanEdits>;
