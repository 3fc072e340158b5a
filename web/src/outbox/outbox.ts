import { notifyManager } from "@tanstack/react-query";
import { type AttemptView, type LogView } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { deliver } from "./deliver";
import { type Op, Queues, type Waiting } from "./queue";
import { type Heard, Sender } from "./sender";
import { Shelf } from "./shelf";

const LOCK = "wake sender";
/** A removal in another window is looked at after what that window says of it. */
const AFTER_WORD_MS = 400;

/** How long after it ended the sender begins again. */
const AGAIN_MS = 1000;

/** What another window holds in memory only. */
interface Unkept {
  kind: "unkept";
  place: string;
  value: string;
}

type Listener = (heard: Heard) => void;

/** What waits in this browser, and the one sender for all its windows and all steps of the job. */
export class Outbox {
  readonly queues: Queues;
  readonly sender: Sender;
  private readonly channel: BroadcastChannel | undefined;
  private readonly listeners = new Set<Listener>();
  private stop: AbortController | undefined;

  constructor(storage: Storage) {
    this.queues = new Queues(new Shelf(storage));
    this.channel = typeof BroadcastChannel === "undefined" ? undefined : new BroadcastChannel("wake outbox");
    // Whichever window sends has to know of what the storage has no room for.
    this.queues.shelf.onUnkept = (place, value) => this.channel?.postMessage({ kind: "unkept", place, value });
    this.sender = new Sender({
      queues: this.queues,
      deliver,
      note: (attemptId, sent, log) => this.note(attemptId, sent, log),
      tell: (heard) => {
        this.channel?.postMessage(heard);
        this.hear(heard);
      },
      wait: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
    });
  }

  /** Hears of what was sent; what comes back ends it. */
  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  }

  /** Begins to send, in whichever window is elected; what comes back ends it. */
  start(): () => void {
    const stop = new AbortController();
    this.stop?.abort();
    this.stop = stop;
    const { signal } = stop;
    this.queues.look();
    if (this.channel) {
      this.channel.onmessage = (event: MessageEvent<Heard | Unkept>) => void this.fromElsewhere(event.data);
    }
    const stored = (event: StorageEvent) => {
      if (event.newValue === null) setTimeout(() => this.queues.look(), AFTER_WORD_MS);
      else this.queues.look();
    };
    window.addEventListener("storage", stored);
    // Without locks (a page of a network address) each window sends; every op has an id, so that twice is as once.
    const locks = (navigator as { locks?: LockManager }).locks;
    const send = (): void => {
      if (signal.aborted) return;
      const run = locks ? locks.request(LOCK, { signal }, () => this.sender.run(signal)) : this.sender.run(signal);
      // It goes on after whatever ended it; only being stopped ends it for good.
      run.catch(() => setTimeout(send, AGAIN_MS));
    };
    send();
    return () => {
      window.removeEventListener("storage", stored);
      stop.abort();
    };
  }

  private async fromElsewhere(heard: Heard | Unkept): Promise<void> {
    if (heard.kind === "unkept") {
      this.queues.shelf.hold(heard.place, heard.value);
      this.queues.look();
      return;
    }
    if (heard.kind === "answer") await this.note(heard.attemptId, heard.sent, heard.log);
    else if (heard.kind === "trouble") this.sender.heard(heard.trouble);
    else this.queues.look();
    this.hear(heard);
  }

  private hear(heard: Heard): void {
    for (const listener of [...this.listeners]) listener(heard);
  }

  /**
   * Notes an answer, and that nothing waits for it any more, in one: whoever draws the attempt never sees it without the mark, neither on
   * its way nor arrived. An undrawn "go" would have the next key refused.
   */
  private note(attemptId: string, sent: readonly Waiting[], log: LogView): Promise<void> {
    const ops = sent.map((one) => one.op);
    const any = (...kinds: Op["op"][]) => ops.some((op) => kinds.includes(op.op));
    return new Promise((done) => {
      notifyManager.batch(() => {
        queryClient.setQueryData<AttemptView>(
          keys.attempt(attemptId),
          (old) => old && ops.reduce((now, op) => withLog(now, log, op), old),
        );
        notifyManager.schedule(() => {
          this.queues.of(attemptId).drop(...sent.map((one) => one.place));
          done();
        });
      });
      // Undo and redo may have moved "go" as well.
      if (any("undo", "redo")) {
        void queryClient.invalidateQueries({ queryKey: keys.attempt(attemptId), exact: true });
      }
      // "Go" of one of a heat is that of who started with it.
      if (any("join", "undo", "redo", "go", "forgetGo")) {
        const others = (key: readonly unknown[]) => key.length === 2 && key[0] === "attempt" && key[1] !== attemptId;
        void queryClient.invalidateQueries({ predicate: ({ queryKey }) => others(queryKey) });
      }
      // What is looked at meanwhile follows; the log itself looks at none of these.
      for (const key of [keys.reading, keys.retest]) {
        void queryClient.invalidateQueries({ queryKey: key(attemptId) });
      }
      void queryClient.invalidateQueries({ queryKey: keys.today, refetchType: "none" });
    });
  }
}

function withLog(attempt: AttemptView, log: LogView, op: Op): AttemptView {
  if (op.op !== "go" && op.op !== "forgetGo") return { ...attempt, log };
  const recordings = attempt.recordings.map(({ goMs, ...rest }) => {
    if (rest.id !== op.id) return goMs === undefined ? rest : { ...rest, goMs };
    return op.op === "go" ? { ...rest, goMs: op.body.atMs } : rest;
  });
  return { ...attempt, log, recordings };
}

export const outbox = new Outbox(localStorage);
