import type { Marks } from "./useMarks";
import { useWaiting } from "./queue";

/** Whether everything marked has reached the server. */
export function Saved({ marks }: { marks: Marks }) {
  const count = useWaiting(marks.waiting, (ops) => ops.length);
  return <span style={{ color: "var(--ink-2)" }}>{words(count, marks.offline)}</span>;
}

function words(count: number, offline: boolean): string {
  if (offline) {
    return `Wake is not answering. Keep logging: ${count} ${count === 1 ? "mark waits" : "marks wait"} here and will be sent.`;
  }
  return count > 0 ? "Saving…" : "All marks saved.";
}
