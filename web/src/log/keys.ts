import type { MarkKind } from "../api/client";

/** What a key does in the log step. */
export type Action =
  | { does: "mark"; kind: MarkKind }
  | {
      does:
        "break" | "blind" | "go" | "cue" | "lift" | "undo" | "play" | "next" | "help" | "depth" | "faster" | "slower";
    }
  | { does: "seek"; ms: number }
  | { does: "frame"; frames: number }
  | { does: "digit"; digit: number }
  | { does: "nudge"; frames: number }
  | { does: "delete" | "leave" };

const LETTERS: Record<string, Action> = {
  f: { does: "mark", kind: "REP" },
  d: { does: "mark", kind: "DONE" },
  a: { does: "mark", kind: "BEGIN" },
  r: { does: "mark", kind: "NO_REP" },
  e: { does: "mark", kind: "MISS" },
  w: { does: "mark", kind: "TRIP" },
  x: { does: "mark", kind: "STOP" },
  s: { does: "break" },
  q: { does: "blind" },
  c: { does: "cue" },
  l: { does: "lift" },
  z: { does: "undo" },
  g: { does: "go" },
  v: { does: "depth" },
  "?": { does: "help" },
  "[": { does: "nudge", frames: -1 },
  "]": { does: "nudge", frames: 1 },
};

const NAMED: Record<string, Action> = {
  " ": { does: "play" },
  Enter: { does: "next" },
  ArrowUp: { does: "faster" },
  ArrowDown: { does: "slower" },
  Delete: { does: "delete" },
  Backspace: { does: "delete" },
  Escape: { does: "leave" },
};

interface Press {
  key: string;
  shiftKey: boolean;
  altKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
}

/** The action of a key press; none for keys that are not Wake's. */
export function action(press: Press): Action | undefined {
  if (press.key === "ArrowLeft" || press.key === "ArrowRight") {
    const sign = press.key === "ArrowRight" ? 1 : -1;
    if (press.shiftKey) return { does: "frame", frames: sign };
    return { does: "seek", ms: sign * (press.altKey ? 5000 : 1000) };
  }
  if ((press.ctrlKey || press.metaKey) && press.key.toLowerCase() === "z") return { does: "undo" };
  if (press.ctrlKey || press.metaKey || press.altKey) return undefined;
  if (/^\d$/.test(press.key)) return { does: "digit", digit: Number(press.key) };
  return NAMED[press.key] ?? LETTERS[press.key.toLowerCase()];
}

/** The keys as the legend and the help show them. */
export const LEGEND: { key: string; kind?: MarkKind; text: string }[] = [
  { key: "F", kind: "REP", text: "rep" },
  { key: "D", kind: "DONE", text: "movement done" },
  { key: "S", kind: "OFF", text: "break" },
  { key: "A", kind: "BEGIN", text: "first action" },
  { key: "R", kind: "NO_REP", text: "no-rep" },
  { key: "E", kind: "MISS", text: "missed" },
  { key: "W", kind: "TRIP", text: "trip" },
  { key: "Q", kind: "BLIND", text: "view blocked" },
  { key: "C", kind: "CUE", text: "cue" },
  { key: "L", kind: "LIFT", text: "lift" },
  { key: "X", kind: "STOP", text: "stop or bell" },
];

export const PLAYING: [string, string][] = [
  ["Space", "play, pause"],
  ["← →", "one second; with Alt five, with Shift one frame"],
  ["↑ ↓", "faster, slower"],
  ["Enter", "to the next place not logged"],
  ["G", "“go” is here"],
  ["Z", "undo"],
  ["0–9", "after a break: reps of the set"],
  ["V", "watch for sets, or for ends only"],
  ["[ ]", "move the chosen mark by a frame; Delete removes it"],
  ["?", "these keys"],
];
