import type { components } from "../api/schema";
import type { MarkRequest } from "../api/client";

type GoRequest = components["schemas"]["GoRequest"];

/** Something the coach did that the server has yet to hear of. Ids are made here, so that sending twice does no harm. */
export type Op =
  | { op: "put"; id: string; body: MarkRequest }
  | { op: "remove"; id: string }
  | { op: "go"; id: string; body: GoRequest }
  | { op: "forgetGo"; id: string };

/** What has not been sent yet, kept in the browser so that a reload loses nothing. */
export class Queue {
  private readonly place: string;
  private readonly storage: Storage;

  constructor(attemptId: string, storage: Storage) {
    this.place = `wake.queue.${attemptId}`;
    this.storage = storage;
  }

  all(): Op[] {
    const kept = this.storage.getItem(this.place);
    if (kept === null) return [];
    try {
      const ops: unknown = JSON.parse(kept);
      return Array.isArray(ops) ? (ops as Op[]) : [];
    } catch {
      return [];
    }
  }

  add(op: Op): Op[] {
    return this.keep([...this.all(), op]);
  }

  /** Takes the first one off: it has been answered. */
  shift(): Op[] {
    return this.keep(this.all().slice(1));
  }

  private keep(ops: Op[]): Op[] {
    if (ops.length === 0) this.storage.removeItem(this.place);
    else this.storage.setItem(this.place, JSON.stringify(ops));
    return ops;
  }
}

/** The last mark that still stands, counting those not sent yet; none when all are taken back. */
export function lastStanding(sent: readonly string[], ops: readonly Op[]): string | undefined {
  const standing = [...sent];
  for (const op of ops) {
    const at = standing.indexOf(op.id);
    if (op.op === "put" && at < 0) standing.push(op.id);
    if (op.op === "remove" && at >= 0) standing.splice(at, 1);
  }
  return standing.at(-1);
}

/** Where "go" lies on a recording, with what was not sent yet taken into account. */
export function goAfter(goMs: number | undefined, recordingId: string, ops: readonly Op[]): number | undefined {
  return ops.reduce((now, op) => {
    if (op.id !== recordingId) return now;
    return op.op === "go" ? op.body.atMs : op.op === "forgetGo" ? undefined : now;
  }, goMs);
}

export type Resting = "working" | "resting" | "moving";

/** Whether the athlete rests, with the marks not sent yet taken into account. */
export function restingAfter(phase: Resting, ops: readonly Op[]): Resting {
  return ops.reduce<Resting>((now, op) => {
    if (op.op !== "put") return now;
    switch (op.body.kind) {
      case "OFF":
        return "resting";
      case "ON":
      case "BEGIN":
      case "REP":
        return "working";
      case "DONE":
        return "moving";
      default:
        return now;
    }
  }, phase);
}
