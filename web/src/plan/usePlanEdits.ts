import { useMutation } from "@tanstack/react-query";
import { api, ApiProblem, type LineJson, message, orProblem, type PlanJson, type PlanView } from "../api/client";
import { merged } from "../api/merged";
import { keys, queryClient } from "../api/queries";
import { useUndoable } from "../ui/useUndoable";

/** @param now the plan as it was last answered: an edit is made to that, not to what was drawn when it was begun */
type Edit = (id: string, now: PlanView | undefined) => Promise<PlanView>;

const CONFLICT = 409;

const at = (id: string) => ({ params: { path: { id } } });

/** Everything that changes a plan. Each change is kept at once, as a version of its own; undo puts the one before back. */
export function usePlanEdits(id: string, view: PlanView | undefined) {
  /** Nothing stands for the draft. */
  const undoable = useUndoable<PlanJson | null>();
  const latest = () => queryClient.getQueryData<PlanView>([...keys.plan(id), "now"]) ?? view;
  const run = useMutation({
    // One after the other: each is made from the answer to the one before.
    scope: { id: `plan ${id}` },
    mutationFn: async ({ edit }: { edit: Edit; isUndo: boolean }) => {
      const before = latest();
      return { after: await edit(id, before), before };
    },
    onSuccess: async ({ after, before }, { isUndo }) => {
      if (before && !isUndo) undoable.push(before.assumed ? null : before.plan);
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
  /** What comes back is settled with the edit; whoever does not ask is told by `problem`. */
  const go = (edit: Edit): Promise<unknown> => {
    const done = run.mutateAsync({ edit, isUndo: false });
    done.catch(() => undefined);
    return done;
  };
  const put = (make: (now: PlanJson) => PlanJson, by: string) => async (attempt: string, now: PlanView | undefined) =>
    orProblem(
      await api.PUT("/api/attempts/{id}/plan", {
        params: { path: { id: attempt }, query: now ? { by, from: now.version } : { by } },
        body: make(now?.plan ?? { lines: [] }),
      }),
    );
  const draft = async (attempt: string) => orProblem(await api.DELETE("/api/attempts/{id}/plan", at(attempt)));
  const back: Edit = async (attempt, now) => {
    const before = undoable.top();
    if (before === undefined && now) return now;
    const view = before ? await put(() => before, "Undo")(attempt, now) : await draft(attempt);
    // Only what was answered is off the pile: an undo that failed can be asked for again.
    undoable.pop();
    return view;
  };
  /** An edit made to the plan as it is drawn, kept on top of what has been kept since. */
  const drawn = (make: (now: PlanJson) => PlanJson, by: string) => {
    const from = view?.plan ?? { lines: [] };
    return go(put((now) => merged(from, make(from), now), by));
  };
  /** Made to each line as it is when its turn comes, so that two edits of one line or round are both in force. */
  const changeLines = (make: (line: LineJson) => LineJson, by: string) =>
    go(put((now) => ({ ...now, lines: now.lines.map(make) }), by));
  const problem = run.error;
  return {
    keep: (plan: PlanJson, by: string) => void drawn(() => plan, by),
    change: (part: Partial<PlanJson>, by: string) => void drawn((now) => ({ ...now, ...part }), by),
    /** The same for a box, which shows what became of it. */
    changed: (part: Partial<PlanJson>, by: string) => drawn((now) => ({ ...now, ...part }), by),
    changeLine: (lineIndex: number, make: (line: LineJson) => LineJson, by: string) =>
      changeLines((line) => (line.lineIndex === lineIndex ? make(line) : line), by),
    changeLines,
    backToDraft: () => void go(draft),
    aim: (goal: string, pauseShare: number | undefined) =>
      void go(async (attempt) =>
        orProblem(
          await api.POST("/api/attempts/{id}/plan/goal", {
            ...at(attempt),
            body: pauseShare === undefined ? { goal } : { goal, pauseShare },
          }),
        ),
      ),
    fromWarmUp: (round: string) =>
      void go(async (attempt) =>
        orProblem(await api.POST("/api/attempts/{id}/plan/warm-up", { ...at(attempt), body: { round } })),
      ),
    copyFrom: (from: string) =>
      void go(async (attempt) =>
        orProblem(await api.POST("/api/attempts/{id}/plan/copy", { ...at(attempt), body: { from } })),
      ),
    makeTimetable: (body: { max: string; lifts: number; seconds?: number; bar: string; plates: string }) =>
      void go(async (attempt) =>
        orProblem(await api.POST("/api/attempts/{id}/plan/timetable", { ...at(attempt), body })),
      ),
    restore: (version: number) =>
      void go(async (attempt) =>
        orProblem(
          await api.POST("/api/attempts/{id}/plan/versions/{version}/restore", {
            params: { path: { id: attempt, version } },
          }),
        ),
      ),
    doneWithCurrent: () =>
      void go(async (attempt) => orProblem(await api.POST("/api/attempts/{id}/plan/versions/done-with", at(attempt)))),
    canUndo: undoable.size > 0 || run.isPending,
    undo: () => run.mutate({ edit: back, isUndo: true }),
    isPending: run.isPending,
    problem: problem ? message(problem) : undefined,
    problemAt: problem instanceof ApiProblem && problem.status !== CONFLICT ? problem.field : undefined,
  };
}

export type PlanEdits = ReturnType<typeof usePlanEdits>;
