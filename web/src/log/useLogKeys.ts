import { useEffect, useEffectEvent, useRef, useState } from "react";
import type { MarkView } from "../api/client";
import { useFollowing } from "../player/deck";
import { nextRate } from "../player/player";
import { type Action, action, type KeyMap } from "./keys";
import { restingAfter } from "../outbox/queue";
import { type Desk, type Marking, useMarking } from "./useMarking";
import type { Zoom } from "./useZoom";
import { isOver } from "./isOver";

/** A box over the step, opened by a key. */
export type Box = "help" | "cue" | "variant" | "lift" | "clock" | "standards";

export interface LogKeys extends Marking {
  notice: string | undefined;
  chosen: MarkView | undefined;
  choose: (mark: MarkView) => void;
  leave: () => void;
  perform: (doing: Action) => void;
  removeChosen: () => void;
  joinChosen: () => void;
  box: Box | undefined;
  /** Media time the box was opened at. */
  boxMs: number;
  openBox: (box: Box) => void;
  close: () => void;
}

/** A key said to be older than this carries the time of another clock. */
const MOST_LATE_MS = 2000;

interface Props extends Desk {
  /** Clock time to open at. */
  startAtMs: number | undefined;
  keys: KeyMap;
  zoom: Zoom;
  /** To the reading, once all is logged. */
  onRead: () => void;
  /** To the next athlete on the video that is playing, at the same moment of it; false where there is no other. */
  onOther: (mediaMs: number) => boolean;
}

