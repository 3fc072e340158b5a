import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import { type AttemptView, type LogView, type MarkRequest } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { outbox } from "../outbox/outbox";
import { isOwnPlace, type Op, type Waits } from "../outbox/queue";
import type { Trouble } from "../outbox/sender";

/** How long it is said that marks came in from elsewhere. */
const SAID_MS = 8000;

export interface Marks {
  /** Not yet answered by the server. */
  waiting: Waits;
  /** Why nothing can be sent at present. */
  trouble: Trouble | undefined;
  /** Why the last key was refused, in the server's words. */
  refusal: string | undefined;
  say: (notice: string | undefined) => void;
  send: (op: Op) => void;
  /** What an undo asked for now takes back: a mark, or a recording whose "go" was set. */
  lastDone: () => string | undefined;
  /** The log as the server last answered it: a key must not wait for it to be drawn. */
  log: () => LogView;
  /** Whether this window made a mark. */
  isOwn: (id: string) => boolean;
  /** Whether anything was done here since the step was opened. */
  isTouched: () => boolean;
}

/** The marks of the attempt on screen: they are put where the application's sender finds them, and sent wherever the coach goes. */
export function useMarks(attempt: AttemptView): Marks {
  const queue = useMemo(() => outbox.queues.of(attempt.id), [attempt.id]);
  const trouble = useSyncExternalStore(outbox.sender.subscribe, outbox.sender.trouble);
  const [refusal, say] = useState<string>();
  const own = useRef(new Set<string>());

  useEffect(
    () =>
      outbox.listen((heard) => {
        // Who made it and still looks on is told at once; else it stays aside for whoever looks next.
        if (heard.kind !== "refused" || heard.attemptId !== attempt.id || !isOwnPlace(heard.place)) return;
        say(heard.why);
        outbox.queues.letGo(heard);
      }),
    [attempt.id],
  );

  const send = useCallback(
    (op: Op) => {
      say(undefined);
      own.current.add(op.id);
      queue.add(op);
    },
    [queue],
  );

  const isOwn = useCallback((id: string) => own.current.has(id), []);
  const isTouched = useCallback(() => own.current.size > 0, []);
  const drawn = attempt.log;
  const log = useCallback(
    () => queryClient.getQueryData<AttemptView>(keys.attempt(attempt.id))?.log ?? drawn,
    [attempt.id, drawn],
  );
  const lastDone = useCallback(() => queue.lastDone(log().undoOf), [queue, log]);
  return { waiting: queue, trouble, refusal, say, send, lastDone, log, isOwn, isTouched };
}

/** Says so for a while when marks come in that were made elsewhere, with an answer or by themselves. */
export function useFromElsewhere(log: LogView, isOwn: Marks["isOwn"]): string | undefined {
  const known = useRef<ReadonlySet<string>>(undefined);
  const [said, say] = useState<string>();
  useEffect(() => {
    const others = fromElsewhere(known.current, log, isOwn);
    known.current = new Set([...(known.current ?? []), ...log.marks.map((mark) => mark.id)]);
    if (others > 0) say(`${others === 1 ? "A mark" : `${others} marks`} from another window came in.`);
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

/** A mark of a kind; what is not said is empty. */
export function markBody(fields: Partial<MarkRequest> & Pick<MarkRequest, "kind" | "atMs">): MarkRequest {
  return { reps: 0, depth: "SET", tag: "", text: "", step: 0, ...fields };
}
