import { ApiProblem, type LogView } from "../api/client";
import { Followers } from "../ui/followers";
import type { Op, Queues, Waiting } from "./queue";

/** Why nothing can be sent at present. */
export type Trouble = "away" | "full" | "busy";

/** What a window hears of an op that was sent, by whichever window. */
export type Heard =
  | { kind: "answer"; attemptId: string; sent: readonly Waiting[]; log: LogView }
  | { kind: "refused"; attemptId: string; place: string; op: Op; why: string }
  | { kind: "trouble"; trouble: Trouble | undefined };

interface Parts {
  queues: Queues;
  deliver: (attemptId: string, ops: readonly [Op, ...Op[]]) => Promise<LogView>;
  /** Notes an answer in this window, and that nothing waits for it any more, in one. */
  note: (attemptId: string, sent: readonly Waiting[], log: LogView) => Promise<void>;
  /** Tells other windows, before this one forgets that it waited. */
  tell: (heard: Heard) => void;
  wait: (ms: number) => Promise<void>;
}

/** What one request is to carry. */
interface Next {
  attemptId: string;
  waiting: readonly [Waiting, ...Waiting[]];
}

const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 4000;
/** How often the server may fail at one and the same op before that is set aside. */
const MOST_FAILURES = 4;

/**
 * Sends what waits of each attempt in its order, wherever in the application the coach is: marks that wait together in one request. While the
 * server is away, or has no room, everything waits. An op it cannot take is set aside with its reason, and the rest goes on.
 */
export class Sender {
  private readonly parts: Parts;
  private readonly followers = new Followers();
  private readonly failures = new Map<string, number>();
  private now: Trouble | undefined;
  private wake: () => void = () => undefined;
  private woken = false;
  private turn = 0;
  /** The ops of a request that was refused as a whole: they go one by one, to tell which of them it was. */
  private readonly alone = new Set<string>();

  constructor(parts: Parts) {
    this.parts = parts;
  }

  readonly subscribe = this.followers.add;

  readonly trouble = (): Trouble | undefined => this.now;

  /** Says what another window has found out. */
  readonly heard = (trouble: Trouble | undefined): void => {
    if (this.now === trouble) return;
    this.now = trouble;
    this.followers.tell();
  };

  /** Sends until it is told to stop. */
  async run(signal: AbortSignal): Promise<void> {
    const unfollow = this.parts.queues.subscribe(this.rouse);
    signal.addEventListener("abort", this.rouse);
    while (!signal.aborted) {
      // What is put there from here on rouses it.
      this.woken = false;
      const next = this.next();
      if (next) await this.send(next, signal).catch(() => this.pause(next.waiting[0].place, signal));
      else {
        await this.sleep();
        // Painting the mark comes first; sending it can wait for that.
        await this.parts.wait(0);
      }
    }
    unfollow();
    signal.removeEventListener("abort", this.rouse);
  }

  private readonly rouse = (): void => {
    this.woken = true;
    this.wake();
  };

  private sleep(): Promise<void> {
    return new Promise((resolve) => {
      this.wake = resolve;
      if (this.woken) resolve();
    });
  }

  /** Attempts take turns, so that one with much to send holds up no other. */
  private next(): Next | undefined {
    const attempts = this.parts.queues.attempts();
    const attemptId = attempts[this.turn++ % Math.max(1, attempts.length)];
    const waiting = attemptId === undefined ? undefined : this.parts.queues.of(attemptId).together();
    if (attemptId === undefined || !waiting) return undefined;
    const [first] = waiting;
    return { attemptId, waiting: this.alone.has(first.place) ? [first] : waiting };
  }

  private async send({ attemptId, waiting }: Next, signal: AbortSignal) {
    const [first, ...more] = waiting;
    const { place } = first;
    try {
      const log = await this.parts.deliver(attemptId, [first.op, ...more.map(({ op }) => op)]);
      this.forget(place);
      this.say(undefined);
      this.parts.tell({ kind: "answer", attemptId, sent: waiting, log });
      await this.parts.note(attemptId, waiting, log);
    } catch (error) {
      const trouble = troubleOf(error);
      if (trouble) {
        this.say(trouble);
        await this.pause(place, signal);
      } else if (more.length > 0) {
        for (const one of waiting) this.alone.add(one.place);
      } else if (isRefusal(error) || this.failed(place) >= MOST_FAILURES) {
        this.forget(place);
        this.say(undefined);
        const why = error instanceof Error ? error.message : "The server failed at it.";
        this.parts.queues.put(attemptId, first, why);
        this.parts.tell({ kind: "refused", attemptId, place, op: first.op, why });
      } else {
        this.alone.add(place);
        await this.pause(place, signal);
      }
    }
  }

  private forget(place: string): void {
    this.failures.delete(place);
    this.alone.delete(place);
  }

  private failed(place: string): number {
    const count = (this.failures.get(place) ?? 0) + 1;
    this.failures.set(place, count);
    return count;
  }

  private readonly waits = new Map<string, number>();

  /** Longer each time, until something is answered. */
  private async pause(place: string, signal: AbortSignal): Promise<void> {
    const ms = this.waits.get(place) ?? FIRST_WAIT_MS;
    this.waits.clear();
    this.waits.set(place, Math.min(LONGEST_WAIT_MS, 2 * ms));
    if (!signal.aborted) await this.parts.wait(ms);
  }

  private say(trouble: Trouble | undefined): void {
    if (this.now === trouble) return;
    this.heard(trouble);
    this.parts.tell({ kind: "trouble", trouble });
  }
}

function isRefusal(error: unknown): boolean {
  return error instanceof ApiProblem && error.status < 500 && error.status !== 401 && error.status !== 429;
}

/** What is not the op's fault: the same op may be taken later. */
function troubleOf(error: unknown): Trouble | undefined {
  if (!(error instanceof ApiProblem)) return "away";
  if (error.status === 507) return "full";
  return error.status === 503 || error.status === 429 || error.status === 401 ? "busy" : undefined;
}

/** What is held in memory only, in words. */
export function unkeptWords(count: number): string {
  return `This browser has no room left: ${count === 1 ? "one mark is" : `${count} marks are`} not on disk yet. Keep this page open until all marks are saved.`;
}

/** What the trouble is, in words, with how much waits. */
export function troubleWords(trouble: Trouble, count: number): string {
  const marks = `${count} ${count === 1 ? "mark is" : "marks are"} saved on this device`;
  switch (trouble) {
    case "away":
      return `Connection lost. Keep logging: ${marks} and will be sent.`;
    case "full":
      return `The disk is full. Keep logging: ${marks}. Make room, and they are sent.`;
    case "busy":
      return `Wake is busy. Keep logging: ${marks} and will be sent.`;
  }
}
