import { type Trouble, troubleWords } from "../outbox/sender";
import type { Marks } from "./useMarks";
import { useWaiting } from "../outbox/queue";

/** Whether everything marked has reached the server. */
export function Saved({ marks }: { marks: Marks }) {
  const count = useWaiting(marks.waiting, (ops) => ops.length);
  return <span style={{ color: "var(--ink-2)" }}>{words(count, marks.trouble)}</span>;
}

function words(count: number, trouble: Trouble | undefined): string {
  if (trouble && count > 0) return troubleWords(trouble, count);
  return count > 0 ? "Saving…" : "All marks saved.";
}
