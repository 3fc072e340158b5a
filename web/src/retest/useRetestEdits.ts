import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import {
  api,
  ApiProblem,
  type ChangeJson,
  message,
  orProblem,
  type RetestRequest,
  type RetestView,
} from "../api/client";
import { keys, queryClient } from "../api/queries";
import { useUndoable } from "../ui/useUndoable";

const CONFLICT = 409;

const at = (id: string) => ({ params: { path: { id } } });

type Make = (chosen: RetestRequest) => RetestRequest;

/** Everything that changes a projection. Each change is kept at once; undo puts the one before back. */
export function useRetestEdits(id: string, kept: RetestView | undefined) {
  const undoable = useUndoable<RetestRequest>();
  const [tried, setTried] = useState<RetestView>();
  const [solved, setSolved] = useState<{ index: number; says: string }>();
  /** The projection as it was last answered: an edit is made to that, not to what was drawn when it was begun. */
  const now = () => queryClient.getQueryData<RetestView>(keys.retest(id)) ?? kept;
  const version = () => {
    const from = now()?.version;
    return from === undefined ? {} : { from };
  };
  /** One after the other: each is made from the answer to the one before. */
  const scope = { id: `retest ${id}` };
  const put = useMutation({
    scope,
    mutationFn: async (make: Make) => {
      const before = now()?.chosen;
      const body = make(before ?? { changes: [] });
      try {
        const view = orProblem(
          await api.PUT("/api/attempts/{id}/retest", { params: { path: { id }, query: version() }, body }),
        );
        if (before) undoable.push(before);
        return view;
      } catch (error) {
        if (error instanceof ApiProblem && error.status === CONFLICT) {
          // The other window's choices are shown; undo puts this one's in their place.
          undoable.push(body);
          await queryClient.invalidateQueries({ queryKey: keys.retest(id) });
        }
        throw error;
      }
    },
    onSuccess: (view) => {
      queryClient.setQueryData(keys.retest(id), view);
    },
    onSettled: () => setTried(undefined),
  });
  const nextId = useRef(crypto.randomUUID());
  const set = useMutation({
    scope,
    mutationFn: async (doneOn: string) =>
      orProblem(await api.POST("/api/attempts/{id}/retest/set", { ...at(id), body: { id: nextId.current, doneOn } })),
    onSuccess: async (view) => {
      nextId.current = crypto.randomUUID();
      queryClient.setQueryData(keys.retest(id), view);
      await queryClient.invalidateQueries({ queryKey: keys.today });
    },
  });
  const again = useMutation({
    scope,
    mutationFn: async () =>
      orProblem(await api.DELETE("/api/attempts/{id}/retest", { params: { path: { id }, query: version() } })),
    onSuccess: (view) => {
      if (kept) undoable.push(kept.chosen);
      queryClient.setQueryData(keys.retest(id), view);
    },
  });
  /** What it takes back is seen when its turn comes: an edit still under way is the last one by then. */
  const back = useMutation({
    scope,
    mutationFn: async () => {
      const body = undoable.top();
      if (!body) return now();
      const view = orProblem(
        await api.PUT("/api/attempts/{id}/retest", { params: { path: { id }, query: version() }, body }),
      );
      // Only what was answered is off the pile: an undo that failed can be asked for again.
      undoable.pop();
      return view;
    },
    onSuccess: (view) => {
      queryClient.setQueryData(keys.retest(id), view);
    },
    onSettled: () => setTried(undefined),
  });
  const drag = useLatest(async (body: RetestRequest) => {
    const answer = await api.POST("/api/attempts/{id}/retest/try", { ...at(id), body });
    if (answer.data) setTried(answer.data);
  });
  const solve = useMutation({
    scope,
    mutationFn: async (index: number) => {
      const chosen = now()?.chosen ?? { changes: [] };
      const answer = orProblem(
        await api.POST("/api/attempts/{id}/retest/solve", { ...at(id), body: { chosen, change: index } }),
      );
      return { index, answer };
    },
    onSuccess: ({ index, answer }) => {
      void keepChanges((changes) => replaced(changes, index, { target: answer.change.target, targets: [], on: true }));
      setSolved({ index, says: answer.says });
    },
  });
  const keep = (make: Make | Partial<RetestRequest>) => {
    drag.stop();
    setSolved(undefined);
    const done = put.mutateAsync(typeof make === "function" ? make : (chosen) => ({ ...chosen, ...make }));
    done.catch(() => undefined);
    return done;
  };
  const keepChanges = (make: (changes: ChangeJson[]) => ChangeJson[]) =>
    keep((chosen) => ({ ...chosen, changes: make(chosen.changes) }));
  const replaced = (changes: ChangeJson[], index: number, part: Partial<ChangeJson>): ChangeJson[] =>
    changes.map((one, place) => (place === index ? { ...one, ...part } : one));
  const error = put.error ?? solve.error ?? back.error ?? set.error ?? again.error;
  return {
    /** What to show: the projection being tried while a target is dragged, else the one kept. */
    view: tried ?? kept,
    keep: (part: Partial<RetestRequest>) => keep(part),
    change: (index: number, part: Partial<ChangeJson>) => keepChanges((changes) => replaced(changes, index, part)),
    drag: (index: number, target: number) => {
      const chosen = now()?.chosen ?? { changes: [] };
      drag.run({ ...chosen, changes: replaced(chosen.changes, index, { target, targets: [] }) });
    },
    add: (change: ChangeJson) => keepChanges((changes) => [...changes, { ...change, on: true }]),
    /** How far a change must go for the goal: set so, and said. */
    solve: (index: number) => solve.mutate(index),
    solved,
    remove: (index: number) => keepChanges((changes) => changes.filter((_, place) => place !== index)),
    /** Just these, each with the target that is enough. */
    choose: (steps: { change: number; target: number }[]) =>
      keepChanges((changes) =>
        changes.map((one, place) => {
          const step = steps.find(({ change }) => change === place);
          const targets = one.targets ?? [];
          return step && targets.length < 2 ? { ...one, on: true, target: step.target } : { ...one, on: Boolean(step) };
        }),
      ),
    startAgain: () => again.mutate(),
    undo: () => back.mutate(),
    canUndo: undoable.size > 0 || put.isPending,
    setRetest: (doneOn: string) => set.mutate(doneOn),
    isSetting: set.isPending,
    problem:
      error instanceof ApiProblem && error.status === CONFLICT
        ? `${error.message} Undo brings yours back.`
        : error
          ? message(error)
          : undefined,
  };
}

/**
 * Runs one request at a time; while one is under way only the latest of those asked for waits. Each starts once the event it came
 * from is over, so that one which is kept in the same event is not tried as well.
 */
function useLatest<T>(work: (value: T) => Promise<void>) {
  const state = useRef<{ busy: boolean; next: T | undefined }>({ busy: false, next: undefined });
  const latest = useRef(work);
  useEffect(() => {
    latest.current = work;
  });
  const goOn = async () => {
    state.current.busy = true;
    await new Promise((resolve) => setTimeout(resolve, 0));
    for (let next = state.current.next; next !== undefined; next = state.current.next) {
      state.current.next = undefined;
      await latest.current(next);
    }
    state.current.busy = false;
  };
  const run = (value: T) => {
    state.current.next = value;
    if (!state.current.busy) void goOn();
  };
  return { run, stop: () => (state.current.next = undefined) };
}

export type RetestEdits = ReturnType<typeof useRetestEdits>;
