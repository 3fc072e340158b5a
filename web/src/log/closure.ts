import type { AttemptView } from "../api/client";
import { told } from "../ui/time";
import { isOver } from "./isOver";

/** What the log says of itself: what waits, how it ended, or that every second is in it. */
export function closure({ log }: AttemptView): string {
  const { clock, span } = told(log.digits);
  if (log.waitingForGo > 0) return `${log.waitingForGo} marks wait for “go” (G).`;
  if (log.liftWindow) {
    const made = log.lifts.filter((lift) => lift.outcome === "MADE").length;
    if (log.lifts.length === 0) return "No lift marked yet. A marks the bar leaving the floor, L a lift with its load.";
    const bell = isOver(log) ? "" : " X marks the bell.";
    return `${made} of ${log.lifts.length} ${log.lifts.length === 1 ? "lift" : "lifts"} made, best ${log.score}.${bell}`;
  }
  if (log.marks.length === 0) return "Nothing marked yet. A marks the first action, F each rep, D a movement done.";
  const parts = log.segments.flatMap((segment) => (segment.split ? [segment.split] : [])).length;
  const unclear = log.unseparatedMs > 0 ? `, ${span(log.unseparatedMs)} of it not told apart` : "";
  if (isOver(log)) return `${log.score}. Every second has its place${unclear}.`;
  return `${clock(log.clockMs)} on the clock, all of it in ${parts === 1 ? "one movement" : `${parts} movements`}${unclear}.`;
}
