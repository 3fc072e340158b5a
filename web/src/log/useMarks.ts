import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { api, ApiProblem, type AttemptView, type LogView, type MarkRequest, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { lastStanding, type Op, Queue } from "./queue";

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
  undo: (recordingId: string | undefined) => void;
}

/** Sends marks one after the other, keeps those that cannot be sent, and tries again until they are. */
export function useMarks(attempt: AttemptView): Marks {
  const queue = useMemo(() => new Queue(attempt.id, localStorage), [attempt.id]);
  const [waiting, setWaiting] = useState<readonly Op[]>(() => queue.all());
  const [offline, setOffline] = useState(false);
  const [refusal, say] = useState<string>();
  const sending = useRef(false);
  const [retry, setRetry] = useState(0);

  const settle = useCallback(
    async (op: Op) => {
      try {
        const log = await deliver(attempt.id, op);
        queryClient.setQueryData<AttemptView>(keys.attempt(attempt.id), (old) => old && withLog(old, log, op));
        setOffline(false);
        setWaiting(queue.shift());
        for (const key of [keys.reading, keys.retest]) {
          void queryClient.invalidateQueries({ queryKey: key(attempt.id), refetchType: "none" });
        }
        void queryClient.invalidateQueries({ queryKey: keys.today, refetchType: "none" });
      } catch (error) {
        if (error instanceof ApiProblem && error.status < 500) {
          say(error.message);
          setWaiting(queue.shift());
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
      setWaiting(queue.add(op));
    },
    [queue],
  );

  const undo = useCallback(
    (recordingId: string | undefined) => {
      const sent = attempt.log.marks.map((mark) => mark.id);
      const last = lastStanding(sent, queue.all());
      if (last) send({ op: "remove", id: last });
      else if (recordingId) send({ op: "forgetGo", id: recordingId });
    },
    [attempt.log.marks, queue, send],
  );

  return { waiting, offline, refusal, say, send, undo };
}

async function deliver(attemptId: string, op: Op): Promise<LogView> {
  const mark = { params: { path: { attemptId, id: op.id } } };
  switch (op.op) {
    case "put":
      return orProblem(await api.PUT("/api/attempts/{attemptId}/marks/{id}", { ...mark, body: op.body }));
    case "remove":
      return orProblem(await api.DELETE("/api/attempts/{attemptId}/marks/{id}", mark));
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