/** Turns key presses into marks and moves of the player. */
export function useLogKeys({ startAtMs, keys, zoom, onRead, onOther, ...desk }: Props): LogKeys {
  const { attempt, marks, source, deck } = desk;
  const marking = useMarking(desk);
  const [box, setBox] = useState<Box>();
  const [boxMs, setBoxMs] = useState(0);
  const [chosenId, setChosenId] = useState<string>();
  const warned = useRef(false);
  const { log } = attempt;
  const { goMs } = source;
  const { say, mark, now } = marking;
  const chosen = log.marks.find((one) => one.id === chosenId);

  /** Where the step was opened at, until the recording has come to it. */
  const opensAt = useRef(startAtMs);
  useEffect(() => {
    opensAt.current = startAtMs;
  }, [startAtMs]);
  useFollowing(deck, (playing) => {
    const at = opensAt.current;
    if (at === undefined || playing.durationMs() <= 0) return;
    opensAt.current = undefined;
    playing.seek(at + (goMs ?? 0));
  });

  const openBox = (wanted: Box, agoMs = 0) => {
    setBoxMs(now(agoMs));
    if (wanted !== "help") deck.player?.pause();
    setBox(wanted);
  };

  const choose = (target: MarkView) => {
    setChosenId(target.id);
    deck.player?.pause();
    if (target.clockMs !== undefined) deck.player?.seek(target.clockMs + (goMs ?? 0));
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
      say("Select a break or a “back on” first (, and .).");
    }
  };

  const back = (way: "undo" | "redo"): void => {
    const what = log[way];
    if (marks.waiting.ops().length === 0 && what === undefined) return say(`Nothing to ${way}.`);
    // What was done at another time is not taken back by a key pressed in passing.
    if (way === "undo" && !warned.current && !marks.isTouched()) {
      warned.current = true;
      return say(`Press Z again to undo: ${what ?? ""}.`);
    }
    say(undefined);
    const id = crypto.randomUUID();
    if (way === "redo") return marks.send({ op: way, id });
    const of = marks.lastDone();
    return marks.send(of === undefined ? { op: way, id } : { op: way, id, of });
  };

  const walk = (over: "marks" | "segments", step: 1 | -1): void => {
    const here = chosen?.clockMs ?? now() - (goMs ?? 0);
    if (over === "marks") {
      const next = nextMark(log.marks, here, step, chosenId);
      return next ? choose(next) : say("No more marks.");
    }
    const starts = log.segments.flatMap((one) => (one.split ? [one.split.arrivalMs] : []));
    const next = step > 0 ? starts.find((at) => at > here + 50) : starts.findLast((at) => at < here - 50);
    return deck.player?.seek((next ?? (step > 0 ? log.clockMs : 0)) + (goMs ?? 0));
  };

  const loop = (): void => {
    const playing = deck.player;
    if (!playing) return;
    if (playing.looping()) {
      playing.loop(undefined);
      return say("No longer looping.");
    }
    const here = now() - (goMs ?? 0);
    const segment = log.segments.find((one) => one.split && one.split.arrivalMs <= here && here < one.split.endMs);
    if (!segment?.split) return say("Nothing logged here to loop.");
    playing.loop({ fromMs: segment.split.arrivalMs + (goMs ?? 0), toMs: segment.split.endMs + (goMs ?? 0) });
    playing.play();
    return say(`Looping ${segment.label}. Press B to stop.`);
  };

  /** The bar leaves the floor, with the load it is taken to have; where none is known it is asked for. */
  const liftOff = (agoMs: number): void => {
    const refused = goMs === undefined || marking.refusal("LIFT") !== undefined;
    if (!refused && log.nextLift === undefined) return openBox("lift", agoMs);
    return mark("LIFT", now(agoMs), { text: log.nextLift ?? "", tag: "open" });
  };

  const perform = (doing: Action, agoMs = 0): void => {
    // A count is typed to its end with the next key, whatever it is.
    if (doing.does !== "digit") marking.sendCount();
    const playing = deck.player;
    if (!playing && doing.does !== "help" && doing.does !== "undo" && doing.does !== "redo") {
      say("The video is still loading.");
      return;
    }
    switch (doing.does) {
      case "mark":
        return log.liftWindow && doing.kind === "BEGIN" ? liftOff(agoMs) : mark(doing.kind, now(agoMs));
      case "break":
        if (log.liftWindow) return mark("OFF", now(agoMs));
        return mark(breakOrReturn(now(agoMs)), now(agoMs));
      case "blind":
        return mark(marks.log().blind ? "SEEN" : "BLIND", now(agoMs));
      case "go":
        return marking.setGo(now(agoMs));
      case "cue":
        return goMs === undefined ? mark("CUE", now(agoMs)) : openBox("cue", agoMs);
      case "variant":
        return goMs === undefined || marking.refusal("VARIANT")
          ? mark("VARIANT", now(agoMs))
          : openBox("variant", agoMs);
      case "lift":
        return goMs === undefined || marking.refusal("LIFT") ? mark("LIFT", now(agoMs)) : openBox("lift", agoMs);
      case "clock":
      case "standards":
      case "help":
        return openBox(doing.does, agoMs);
      case "other":
        if (!onOther(now(agoMs))) say("Nobody else is on this video. Add the video to another attempt to switch.");
        return undefined;
      case "undo":
      case "redo":
        return back(doing.does);
      case "play":
        return playing?.paused() ? playing.play() : playing?.pause();
      case "next":
        if (isOver(log)) return onRead();
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
        return chosen ? marking.nudge(chosen, doing.frames) : say("Select a mark first (, and .).");
      case "delete":
        return removeChosen();
      case "join":
        return joinChosen();
      case "leave":
        return setChosenId(undefined);
      case "closer":
      case "wider":
        return (zoom[doing.does] ?? (() => say(`Can’t zoom ${doing.does === "closer" ? "in" : "out"} further.`)))();
    }
  };

  /** At the end of the log what the athlete does now decides; in the middle, what they did there. */
  const breakOrReturn = (at: number) => {
    if (!marking.inserting(at))
      return restingAfter(marks.log().phase, marks.waiting.ops()) === "resting" ? "ON" : "OFF";
    const here = at - (goMs ?? 0);
    const piece = log.segments
      .flatMap((one) => one.split?.pieces ?? [])
      .find((one) => one.fromMs <= here && here < one.toMs);
    return piece?.kind === "rest" ? "ON" : "OFF";
  };

  const press = useEffectEvent((event: KeyboardEvent) => {
    if (box !== undefined) return undefined;
    if (event.key === "Tab" && !event.shiftKey && chosen && intoChosen(event.target)) return event.preventDefault();
    if (writing(event.target)) return undefined;
    const doing = action(event, keys);
    if (!doing) return undefined;
    // A focused button or link keeps Enter and Space for itself.
    if ((doing.does === "play" || doing.does === "next") && pressing(event.target)) return undefined;
    event.preventDefault();
    const again = event.repeat && (doing.does === "mark" || doing.does === "break" || doing.does === "blind");
    if (!again) perform(doing, late(event));
    return undefined;
  });

  useEffect(() => {
    const listen = (event: KeyboardEvent) => press(event);
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);

  return {
    ...marking,
    notice: marks.refusal ?? marking.said,
    chosen,
    choose,
    leave: () => setChosenId(undefined),
    perform,
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

/** How long ago a key was pressed, milliseconds: the browser notes it before the page hears of it. */
function late({ timeStamp }: Event): number {
  const ago = performance.now() - timeStamp;
  return ago > 0 && ago < MOST_LATE_MS ? ago : 0;
}

function writing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches("input, textarea, select");
}

function pressing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches("button, a");
}

/** Takes the focus to the fields of the chosen mark, unless it is among them. */
function intoChosen(from: EventTarget | null): boolean {
  const bar = document.querySelector("[data-chosen]");
  if (!bar || (from instanceof Node && bar.contains(from))) return false;
  bar.querySelector<HTMLElement>("select, input, button")?.focus();
  return true;
}
