import type { MarkKind } from "../api/client";

/** What a coach calls each kind of mark. */
export const KINDS: Readonly<Record<MarkKind, string>> = {
  BEGIN: "movement starts",
  REP: "rep",
  OFF: "break",
  ON: "back on",
  DONE: "movement done",
  NO_REP: "no-rep",
  MISS: "failed rep",
  TRIP: "trip",
  BLIND: "view blocked",
  SEEN: "view clear",
  VARIANT: "technique",
  CUE: "note",
  LIFT: "lift",
  STOP: "time or stop",
};
