import styled from "styled-components";
import type { LogView, MarkKind, MarkView } from "../api/client";
import { clock } from "../ui/time";
import { LEGEND, PLAYING } from "./keys";
import type { Resting } from "./queue";

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
  resting: Resting;
  chosen: MarkView | undefined;
}

/** What each key would do now. */
export function Legend({ log, resting, chosen }: Props) {
  if (chosen) {
    return (
      <Bar role="status">
        <span>
          Chosen: {chosen.kind.toLowerCase().replace("_", "-")} at {clock(chosen.clockMs ?? 0)}
          {chosen.text && ` “${chosen.text}”`}
          {chosen.oddity && ` — ${chosen.oddity}`}
        </span>
        <Hint>
          <Key>[</Key>
          <Key>]</Key>one frame
        </Hint>
        <Hint>
          <Key>Del</Key>remove
        </Hint>
        <Hint>
          <Key>Esc</Key>leave
        </Hint>
      </Bar>
    );
  }
  return (
    <Bar aria-label="Keys now">
      {LEGEND.filter(({ kind }) => useful(log, kind)).map(({ key, kind, text }) => {
        const shown = kind === "OFF" && resting === "resting" ? "ON" : kind === "BLIND" && log.blind ? "SEEN" : kind;
        const hint = log.keys.find((one) => one.kind === shown);
        return (
          <Hint key={key} data-off={hint?.refusal ? true : undefined} title={hint?.refusal}>
            <Key>{key}</Key>
            {key === "F" || key === "S" ? (hint?.meaning ?? text) : text}
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

const Sheet = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 16px;
  margin: 0;
`;

/** All keys, for `?`. */
export function KeySheet() {
  return (
    <Sheet>
      {LEGEND.map(({ key, text }) => [
        <dt key={key}>
          <Key>{key}</Key>
        </dt>,
        <dd key={`${key} text`} style={{ margin: 0 }}>
          {text}
        </dd>,
      ])}
      {PLAYING.map(([key, text]) => [
        <dt key={key}>
          <Key>{key}</Key>
        </dt>,
        <dd key={`${key} text`} style={{ margin: 0 }}>
          {text}
        </dd>,
      ])}
    </Sheet>
  );
}
