import type { PacingJson } from "../api/client";
import { seconds } from "../ui/time";

/** "5.0", or "5-20-8" where they differ by place. */
export function restsWritten({ rests, restMs }: PacingJson): string {
  return rests?.includes("-") ? rests : seconds(restMs);
}
