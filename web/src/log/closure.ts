import type { AttemptView } from "../api/client";
import { told } from "../ui/time";
import { isOver } from "./isOver";

/** What the log says of itself: what waits, how it ended, or that every second is in it. */
export function closure({ log }: AttemptView): string {
  const { clock, span } = told(log.digits);
  if (log.waitingForGo > 0) return `${log.waitingForGo} marks are waiting for the start (G).`;
  if (log.liftWindow) {
    const made = log.lifts.filter((lift) => lift.outcome === "MADE").length;
    if (log.lifts.length === 0)
      return "No lifts yet. Press A when the bar leaves the floor, or L for a lift with its load.";
    const bell = isOver(log) ? "" : " Press X at time.";
    return `${made} of ${log.lifts.length} ${log.lifts.length === 1 ? "lift" : "lifts"} made, best ${log.score}.${bell}`;
  }
  if (log.marks.length === 0)
    return "Nothing logged yet. Press A when a movement starts, F for each rep, D when it is done.";
  const parts = log.segments.flatMap((segment) => (segment.split ? [segment.split] : [])).length;
  const unclear = log.unseparatedMs > 0 ? ` (${span(log.unseparatedMs)} unassigned)` : "";
  if (isOver(log)) return `${log.score} logged in full${unclear}.`;
  return `${clock(log.clockMs)} logged: ${parts === 1 ? "1 movement" : `${parts} movements`}${unclear}.`;
}
