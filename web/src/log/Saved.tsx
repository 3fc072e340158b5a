import { useSyncExternalStore } from "react";
import { outbox } from "../outbox/outbox";
import { type Trouble, troubleWords, unkeptWords } from "../outbox/sender";
import type { Marks } from "./useMarks";
import { useWaiting } from "../outbox/queue";

/** Whether everything marked has reached the server. */
export function Saved({ marks }: { marks: Marks }) {
  const count = useWaiting(marks.waiting, (ops) => ops.length);
  const unkept = useSyncExternalStore(outbox.queues.subscribe, outbox.queues.unkept);
  return (
    <span style={{ color: unkept > 0 ? "var(--caution)" : "var(--ink-2)" }}>
      {unkept > 0 ? unkeptWords(unkept) : words(count, marks.trouble)}
    </span>
  );
}

function words(count: number, trouble: Trouble | undefined): string {
  if (trouble && count > 0) return troubleWords(trouble, count);
  return count > 0 ? "Saving…" : "All marks saved.";
}
