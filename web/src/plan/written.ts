import type { PacingJson } from "../api/client";
import { seconds } from "../ui/time";

/** "5.0", or "5-20-8" where they differ by place. */
export function restsWritten({ rests, restMs }: PacingJson): string {
  return rests?.includes("-") ? rests : seconds(restMs);
}

/** "2.40", or "2.40, 3.00 from 15" where it changes inside the piece. */
export function paceWritten({ secondsPerUnit, effort }: PacingJson): string {
  if (!effort?.length) return secondsPerUnit.toFixed(2);
  return effort.map((step) => step.secondsPerUnit.toFixed(2) + (step.from > 0 ? ` from ${step.from}` : "")).join(", ");
}
