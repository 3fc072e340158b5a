import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { api, ApiProblem, type AttemptView, type LogView, type MarkRequest, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { type Op, Queue, type Waiting } from "./queue";

const RETRY_MS = 1000;

export interface Marks {
  /** Not yet answered by the server. */
  waiting: readonly Op[];
  /** Whether the server could not be reached the last time. */
  offline: boolean;
  /** Why the last key was refused, in the server's words. */
  refusal: string | undefined;
  say: (notice: string | undefined) => void;
  send: (op: Op) => void;
}

/** Sends marks one after the other, keeps those that cannot be sent, and tries again until they are. */
export function useMarks(attempt: AttemptView): Marks {
  const queue = useMemo(() => new Queue(attempt.id, localStorage), [attempt.id]);
  const [waiting, setWaiting] = useState<readonly Waiting[]>(() => queue.all());
  const [offline, setOffline] = useState(false);
  const [refusal, say] = useState<string>();
  const sending = useRef(false);
  const own = useRef(new Set<string>());
  const [retry, setRetry] = useState(0);

  const settle = useCallback(
    async ({ place, op }: Waiting) => {
      try {
        const log = await deliver(attempt.id, op);
        const before = queryClient.getQueryData<AttemptView>(keys.attempt(attempt.id));
        const others = op.op === "put" || op.op === "remove" ? fromElsewhere(before?.log, log, own.current) : 0;
        if (others > 0) say(`${others === 1 ? "A mark" : `${others} marks`} made in another window came in.`);
        queryClient.setQueryData<AttemptView>(keys.attempt(attempt.id), (old) => old && withLog(old, log, op));
        // Undo and redo may have moved "go" as well.
        if (op.op === "undo" || op.op === "redo") {
          void queryClient.invalidateQueries({ queryKey: keys.attempt(attempt.id), exact: true });
        }
        setOffline(false);
        setWaiting(queue.drop(place));
        for (const key of [keys.reading, keys.retest]) {
          void queryClient.invalidateQueries({ queryKey: key(attempt.id), refetchType: "none" });
        }
        void queryClient.invalidateQueries({ queryKey: keys.today, refetchType: "none" });
      } catch (error) {
        if (error instanceof ApiProblem && error.status < 500) {
          say(error.message);
          setWaiting(queue.drop(place));
          return;
        }
        setOffline(true);
        await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
        setRetry((count) => count + 1);
      }
    },
    [attempt.id, queue],
  );

  useEffect(() => {
    const next = queue.all()[0];
    if (!next || sending.current) return;
    sending.current = true;
    void settle(next).finally(() => {
      sending.current = false;
      setRetry((count) => count + 1);
    });
  }, [waiting, retry, queue, settle]);

  const send = useCallback(
    (op: Op) => {
      say(undefined);
      own.current.add(op.id);
      setWaiting(queue.add(op));
    },
    [queue],
  );

  useEffect(() => {
    // Another window on the same attempt keeps its marks beside ours; whichever is first sends them.
    const look = () => setWaiting(queue.all());
    window.addEventListener("storage", look);
    return () => window.removeEventListener("storage", look);
  }, [queue]);

  const ops = useMemo(() => waiting.map((one) => one.op), [waiting]);
  return { waiting: ops, offline, refusal, say, send };
}

/** How many marks of a log are neither known yet nor made in this window. */
export function fromElsewhere(before: LogView | undefined, now: LogView, own: ReadonlySet<string>): number {
  if (!before) return 0;
  const known = new Set(before.marks.map((mark) => mark.id));
  return now.marks.filter((mark) => !known.has(mark.id) && !own.has(mark.id)).length;
}

async function deliver(attemptId: string, op: Op): Promise<LogView> {
  const mark = { params: { path: { attemptId, id: op.id } } };
  switch (op.op) {
    case "put":
      return orProblem(await api.PUT("/api/attempts/{attemptId}/marks/{id}", { ...mark, body: op.body }));
    case "remove":
      return orProblem(await api.DELETE("/api/attempts/{attemptId}/marks/{id}", mark));
    case "join":
      return orProblem(await api.POST("/api/attempts/{attemptId}/marks/{id}/join", mark));
    case "undo":
      return orProblem(
        await api.POST("/api/attempts/{attemptId}/marks/undo/{moveId}", {
          params: { path: { attemptId, moveId: op.id } },
        }),
      );
    case "redo":
      return orProblem(
        await api.POST("/api/attempts/{attemptId}/marks/redo/{moveId}", {
          params: { path: { attemptId, moveId: op.id } },
        }),
      );
    case "go":
      return orProblem(await api.PUT("/api/attempts/{attemptId}/recordings/{id}/go", { ...mark, body: op.body }));
    case "forgetGo":
      return orProblem(await api.DELETE("/api/attempts/{attemptId}/recordings/{id}/go", mark));
  }
}

function withLog(attempt: AttemptView, log: LogView, op: Op): AttemptView {
  if (op.op !== "go" && op.op !== "forgetGo") return { ...attempt, log };
  const recordings = attempt.recordings.map(({ goMs, ...rest }) => {
    if (rest.id !== op.id) return goMs === undefined ? rest : { ...rest, goMs };
    return op.op === "go" ? { ...rest, goMs: op.body.atMs } : rest;
  });
  return { ...attempt, log, recordings };
}

/** A mark of a kind; what is not said is empty. */
export function markBody(fields: Partial<MarkRequest> & Pick<MarkRequest, "kind" | "atMs">): MarkRequest {
  return { reps: 0, depth: "SET", tag: "", text: "", step: 0, ...fields };
}
