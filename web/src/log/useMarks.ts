import { notifyManager } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { api, ApiProblem, type AttemptView, type LogView, type MarkRequest, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { type Op, type Outbox, Queue, type Waiting } from "./queue";

const RETRY_MS = 1000;
/** How long it is said that marks came in from elsewhere. */
const SAID_MS = 8000;

export interface Marks {
  /** Not yet answered by the server. */
  waiting: Outbox;
  /** Whether the server could not be reached the last time. */
  offline: boolean;
  /** Why the last key was refused, in the server's words. */
  refusal: string | undefined;
  say: (notice: string | undefined) => void;
  send: (op: Op) => void;
  /** The log as the server last answered it: a key must not wait for it to be drawn. */
  log: () => LogView;
  /** Whether this window made a mark. */
  isOwn: (id: string) => boolean;
}

/** Sends marks one after the other, keeps those that cannot be sent, and tries again until they are. */
export function useMarks(attempt: AttemptView): Marks {
  const queue = useMemo(() => new Queue(attempt.id, localStorage), [attempt.id]);
  const [offline, setOffline] = useState(false);
  const [refusal, say] = useState<string>();
  /** The queue being sent from; and whether anyone still looks at this attempt. */
  const sending = useRef<Queue>(undefined);
  const here = useRef(true);
  const own = useRef(new Set<string>());

  const settle = useCallback(
    async ({ place, op }: Waiting) => {
      try {
        const log = await deliver(attempt.id, op);
        setOffline(false);
        await answered(() => {
          queryClient.setQueryData<AttemptView>(keys.attempt(attempt.id), (old) => old && withLog(old, log, op));
          return () => queue.drop(place);
        });
        // Undo and redo may have moved "go" as well.
        if (op.op === "undo" || op.op === "redo") {
          void queryClient.invalidateQueries({ queryKey: keys.attempt(attempt.id), exact: true });
        }
        for (const key of [keys.reading, keys.retest]) {
          void queryClient.invalidateQueries({ queryKey: key(attempt.id), refetchType: "none" });
        }
        void queryClient.invalidateQueries({ queryKey: keys.today, refetchType: "none" });
      } catch (error) {
        if (error instanceof ApiProblem && error.status < 500) {
          say(error.message);
          queue.drop(place);
          return;
        }
        setOffline(true);
        await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
      }
    },
    [attempt.id, queue],
  );

  useEffect(() => {
    here.current = true;
    const next = () => {
      const first = queue.first();
      if (!here.current || sending.current === queue || !first) return;
      sending.current = queue;
      void settle(first).finally(() => {
        sending.current = undefined;
        next();
      });
    };
    next();
    // Painting the mark comes first; sending it can wait for that.
    const unfollow = queue.subscribe(() => setTimeout(next));
    return () => {
      here.current = false;
      unfollow();
    };
  }, [queue, settle]);

  const send = useCallback(
    (op: Op) => {
      say(undefined);
      own.current.add(op.id);
      queue.add(op);
    },
    [queue],
  );

  useEffect(() => {
    // Whichever window is first sends what waits in either.
    const look = () => queue.look();
    window.addEventListener("storage", look);
    return () => window.removeEventListener("storage", look);
  }, [queue]);

  const isOwn = useCallback((id: string) => own.current.has(id), []);
  const drawn = attempt.log;
  const log = useCallback(
    () => queryClient.getQueryData<AttemptView>(keys.attempt(attempt.id))?.log ?? drawn,
    [attempt.id, drawn],
  );
  return { waiting: queue, offline, refusal, say, send, log, isOwn };
}

/** Says so for a while when marks come in that were made elsewhere, with an answer or by themselves. */
export function useFromElsewhere(log: LogView, isOwn: Marks["isOwn"]): string | undefined {
  const known = useRef<ReadonlySet<string>>(undefined);
  const [said, say] = useState<string>();
  useEffect(() => {
    const others = fromElsewhere(known.current, log, isOwn);
    known.current = new Set([...(known.current ?? []), ...log.marks.map((mark) => mark.id)]);
    if (others > 0) say(`${others === 1 ? "A mark" : `${others} marks`} made in another window came in.`);
  }, [log, isOwn]);
  useEffect(() => {
    if (said === undefined) return undefined;
    const over = setTimeout(() => say(undefined), SAID_MS);
    return () => clearTimeout(over);
  }, [said]);
  return said;
}

/** How many marks of a log are neither known yet nor made in this window; none when nothing is known yet. */
export function fromElsewhere(
  known: ReadonlySet<string> | undefined,
  now: LogView,
  isOwn: (id: string) => boolean,
): number {
  if (!known) return 0;
  return now.marks.filter((mark) => !known.has(mark.id) && !isOwn(mark.id)).length;
}

/**
 * Notes an answer, and that nothing waits for it any more, in one: whoever draws the attempt never sees it without the mark, neither on
 * its way nor arrived. An undrawn "go" would have the next key refused.
 */
function answered(note: () => () => void): Promise<void> {
  return new Promise((done) => {
    notifyManager.batch(() => {
      const andThen = note();
      notifyManager.schedule(() => {
        andThen();
        done();
      });
    });
  });
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
