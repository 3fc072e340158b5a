import styled from "styled-components";
import type { LogView, MarkKind } from "../api/client";
import { type KeyMap, keyOf, SEEN } from "./keys";
import { type Waits, restingAfter, useWaiting } from "../outbox/queue";

const Bar = styled.div`
  display: flex;
  gap: 4px 14px;
  align-items: center;
  padding: 4px 20px 10px;
  font-size: 13px;
  font-stretch: 86%;
  white-space: nowrap;
  overflow: hidden;
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
`;

const Hint = styled.span`
  &[data-off] {
    color: var(--ink-3);
    text-decoration: line-through;
    text-decoration-thickness: 1px;
  }
`;

interface Props {
  log: LogView;
  waiting: Waits;
  keys: KeyMap;
}

/** What each key would do now. */
export function Legend({ log, waiting, keys }: Props) {
  const resting = useWaiting(waiting, (ops) => restingAfter(log.phase, ops));
  return (
    <Bar aria-label="Keys now">
      {SEEN.filter(({ kind }) => useful(log, kind)).map((command) => {
        const { name, kind, text } = command;
        const shown = kind === "OFF" && resting === "resting" ? "ON" : kind === "BLIND" && log.blind ? "SEEN" : kind;
        const hint = log.keys.find((one) => one.kind === shown);
        return (
          <Hint key={name} data-off={hint?.refusal ? true : undefined} title={hint?.refusal}>
            <Key>{keyOf(command, keys).toUpperCase()}</Key>
            {name === "rep" || name === "break" ? (hint?.meaning ?? text) : text}
          </Hint>
        );
      })}
      <Hint>
        <Key>Z</Key>undo
      </Hint>
      <Hint>
        <Key>?</Key>keys
      </Hint>
    </Bar>
  );
}

/** In a lift window the keys for reps mean nothing, and elsewhere that for lifts does not. */
function useful(log: LogView, kind: MarkKind | undefined): boolean {
  const anywhere = kind === "BLIND" || kind === "CUE" || kind === "STOP";
  return anywhere || (kind === "LIFT") === log.liftWindow;
}
