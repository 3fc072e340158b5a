import { useMutation, useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import { api, ApiProblem, type LiftProjectionView, type LiftJson, message, orProblem } from "../api/client";
import { merged } from "../api/merged";
import { keys, queryClient } from "../api/queries";
import { useUndoable } from "../ui/useUndoable";

const CONFLICT = 409;

/** The projection of a lift window, and all that changes it. Each change is kept at once; undo puts the lifts before back. */
export function useLiftProjection(id: string) {
  const key = [...keys.retest(id), "lifts"];
  const projection = useQuery({
    queryKey: key,
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}/lift-call", { params: { path: { id } } })),
  });
  /** Nothing stands for the lifts proposed. */
  const undoable = useUndoable<LiftJson | null>();
  const now = () => queryClient.getQueryData<LiftProjectionView>(key) ?? projection.data;
  const scope = { id: `lift projection ${id}` };
  const params = () => {
    const from = now()?.version;
    return { path: { id }, query: from === undefined ? {} : { from } };
  };
  const send = async (lift: LiftJson | null) =>
    lift
      ? orProblem(await api.PUT("/api/attempts/{id}/lift-call", { params: params(), body: { lift } }))
      : orProblem(await api.DELETE("/api/attempts/{id}/lift-call", { params: params() }));
  const run = useMutation({
    scope,
    mutationFn: async (make: () => LiftJson | null | undefined) => {
      const before = now();
      const lift = make();
      if (lift === undefined) return before;
      return { ...(await send(lift)), before };
    },
    onSuccess: (view) => view && queryClient.setQueryData(key, view),
    onError: async (error) => {
      if (error instanceof ApiProblem && error.status === CONFLICT) {
        await queryClient.invalidateQueries({ queryKey: key });
      }
    },
  });
  const kept = () => {
    const view = now();
    undoable.push(view && !view.proposed ? (view.plan ?? null) : null);
  };
  const nextId = useRef(crypto.randomUUID());
  const set = useMutation({
    scope,
    mutationFn: async (doneOn: string) =>
      orProblem(
        await api.POST("/api/attempts/{id}/retest/set", {
          params: { path: { id } },
          body: { id: nextId.current, doneOn },
        }),
      ),
    onSuccess: async () => {
      nextId.current = crypto.randomUUID();
      await queryClient.invalidateQueries({ queryKey: key });
      await queryClient.invalidateQueries({ queryKey: keys.today });
    },
  });
  const error = run.error ?? set.error;
  return {
    query: projection,
    /** What comes back is settled with the answer. */
    put: (lift: LiftJson): Promise<unknown> => {
      const drawn = projection.data?.plan;
      const done = run.mutateAsync(() => {
        kept();
        const there = now()?.plan;
        return drawn && there ? merged(drawn, lift, there) : lift;
      });
      done.catch(() => undefined);
      return done;
    },
    startAgain: () =>
      run.mutate(() => {
        kept();
        return null;
      }),
    undo: () => run.mutate(() => undoable.top(), { onSuccess: () => void undoable.pop() }),
    canUndo: undoable.size > 0,
    setRetest: (doneOn: string) => set.mutate(doneOn),
    isSetting: set.isPending,
    problem: error ? message(error) : undefined,
  };
}
