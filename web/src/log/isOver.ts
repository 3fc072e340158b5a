import type { LogView } from "../api/client";

/** Whether all is logged: the work was done, or stopped by a mark. */
export function isOver({ phase }: LogView): boolean {
  return phase === "FINISHED" || phase === "STOPPED";
}
