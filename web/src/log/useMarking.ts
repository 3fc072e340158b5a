import { useEffect, useEffectEvent, useRef, useState } from "react";
import type { AttemptView, MarkKind, MarkRequest, MarkView } from "../api/client";
import type { Deck } from "../player/deck";
import { markBody, type Marks } from "./useMarks";

/** How much before the end of the log a moment is a place to insert at, not the next thing to happen. */
const BEFORE_END_MS = 60;

/** How long after a digit a count is taken as typed to its end. */
const TYPED_OUT_MS = 900;

/** The mark that typed digits count for. */
interface Counted {
  id: string;
  kind: "OFF" | "STOP" | undefined;
  mediaMs: number;
  typed: string;
  timer?: number;
  /** Sends the count that was typed so far. */
  send?: () => void;
}

const NONE: Counted = { id: "", kind: undefined, mediaMs: 0, typed: "" };

/** What is marked on: a recording, with where "go" lies on it, or the clock at the rig. */
export interface Source {
  id: string | undefined;
  goMs?: number;
  durationMs?: number;
}

export interface Desk {
  attempt: AttemptView;
  marks: Marks;
  source: Source;
  deck: Deck;
}

/** Makes and corrects marks at the moment on screen. */
export function useMarking({ marks, source, deck }: Omit<Desk, "attempt">) {
  const [endsOnly, setEndsOnly] = useState(false);
  const [said, say] = useState<string>();
  const counted = useRef<Counted>(NONE);
  const { id: sourceId, goMs } = source;
  const where = sourceId === undefined ? {} : { recordingId: sourceId };

  const how = () => {
    const playing = deck.player;
    return playing && !playing.paused()
      ? { made: "TAPPED" as const, step: playing.rate() }
      : { made: "STEPPED" as const, step: (playing?.frameMs() ?? 33) / 1000 };
  };

  /** Media time at a key press so long ago: a busy browser hears of a key late, but the coach was not. */
  const now = (agoMs = 0) => {
    const playing = deck.player;
    if (!playing) return 0;
    const since = playing.paused() ? 0 : agoMs * playing.rate();
    return Math.max(0, Math.round(playing.timeMs() - since));
  };

  /** Between marks made already the server says whether it fits; at the end of the log the legend does. */
  const inserting = (mediaMs: number) => goMs !== undefined && mediaMs - goMs < marks.log().clockMs - BEFORE_END_MS;

  const refusal = (kind: MarkKind, mediaMs = now()) =>
    marks.waiting.ops().length === 0 && !inserting(mediaMs)
      ? marks.log().keys.find((hint) => hint.kind === kind)?.refusal
      : undefined;

  const mark = (kind: MarkKind, mediaMs = now(), extra: { text?: string; tag?: string; reps?: number } = {}) => {
    if (goMs === undefined) {
      say(sourceId === undefined ? "Start the clock first." : "Press G at 3-2-1-go first.");
      return;
    }
    if ((deck.player?.timeMs() ?? 0) < 0) {
      say("The countdown is still running.");
      return;
    }
    const reason = refusal(kind, mediaMs);
    if (reason) {
      say(reason);
      return;
    }
    say(undefined);
    sendCount();
    const id = crypto.randomUUID();
    const depth = endsOnly ? "SEGMENT" : "SET";
    marks.send({
      op: "put",
      id,
      body: markBody({ kind, atMs: mediaMs, ...where, depth, ...how(), ...extra }),
    });
    counted.current = kind === "OFF" || kind === "STOP" ? { id, kind, mediaMs, typed: "" } : NONE;
  };

  /** A count that waits to be typed to its end is taken as typed to it. */
  const sendCount = () => {
    const { timer, send } = counted.current;
    window.clearTimeout(timer);
    delete counted.current.send;
    send?.();
  };
  const sendLast = useEffectEvent(sendCount);
  useEffect(() => {
    const leaving = () => sendLast();
    window.addEventListener("pagehide", leaving);
    return () => {
      window.removeEventListener("pagehide", leaving);
      leaving();
    };
  }, []);

  /** Reps of the set just broken, or of the movement at the buzzer. A count at the buzzer is sent once it is typed to its end. */
  const digit = (typed: number) => {
    const told = counted.current;
    if (told.kind === undefined) {
      say("To enter reps, press S (break) or X (time) first.");
      return;
    }
    told.typed = `${told.typed}${typed}`.slice(-3);
    const reps = Number(told.typed);
    const depth = endsOnly ? "SEGMENT" : "SET";
    const body = markBody({ kind: told.kind, atMs: told.mediaMs, ...where, reps, depth });
    const send = () => marks.send({ op: "put", id: told.id, body });
    if (told.kind === "OFF") {
      send();
      say(`Set of ${reps}.`);
    } else {
      window.clearTimeout(told.timer);
      told.send = send;
      told.timer = window.setTimeout(sendCount, TYPED_OUT_MS);
      say(`${reps} reps at time.`);
    }
  };

  const correct = (target: MarkView, fields: Partial<MarkRequest>) => {
    const { kind, atMs, reps, depth, tag, text, recordingId } = target;
    const body = markBody({ kind, atMs, reps, depth, tag, text, wasAtMs: atMs, ...fields });
    marks.send({ op: "put", id: target.id, body: recordingId ? { ...body, recordingId } : body });
    if (fields.atMs !== undefined && recordingId === sourceId) deck.player?.seek(fields.atMs);
  };

  const nudge = (target: MarkView, frames: number) => {
    const frameMs = deck.player?.frameMs() ?? 33;
    correct(target, { atMs: Math.round(target.atMs + frames * frameMs), made: "STEPPED", step: frameMs / 1000 });
  };

  const setGo = (atMs: number, by: { made: "TAPPED" | "STEPPED" | "TYPED"; step: number } = how()) => {
    if (sourceId === undefined) {
      say("Use the buttons under the clock to start it.");
      return;
    }
    say(undefined);
    marks.send({ op: "go", id: sourceId, body: { atMs: Math.round(atMs), ...by } });
  };

  const watch = () => {
    say(endsOnly ? "Logging sets." : "Logging movements only. Breaks won’t be recorded.");
    setEndsOnly(!endsOnly);
  };

  return { said, say, now, inserting, refusal, mark, digit, sendCount, correct, nudge, setGo, watch };
}

export type Marking = ReturnType<typeof useMarking>;
