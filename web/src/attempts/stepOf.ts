import type { TodayRow } from "../api/client";

/** The step an attempt is gone on with. */
export function stepOf({ place }: TodayRow): string {
  switch (place) {
    case "TO_REVIEW":
      return "log";
    case "PLANNED":
    case "RETEST_DUE":
      return "plan";
    case "CHECKED":
      return "retest";
    case "REVIEWED":
      return "reading";
  }
}
