import type { components } from "../api/schema";
import type { MarkRequest } from "../api/client";

type GoRequest = components["schemas"]["GoRequest"];

/** Something the coach did that the server has yet to hear of. Ids are made here, so that sending twice does no harm. */
export type Op =
  | { op: "put"; id: string; body: MarkRequest }
  | { op: "remove"; id: string }
  | { op: "join"; id: string }
  | { op: "go"; id: string; body: GoRequest }
  | { op: "forgetGo"; id: string }
  | { op: "undo" | "redo"; id: string };

/** An op with the place it is kept at. */
export interface Waiting {
  place: string;
  op: Op;
}

/**
 * What has not been sent yet, kept in the browser so that a reload loses nothing. Each op has a place of its own, so that two
 * windows on one attempt never write over each other's.
 */
export class Queue {
  private readonly prefix: string;
  private readonly storage: Storage;
  private readonly own = crypto.randomUUID().slice(0, 8);
  private count = 0;

  constructor(attemptId: string, storage: Storage) {
    this.prefix = `wake.queue.${attemptId}.`;
    this.storage = storage;
  }

  /** In the order they were made. */
  all(): Waiting[] {
    const places: string[] = [];
    for (let i = 0; i < this.storage.length; i++) {
      const place = this.storage.key(i);
      if (place?.startsWith(this.prefix)) places.push(place);
    }
    return places.sort().flatMap((place) => {
      const op = read(this.storage.getItem(place));
      return op ? [{ place, op }] : [];
    });
  }

  add(op: Op): Waiting[] {
    const at = (performance.timeOrigin + performance.now()).toFixed(3).padStart(19, "0");
    const place = `${this.prefix}${at}.${`${this.count++}`.padStart(6, "0")}.${this.own}`;
    this.storage.setItem(place, JSON.stringify(op));
    return this.all();
  }

  /** Takes one off: it has been answered. */
  drop(place: string): Waiting[] {
    this.storage.removeItem(place);
    return this.all();
  }
}

function read(kept: string | null): Op | undefined {
  if (kept === null) return undefined;
  try {
    const op: unknown = JSON.parse(kept);
    return typeof op === "object" && op !== null && "op" in op ? (op as Op) : undefined;
  } catch {
    return undefined;
  }
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
