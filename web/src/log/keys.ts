import type { MarkKind } from "../api/client";

/** What a key does in the log step. */
export type Action =
  | { does: "mark"; kind: MarkKind }
  | {
      does:
        | "break"
        | "blind"
        | "go"
        | "cue"
        | "variant"
        | "lift"
        | "undo"
        | "redo"
        | "play"
        | "next"
        | "help"
        | "depth"
        | "faster"
        | "slower"
        | "loop"
        | "clock"
        | "standards"
        | "other"
        | "delete"
        | "join"
        | "leave"
        | "closer"
        | "wider";
    }
  | { does: "seek"; ms: number }
  | { does: "frame"; frames: number }
  | { does: "digit"; digit: number }
  | { does: "nudge"; frames: number }
  | { does: "walk"; over: "marks" | "segments"; step: 1 | -1 };

/** A key that can be changed: what it does, by name. */
export interface Command {
  name: string;
  key: string;
  text: string;
  action: Action;
  kind?: MarkKind;
}

/** What the coach sees, held to one cluster of keys. */
export const SEEN: Command[] = [
  { name: "rep", key: "f", text: "rep", kind: "REP", action: { does: "mark", kind: "REP" } },
  { name: "done", key: "d", text: "movement done", kind: "DONE", action: { does: "mark", kind: "DONE" } },
  { name: "break", key: "s", text: "break", kind: "OFF", action: { does: "break" } },
  { name: "begin", key: "a", text: "movement starts", kind: "BEGIN", action: { does: "mark", kind: "BEGIN" } },
  { name: "no-rep", key: "r", text: "no-rep", kind: "NO_REP", action: { does: "mark", kind: "NO_REP" } },
  { name: "miss", key: "e", text: "failed rep", kind: "MISS", action: { does: "mark", kind: "MISS" } },
  { name: "trip", key: "w", text: "trip", kind: "TRIP", action: { does: "mark", kind: "TRIP" } },
  { name: "blocked", key: "q", text: "view blocked", kind: "BLIND", action: { does: "blind" } },
  { name: "cue", key: "c", text: "note", kind: "CUE", action: { does: "cue" } },
  { name: "variant", key: "t", text: "technique", kind: "VARIANT", action: { does: "variant" } },
  { name: "lift", key: "l", text: "lift", kind: "LIFT", action: { does: "lift" } },
  { name: "stop", key: "x", text: "time or stop", kind: "STOP", action: { does: "mark", kind: "STOP" } },
];

/** Everything else that has a letter. */
export const OTHER: Command[] = [
  { name: "go", key: "g", text: "start the clock here", action: { does: "go" } },
  { name: "undo", key: "z", text: "undo", action: { does: "undo" } },
  { name: "redo", key: "y", text: "redo", action: { does: "redo" } },
  { name: "depth", key: "v", text: "log sets or movements only", action: { does: "depth" } },
  { name: "loop", key: "b", text: "loop this movement on/off", action: { does: "loop" } },
  { name: "clock", key: "k", text: "set the clock from the video, or sync a second camera", action: { does: "clock" } },
  { name: "standards", key: "n", text: "video check for a submission", action: { does: "standards" } },
  { name: "other", key: "o", text: "switch to the other athlete", action: { does: "other" } },
  { name: "join", key: "j", text: "join two sets (removes this break)", action: { does: "join" } },
  { name: "previous mark", key: ",", text: "previous mark", action: { does: "walk", over: "marks", step: -1 } },
  { name: "next mark", key: ".", text: "next mark", action: { does: "walk", over: "marks", step: 1 } },
  { name: "frame back", key: "[", text: "move mark back one frame", action: { does: "nudge", frames: -1 } },
  { name: "frame on", key: "]", text: "move mark on one frame", action: { does: "nudge", frames: 1 } },
];

const COMMANDS = [...SEEN, ...OTHER];

/** Keys by command name, where they are not the usual ones. */
export type KeyMap = Record<string, string>;

/** The usual cluster mirrored, for those who hold the pen in the other hand. */
export const LEFT_HANDED: KeyMap = {
  rep: "j",
  done: "k",
  break: "l",
  begin: ";",
  "no-rep": "u",
  miss: "i",
  trip: "o",
  blocked: "p",
  cue: "m",
  lift: "h",
  clock: "t",
  variant: "r",
  join: "f",
  other: "w",
};

/** The key a command has. */
export function keyOf(command: Command, keys: KeyMap): string {
  return keys[command.name] ?? command.key;
}

/** The command that has a key already, other than one. */
export function holder(key: string, except: Command, keys: KeyMap): Command | undefined {
  return COMMANDS.find((one) => one !== except && keyOf(one, keys) === key.toLowerCase());
}

const NAMED: Record<string, Action> = {
  " ": { does: "play" },
  Enter: { does: "next" },
  ArrowUp: { does: "faster" },
  ArrowDown: { does: "slower" },
  PageUp: { does: "walk", over: "segments", step: -1 },
  PageDown: { does: "walk", over: "segments", step: 1 },
  Delete: { does: "delete" },
  Backspace: { does: "delete" },
  Escape: { does: "leave" },
  "?": { does: "help" },
  "+": { does: "closer" },
  "=": { does: "closer" },
  "-": { does: "wider" },
};

interface Press {
  key: string;
  shiftKey: boolean;
  altKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
}

/** The action of a key press; none for keys that are not Wake's. */
export function action(press: Press, keys: KeyMap = {}): Action | undefined {
  if (press.key === "ArrowLeft" || press.key === "ArrowRight") {
    const sign = press.key === "ArrowRight" ? 1 : -1;
    if (press.shiftKey) return { does: "frame", frames: sign };
    return { does: "seek", ms: sign * (press.altKey ? 5000 : 1000) };
  }
  if ((press.ctrlKey || press.metaKey) && press.key.toLowerCase() === "z") {
    return { does: press.shiftKey ? "redo" : "undo" };
  }
  if (press.ctrlKey || press.metaKey || press.altKey) return undefined;
  if (/^\d$/.test(press.key)) return { does: "digit", digit: Number(press.key) };
  const named = NAMED[press.key];
  if (named) return named;
  return COMMANDS.find((one) => keyOf(one, keys) === press.key.toLowerCase())?.action;
}

/** The keys that stay as they are. */
export const FIXED: [string, string][] = [
  ["Space", "play, pause"],
  ["← →", "one second; with Alt five, with Shift one frame"],
  ["↑ ↓", "faster, slower"],
  ["PgUp PgDn", "previous, next movement"],
  ["Enter", "next unlogged spot; when all is logged, the review"],
  ["+ −", "zoom timeline in, out"],
  ["Tab", "with a mark selected: to its fields"],
  ["0–9", "after a break: reps of the set; at time: reps of the movement"],
  ["Del", "delete mark"],
  ["?", "these keys"],
];
