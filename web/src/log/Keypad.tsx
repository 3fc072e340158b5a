import { Button as AriaButton } from "react-aria-components";
import styled from "styled-components";
import type { LogView, MarkKind } from "../api/client";
import { type Resting, type Waits, restingAfter, useWaiting } from "../outbox/queue";
import { type Action, type Command, type KeyMap, keyOf, OTHER, SEEN } from "./keys";
import { isOver } from "./isOver";

/** One row of words beside their keys; for a thumb, pads with the next likely one the largest. */
const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  padding: 2px 16px 8px;
  font-size: 13px;
  font-stretch: 84%;
  white-space: nowrap;
  @media (max-width: 800px), (pointer: coarse) {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 6px;
    padding: 4px 10px calc(8px + env(safe-area-inset-bottom));
    font-size: 15px;
    white-space: normal;
  }
`;

export const Key = styled.kbd`
  font: inherit;
  font-weight: 650;
  display: inline-block;
  min-width: 20px;
  padding: 0 5px;
  text-align: center;
  border: 1px solid var(--line);
  border-radius: 4px;
  margin-right: 5px;
  @media (pointer: coarse) {
    display: none;
  }
`;

const Pad = styled(AriaButton)`
  font: inherit;
  color: var(--ink);
  background: transparent;
  border: 1px solid transparent;
  border-radius: 6px;
  padding: 2px 5px;
  min-height: 26px;
  cursor: pointer;
  touch-action: manipulation;
  &[data-hovered] {
    background: var(--selected);
  }
  &[data-pressed] {
    background: var(--selected);
    border-color: var(--ink-2);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
    outline-offset: 1px;
  }
  &[data-off] {
    color: var(--ink-3);
    text-decoration: line-through;
    text-decoration-thickness: 1px;
  }
  @media (max-width: 800px), (pointer: coarse) {
    min-height: 44px;
    border-color: var(--line);
    background: var(--panel);
    &[data-next] {
      grid-column: 1 / -1;
      order: 1;
      min-height: 68px;
      font-size: 20px;
      font-weight: 600;
      background: var(--ink);
      color: var(--ground);
    }
  }
`;

interface Props {
  log: LogView;
  waiting: Waits;
  keys: KeyMap;
  /** Whether the workout clock has yet to be started. */
  beforeGo: boolean;
  /** A recording can be wound; the clock of the wall cannot. */
  onAction: (action: Action) => void;
}

/** What each key would do now; pressed or touched, it does it. */
export function Keypad({ log, waiting, keys, beforeGo, onAction }: Props) {
  const resting = useWaiting(waiting, (ops) => restingAfter(log.phase, ops));
  const next = beforeGo ? "go" : likely(log, resting);
  const pad = (command: Command, words: string, refusal?: string) => (
    <Pad
      key={command.name}
      data-off={refusal ? true : undefined}
      data-next={command.name === next ? true : undefined}
      preventFocusOnPress
      onPressStart={() => onAction(command.action)}
    >
      <Key>{keyOf(command, keys).toUpperCase()}</Key>
      {words}
      {refusal && <span className="visually-hidden"> (not now: {refusal})</span>}
    </Pad>
  );
  return (
    <Bar role="group" aria-label="Keys now">
      {shown(log).map((command) => {
        const { name, kind, text } = command;
        const now = kind === "OFF" && resting === "resting" ? "ON" : kind === "BLIND" && log.blind ? "SEEN" : kind;
        const hint = log.keys.find((one) => one.kind === now);
        const words = name === "rep" || name === "break" || log.liftWindow ? (hint?.meaning ?? text) : text;
        const next = log.liftWindow && name === "begin" && log.nextLift !== undefined ? ` (${log.nextLift})` : "";
        return pad(command, words + next, beforeGo ? NOT_BEFORE_GO : hint?.refusal);
      })}
      {OTHER.filter(({ name }) => name === "undo" || (name === "go" && beforeGo)).map((command) =>
        pad(command, command.text),
      )}
      <Pad preventFocusOnPress onPressStart={() => onAction({ does: "help" })}>
        <Key>?</Key>all keys
      </Pad>
    </Bar>
  );
}

const NOT_BEFORE_GO = "start the clock first";

/** What there is to see in a lift window, as it happens. */
const LIFTING: MarkKind[] = ["BEGIN", "REP", "DONE", "MISS", "OFF", "LIFT", "STOP", "BLIND", "CUE"];

/** Faults and variants mean nothing in a lift window, and elsewhere a lift does not. */
function shown(log: LogView): Command[] {
  return log.liftWindow
    ? LIFTING.flatMap((kind) => SEEN.filter((command) => command.kind === kind))
    : SEEN.filter(({ kind }) => kind !== "LIFT");
}

/** A lift begins, its reps are counted, the bar comes down; after the last planned, the buzzer. */
function likelyLift(log: LogView): string {
  const last = log.lifts.at(-1);
  if (last?.outcome === "UNKNOWN") return last.reps > 1 ? "rep" : "done";
  if (last?.outcome === "MADE" && last.endMs === undefined && last.counted > 0) return "break";
  return log.plannedLifts.length > 0 && log.lifts.length >= log.plannedLifts.length ? "stop" : "begin";
}

/** The key that is most likely next: a movement is begun, its reps are counted or its end is marked, a break ends. */
function likely(log: LogView, resting: Resting): string | undefined {
  if (isOver(log)) return undefined;
  if (log.liftWindow) return likelyLift(log);
  if (resting === "resting") return "break";
  if (resting === "moving") return "begin";
  const current = log.segments.find((segment) => segment.index === log.currentIndex);
  return current?.tappable ? "rep" : "done";
}
