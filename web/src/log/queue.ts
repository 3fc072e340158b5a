import { useSyncExternalStore } from "react";
import type { components } from "../api/schema";
import type { LogView, MarkRequest } from "../api/client";
import { Followers } from "../ui/followers";

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

/** What waits to be sent, to be looked at and followed. */
export interface Outbox {
  /** In the order it was made; the same list until it changes. */
  ops: () => readonly Op[];
  subscribe: (changed: () => void) => () => void;
}

/**
 * What has not been sent yet, kept in the browser so that a reload loses nothing. Each op has a place of its own, so that two
 * windows on one attempt never write over each other's.
 */
export class Queue implements Outbox {
  private readonly prefix: string;
  private readonly storage: Storage;
  private readonly own = crypto.randomUUID().slice(0, 8);
  private readonly followers = new Followers();
  private count = 0;
  private kept: readonly Waiting[] = [];
  private listed: readonly Op[] = [];

  constructor(attemptId: string, storage: Storage) {
    this.prefix = `wake.queue.${attemptId}.`;
    this.storage = storage;
    this.keep(this.stored());
  }

  readonly ops = (): readonly Op[] => this.listed;

  readonly subscribe = this.followers.add;

  first(): Waiting | undefined {
    return this.kept[0];
  }

  add(op: Op): void {
    const at = (performance.timeOrigin + performance.now()).toFixed(3).padStart(19, "0");
    const place = `${this.prefix}${at}.${`${this.count++}`.padStart(6, "0")}.${this.own}`;
    this.storage.setItem(place, JSON.stringify(op));
    this.keep([...this.kept, { place, op }]);
  }

  /** Takes one off: it has been answered. */
  drop(place: string): void {
    this.storage.removeItem(place);
    this.keep(this.kept.filter((one) => one.place !== place));
  }

  /** Another window on the same attempt keeps its marks beside ours. */
  look(): void {
    this.keep(this.stored());
  }

  private stored(): Waiting[] {
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

  private keep(waiting: readonly Waiting[]): void {
    this.kept = waiting;
    this.listed = waiting.map((one) => one.op);
    this.followers.tell();
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
export function restingAfter(phase: LogView["phase"], ops: readonly Op[]): Resting {
  return ops.reduce<Resting>(
    (now, op) => {
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
    },
    phase === "RESTING" ? "resting" : phase === "WORKING" ? "working" : "moving",
  );
}

/** Something about what waits; what reads it is drawn anew only when that changes, so it must be a plain value or the list itself. */
export function useWaiting<T>(outbox: Outbox, read: (ops: readonly Op[]) => T): T {
  return useSyncExternalStore(outbox.subscribe, () => read(outbox.ops()));
}
