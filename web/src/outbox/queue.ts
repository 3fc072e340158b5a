import { useSyncExternalStore } from "react";
import type { components } from "../api/schema";
import type { LogView, MarkRequest } from "../api/client";
import { Followers } from "../ui/followers";
import { Shelf } from "./shelf";

type GoRequest = components["schemas"]["GoRequest"];

/** So many marks go in one request at most; the server takes twice as many. */
const MOST_TOGETHER = 100;

/** Something the coach did that the server has yet to hear of. Ids are made here, so that sending twice does no harm. */
export type Op =
  | { op: "put"; id: string; body: MarkRequest }
  | { op: "remove"; id: string }
  | { op: "join"; id: string }
  | { op: "go"; id: string; body: GoRequest }
  | { op: "forgetGo"; id: string }
  /** An undo names the mark, or the recording, whose last change it is meant for: another is not taken back for it. */
  | { op: "undo"; id: string; of?: string }
  | { op: "redo"; id: string };

/** An op with the place it is kept at. */
export interface Waiting {
  place: string;
  op: Op;
}

/** An op the server could not take, with its reason: it is set aside, so that the rest goes on. */
export interface Aside extends Waiting {
  attemptId: string;
  why: string;
}

/** This window, among those that may be open. */
export const WINDOW = crypto.randomUUID().slice(0, 8);

/** Whether an op was made in this window. */
export const isOwnPlace = (place: string): boolean => place.endsWith(`.${WINDOW}`);

/** What waits to be sent, to be looked at and followed. */
export interface Waits {
  /** In the order it was made; the same list until it changes. */
  ops: () => readonly Op[];
  subscribe: (changed: () => void) => () => void;
}

/**
 * What has not been sent yet, kept in the browser so that a reload loses nothing. Each op has a place of its own, so that two
 * windows on one attempt never write over each other's.
 */
export class Queue implements Waits {
  private readonly prefix: string;
  private readonly shelf: Shelf;
  private readonly followers = new Followers();
  private count = 0;
  private kept: readonly Waiting[] = [];
  private listed: readonly Op[] = [];

  constructor(attemptId: string, shelf: Shelf) {
    this.prefix = `${WAITING}${attemptId}.`;
    this.shelf = shelf;
    this.keep(this.stored());
  }

  readonly ops = (): readonly Op[] => this.listed;

  readonly subscribe = this.followers.add;

  first(): Waiting | undefined {
    return this.kept[0];
  }

  /** What may be sent next in one request: the marks that were put one after the other, or the first op alone. */
  together(): [Waiting, ...Waiting[]] | undefined {
    const [first, ...rest] = this.kept;
    if (first?.op.op !== "put") return first && [first];
    const end = rest.findIndex(({ op }) => op.op !== "put");
    return [first, ...rest.slice(0, Math.min(MOST_TOGETHER - 1, end < 0 ? rest.length : end))];
  }

  add(op: Op): void {
    const at = (performance.timeOrigin + performance.now()).toFixed(3).padStart(19, "0");
    const place = `${this.prefix}${at}.${`${this.count++}`.padStart(6, "0")}.${WINDOW}`;
    this.shelf.set(place, JSON.stringify(op));
    this.keep([...this.kept, { place, op }]);
  }

  /** Takes off what has been answered. */
  drop(...places: string[]): void {
    for (const place of places) this.shelf.remove(place);
    const left = this.kept.filter((one) => !places.includes(one.place));
    if (left.length < this.kept.length) this.keep(left);
  }

  /** Takes off the next undo that was meant for an op which was never taken, unless the same was sent again. */
  dropUndoOf(id: string): void {
    const undo = this.kept.find(({ op }) => (op.op === "undo" ? op.of === id : op.id === id));
    if (undo?.op.op === "undo") this.drop(undo.place);
  }

  /** What an undo asked for now is meant for: what waits last and is not taken back yet, else what the server did last; undefined where that cannot be told. */
  lastDone(doneLast: string | undefined): string | undefined {
    const stack: (string | undefined)[] = [doneLast];
    for (const { op } of this.kept) {
      if (op.op === "undo") {
        stack.pop();
        if (stack.length === 0) stack.push(undefined);
      } else stack.push(op.op === "redo" ? undefined : op.id);
    }
    return stack.at(-1);
  }

