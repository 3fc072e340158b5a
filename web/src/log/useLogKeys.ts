import { type RefObject, useEffect, useEffectEvent, useRef, useState } from "react";
import type { AttemptView, MarkKind, MarkView, RecordingView } from "../api/client";
import { nextRate, type Player } from "../player/player";
import { type Action, action } from "./keys";
import { type Op, type Resting, restingAfter } from "./queue";
import { markBody, type Marks } from "./useMarks";

interface Desk {
  attempt: AttemptView;
  marks: Marks;
  recording: RecordingView;
  player: RefObject<Player | null>;
  /** Clock time to open at. */
  startAtMs: number | undefined;
}

export interface LogKeys {
  notice: string | undefined;
  resting: Resting;
  chosen: MarkView | undefined;
  choose: (mark: MarkView) => void;
  help: boolean;
  /** Clock time a cue is being written for. */
  cueAtMs: number | undefined;
  cue: (text: string, tag: string) => void;
  /** Clock time a lift is being noted for. */
  liftAtMs: number | undefined;
  lift: (load: string, made: boolean) => void;
  close: () => void;
}

/** Turns key presses into marks and moves of the player. */
export function useLogKeys({ attempt, marks, recording, player, startAtMs }: Desk): LogKeys {
  const [help, setHelp] = useState(false);
  const [cueMediaMs, setCueMediaMs] = useState<number>();
  const [liftMediaMs, setLiftMediaMs] = useState<number>();
  const [chosenId, setChosenId] = useState<string>();
  const [endsOnly, setEndsOnly] = useState(false);
  const [said, setSaid] = useState<string>();
  const lastBreak = useRef({ id: "", mediaMs: 0, typed: "" });
  const { log } = attempt;
  const { goMs } = recording;
  const resting = restingAfter(phase(log.phase), marks.waiting);
  const chosen = log.marks.find((mark) => mark.id === chosenId);

  useEffect(() => {
    if (startAtMs === undefined) return undefined;
    const timer = setTimeout(() => player.current?.seek(startAtMs + (goMs ?? 0)), 120);
    return () => clearTimeout(timer);
  }, [startAtMs, goMs, player]);

  const how = () => {
    const playing = player.current;
    return playing && !playing.paused()
      ? { made: "TAPPED" as const, step: playing.rate() }
      : { made: "STEPPED" as const, step: (playing?.frameMs() ?? 33) / 1000 };
  };

  const now = () => Math.round(player.current?.timeMs() ?? 0);

  const refusal = (kind: MarkKind) =>
    marks.waiting.length === 0 ? log.keys.find((hint) => hint.kind === kind)?.refusal : undefined;

  const mark = (kind: MarkKind, mediaMs = now(), extra: { text?: string; tag?: string; reps?: number } = {}) => {
    if (goMs === undefined) {
      setSaid("Press G at the start signal first, so that the clock is known.");
      return;
    }
    const reason = refusal(kind);
    if (reason) {
      setSaid(reason);
      return;
    }
    setSaid(undefined);
    const id = crypto.randomUUID();
    const depth = endsOnly ? "SEGMENT" : "SET";
    marks.send({
      op: "put",
      id,
      body: markBody({ kind, atMs: mediaMs, recordingId: recording.id, depth, ...how(), ...extra }),
    });
    lastBreak.current = kind === "OFF" ? { id, mediaMs, typed: "" } : { id: "", mediaMs: 0, typed: "" };
  };

  const digit = (typed: number) => {
    const set = lastBreak.current;
    if (!set.id) {
      setSaid("Numbers count the set just broken: press S first.");
      return;
    }
    set.typed = `${set.typed}${typed}`.slice(-3);
    const reps = Number(set.typed);
    const depth = endsOnly ? "SEGMENT" : "SET";
    const body = markBody({ kind: "OFF", atMs: set.mediaMs, recordingId: recording.id, reps, depth });
    marks.send({ op: "put", id: set.id, body });
    setSaid(`Set of ${reps}.`);
  };

  const correct = (target: MarkView, frames: number) => {
    const atMs = Math.round(target.atMs + frames * (player.current?.frameMs() ?? 33));
    const { kind, reps, depth, tag, text, recordingId } = target;
    const step = (player.current?.frameMs() ?? 33) / 1000;
    const body = markBody({ kind, atMs, reps, depth, tag, text, made: "STEPPED", step });
    const op: Op = { op: "put", id: target.id, body: recordingId ? { ...body, recordingId } : body };
    marks.send(op);
    player.current?.seek(atMs);
  };

  const perform = (doing: Action): void => {
    const playing = player.current;
    if (!playing && doing.does !== "help" && doing.does !== "undo") {
      setSaid("The recording is still loading.");
      return;
    }
    switch (doing.does) {
      case "mark":
        return mark(doing.kind);
      case "break":
        return mark(resting === "resting" ? "ON" : "OFF");
      case "blind":
        return mark(log.blind ? "SEEN" : "BLIND");
      case "go":
        setSaid(undefined);
        return marks.send({ op: "go", id: recording.id, body: { atMs: now(), ...how() } });
      case "cue":
        if (goMs === undefined) return mark("CUE");
        playing?.pause();
        return setCueMediaMs(now());
      case "lift":
        if (goMs === undefined || refusal("LIFT")) return mark("LIFT");
        playing?.pause();
        return setLiftMediaMs(now());
      case "undo":
        setSaid(undefined);
        return marks.undo(goMs === undefined ? undefined : recording.id);
      case "play":
        return playing?.paused() ? playing.play() : playing?.pause();
      case "next":
        return playing?.seek(log.clockMs + (goMs ?? 0));
      case "seek":
        return playing?.seek(playing.timeMs() + doing.ms);
      case "frame":
        return playing?.step(doing.frames);
      case "faster":
      case "slower":
        return playing?.setRate(nextRate(playing.rate(), doing.does === "faster"));
      case "digit":
        return digit(doing.digit);
      case "depth":
        setSaid(endsOnly ? "Watching for sets." : "Watching for ends only: breaks inside stay unknown.");
        return setEndsOnly(!endsOnly);
      case "help":
        return setHelp(true);
      case "nudge":
        return chosen ? correct(chosen, doing.frames) : setSaid("Choose a mark on the strip first.");
      case "delete":
        if (chosen) marks.send({ op: "remove", id: chosen.id });
        return setChosenId(undefined);
      case "leave":
        return setChosenId(undefined);
    }
  };

  const press = useEffectEvent((event: KeyboardEvent) => {
    if (help || cueMediaMs !== undefined || liftMediaMs !== undefined || writing(event.target)) return;
    const doing = action(event);
    if (!doing) return;
    // A focused button or link keeps Enter and Space for itself.
    if ((doing.does === "play" || doing.does === "next") && pressing(event.target)) return;
    event.preventDefault();
    const again = event.repeat && (doing.does === "mark" || doing.does === "break" || doing.does === "blind");
    if (!again) perform(doing);
  });

  useEffect(() => {
    const listen = (event: KeyboardEvent) => press(event);
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);

  return {
    notice: marks.refusal ?? said,
    resting,
    chosen,
    choose: (target) => {
      setChosenId(target.id);
      player.current?.pause();
      player.current?.seek(target.atMs);
    },
    help,
    cueAtMs: cueMediaMs === undefined ? undefined : cueMediaMs - (goMs ?? 0),
    cue: (text, tag) => {
      mark("CUE", cueMediaMs, { text, tag });
      setCueMediaMs(undefined);
    },
    liftAtMs: liftMediaMs === undefined ? undefined : liftMediaMs - (goMs ?? 0),
    lift: (load, made) => {
      mark("LIFT", liftMediaMs, { text: load, reps: made ? 1 : 0 });
      setLiftMediaMs(undefined);
    },
    close: () => {
      setHelp(false);
      setLiftMediaMs(undefined);
      setCueMediaMs(undefined);
    },
  };
}

function phase(now: AttemptView["log"]["phase"]): Resting {
  return now === "RESTING" ? "resting" : now === "WORKING" ? "working" : "moving";
}

function writing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches("input, textarea, select");
}

function pressing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches("button, a");
}
