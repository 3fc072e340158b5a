import { useEffect, useEffectEvent, useState } from "react";
import type { AttemptView, MarkView } from "../api/client";
import { nextRate } from "../player/player";
import { type Action, action, type KeyMap } from "./keys";
import { type Resting, restingAfter } from "./queue";
import { type Desk, type Marking, useMarking } from "./useMarking";

/** A box over the step, opened by a key. */
export type Box = "help" | "cue" | "lift" | "clock" | "standards";

export interface LogKeys extends Marking {
  notice: string | undefined;
  resting: Resting;
  chosen: MarkView | undefined;
  choose: (mark: MarkView) => void;
  leave: () => void;
  removeChosen: () => void;
  joinChosen: () => void;
  box: Box | undefined;
  /** Media time the box was opened at. */
  boxMs: number;
  openBox: (box: Box) => void;
  close: () => void;
}

interface Props extends Desk {
  /** Clock time to open at. */
  startAtMs: number | undefined;
  keys: KeyMap;
}

/** Turns key presses into marks and moves of the player. */
export function useLogKeys({ startAtMs, keys, ...desk }: Props): LogKeys {
  const { attempt, marks, recording, player } = desk;
  const marking = useMarking(desk);
  const [box, setBox] = useState<Box>();
  const [boxMs, setBoxMs] = useState(0);
  const [chosenId, setChosenId] = useState<string>();
  const { log } = attempt;
  const { goMs } = recording;
  const { say, mark, now } = marking;
  const resting = restingAfter(phase(log.phase), marks.waiting);
  const chosen = log.marks.find((one) => one.id === chosenId);

  useEffect(() => {
    if (startAtMs === undefined) return undefined;
    const timer = setTimeout(() => player.current?.seek(startAtMs + (goMs ?? 0)), 120);
    return () => clearTimeout(timer);
  }, [startAtMs, goMs, player]);

  const openBox = (wanted: Box) => {
    if (wanted !== "help") player.current?.pause();
    setBoxMs(now());
    setBox(wanted);
  };

  const choose = (target: MarkView) => {
    setChosenId(target.id);
    player.current?.pause();
    if (target.clockMs !== undefined) player.current?.seek(target.clockMs + (goMs ?? 0));
  };

  const removeChosen = () => {
    if (chosen) marks.send({ op: "remove", id: chosen.id });
    setChosenId(undefined);
  };

  const joinChosen = () => {
    if (chosen?.kind === "OFF" || chosen?.kind === "ON") {
      marks.send({ op: "join", id: chosen.id });
      setChosenId(undefined);
    } else {
      say("Choose a break, or the return from one: , and . walk the marks.");
    }
  };

  const back = (way: "undo" | "redo"): void => {
    if (marks.waiting.length === 0 && log[way] === undefined) return say(`Nothing to ${way}.`);
    say(undefined);
    return marks.send({ op: way, id: crypto.randomUUID() });
  };

  const walk = (over: "marks" | "segments", step: 1 | -1): void => {
    const here = chosen?.clockMs ?? now() - (goMs ?? 0);
    if (over === "marks") {
      const next = nextMark(log.marks, here, step, chosenId);
      return next ? choose(next) : say("No mark that way.");
    }
    const starts = log.segments.flatMap((one) => (one.split ? [one.split.arrivalMs] : []));
    const next = step > 0 ? starts.find((at) => at > here + 50) : starts.findLast((at) => at < here - 50);
    return player.current?.seek((next ?? (step > 0 ? log.clockMs : 0)) + (goMs ?? 0));
  };

  const loop = (): void => {
    const playing = player.current;
    if (!playing) return;
    if (playing.looping()) {
      playing.loop(undefined);
      return say("No longer looping.");
    }
    const here = now() - (goMs ?? 0);
    const segment = log.segments.find((one) => one.split && one.split.arrivalMs <= here && here < one.split.endMs);
    if (!segment?.split) return say("Nothing logged here to loop over.");
    playing.loop({ fromMs: segment.split.arrivalMs + (goMs ?? 0), toMs: segment.split.endMs + (goMs ?? 0) });
    playing.play();
    return say(`Looping over ${segment.label}; B stops it.`);
  };

  const perform = (doing: Action): void => {
    const playing = player.current;
    if (!playing && doing.does !== "help" && doing.does !== "undo" && doing.does !== "redo") {
      say("The recording is still loading.");
      return;
    }
    switch (doing.does) {
      case "mark":
        return mark(doing.kind);
      case "break":
        return mark(breakOrReturn());
      case "blind":
        return mark(log.blind ? "SEEN" : "BLIND");
      case "go":
        return marking.setGo(now());
      case "cue":
        return goMs === undefined ? mark("CUE") : openBox("cue");
      case "lift":
        return goMs === undefined || marking.refusal("LIFT") ? mark("LIFT") : openBox("lift");
      case "clock":
      case "standards":
      case "help":
        return openBox(doing.does);
      case "undo":
      case "redo":
        return back(doing.does);
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
        return marking.digit(doing.digit);
      case "depth":
        return marking.watch();
      case "walk":
        return walk(doing.over, doing.step);
      case "loop":
        return loop();
      case "nudge":
        return chosen ? marking.nudge(chosen, doing.frames) : say("Choose a mark first: , and . walk them.");
      case "delete":
        return removeChosen();
      case "join":
        return joinChosen();
      case "leave":
        return setChosenId(undefined);
    }
  };

  /** At the end of the log what the athlete does now decides; in the middle, what they did there. */
  const breakOrReturn = () => {
    const at = now();
    if (!marking.inserting(at)) return resting === "resting" ? "ON" : "OFF";
    const here = at - (goMs ?? 0);
    const piece = log.segments
      .flatMap((one) => one.split?.pieces ?? [])
      .find((one) => one.fromMs <= here && here < one.toMs);
    return piece?.kind === "rest" ? "ON" : "OFF";
  };

  const press = useEffectEvent((event: KeyboardEvent) => {
    if (box !== undefined || writing(event.target)) return;
    const doing = action(event, keys);
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
    ...marking,
    notice: marks.refusal ?? marking.said,
    resting,
    chosen,
    choose,
    leave: () => setChosenId(undefined),
    removeChosen,
    joinChosen,
    box,
    boxMs,
    openBox,
    close: () => setBox(undefined),
  };
}

/** The mark before or after a clock time, in clock order; from a chosen one the next, even at the same time. */
function nextMark(marks: MarkView[], here: number, step: 1 | -1, chosenId: string | undefined): MarkView | undefined {
  const inOrder = marks
    .filter((one) => one.clockMs !== undefined)
    .toSorted((one, other) => (one.clockMs ?? 0) - (other.clockMs ?? 0));
  const at = inOrder.findIndex((one) => one.id === chosenId);
  if (at >= 0) return inOrder[at + step];
  return step > 0
    ? inOrder.find((one) => (one.clockMs ?? 0) > here)
    : inOrder.findLast((one) => (one.clockMs ?? 0) < here);
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