  /** Another window on the same attempt keeps its marks beside ours. */
  look(): void {
    this.keep(this.stored());
  }

  private stored(): Waiting[] {
    return this.shelf.places(this.prefix).flatMap((place) => {
      const op = read(this.shelf.get(place));
      return op ? [{ place, op }] : [];
    });
  }

  private keep(waiting: readonly Waiting[]): void {
    this.kept = waiting;
    this.listed = waiting.map((one) => one.op);
    this.followers.tell();
  }
}

const WAITING = "wake.queue.";
const ASIDE = "wake.aside.";
const ID_LENGTH = 36;

/** All that waits in this browser, by attempt, and what was set aside. Windows share it. */
export class Queues {
  readonly shelf: Shelf;
  private readonly open = new Map<string, Queue>();
  private readonly followers = new Followers();
  private aside: readonly Aside[] = [];

  constructor(shelf: Shelf) {
    this.shelf = shelf;
    this.aside = this.storedAside();
  }

  readonly subscribe = this.followers.add;

  readonly setAside = (): readonly Aside[] => this.aside;

  /** The queue of an attempt: the same one for all who ask. */
  of(attemptId: string): Queue {
    const known = this.open.get(attemptId);
    if (known) return known;
    const queue = new Queue(attemptId, this.shelf);
    queue.subscribe(this.followers.tell);
    this.open.set(attemptId, queue);
    return queue;
  }

  /** How many of all would be lost with the page, since the browser has no room for them. */
  readonly unkept = (): number => this.shelf.unkept();

  /** How many ops wait in all. */
  readonly count = (): number => [...this.open.values()].reduce((sum, queue) => sum + queue.ops().length, 0);

  /** The attempts something waits for. */
  attempts(): string[] {
    return [...this.open].filter(([, queue]) => queue.first()).map(([id]) => id);
  }

  /** Looks again at what is kept: another window may have been there. */
  look(): void {
    for (const place of this.shelf.places(WAITING)) this.of(attemptOf(place, WAITING));
    for (const queue of this.open.values()) queue.look();
    this.aside = this.storedAside();
    this.followers.tell();
  }

  /**
   * Sets an op aside. It is written there before it leaves the queue, so that it is in one place or in both. An undo that was meant for it
   * has nothing to take back, and goes with it.
   */
  put(attemptId: string, { place, op }: Waiting, why: string): void {
    const kept: Aside = { attemptId, place: place.replace(WAITING, ASIDE), op, why };
    this.shelf.set(kept.place, JSON.stringify(kept));
    const queue = this.of(attemptId);
    queue.drop(place);
    queue.dropUndoOf(op.id);
    this.aside = this.storedAside();
    this.followers.tell();
  }

  /** Lets go of what was set aside. */
  letGo(one: Pick<Aside, "place">): void {
    this.shelf.remove(one.place.replace(WAITING, ASIDE));
    this.aside = this.storedAside();
    this.followers.tell();
  }

  /** Sends what was set aside once more. */
  again(one: Aside): void {
    this.of(one.attemptId).add(one.op);
    this.letGo(one);
  }

  private storedAside(): Aside[] {
    return this.shelf.places(ASIDE).flatMap((place) => {
      try {
        const one: unknown = JSON.parse(this.shelf.get(place) ?? "null");
        return typeof one === "object" && one !== null && "why" in one ? [one as Aside] : [];
      } catch {
        return [];
      }
    });
  }
}

function attemptOf(place: string, prefix: string): string {
  const rest = place.slice(prefix.length);
  return rest.charAt(ID_LENGTH) === "." ? rest.slice(0, ID_LENGTH) : rest.slice(0, Math.max(0, rest.indexOf(".")));
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
export function useWaiting<T>(outbox: Waits, read: (ops: readonly Op[]) => T): T {
  return useSyncExternalStore(outbox.subscribe, () => read(outbox.ops()));
}
