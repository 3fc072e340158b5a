import styled from "styled-components";
import type { LogView } from "../api/client";
import { Button, Quiet, SmallButton } from "../ui/primitives";
import { clock } from "../ui/time";

const ASKED = ["floor measurements shown", "loads shown", "full body in frame", "no-reps judged"];

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: flex;
    gap: 10px;
    align-items: center;
    padding: 8px 0;
    border-top: 1px solid var(--line);
  }
  b {
    flex: 1;
    font-weight: 500;
  }
`;

interface Props {
  log: LogView;
  onSeen: (text: string) => void;
  onSeek: (clockMs: number) => void;
}

/** What a video submission is usually refused for, each with the moment that shows it. */
export function Standards({ log, onSeen, onSeek }: Props) {
  return (
    <>
      <List aria-label="Video check">
        {ASKED.map((text) => {
          const seen = log.marks.filter((mark) => mark.kind === "CUE" && mark.tag === "standard" && mark.text === text);
          return (
            <li key={text}>
              <b>{text}</b>
              {seen.map((mark) => (
                <SmallButton key={mark.id} onPress={() => onSeek(mark.clockMs ?? 0)}>
                  ▸ {clock(mark.clockMs ?? 0)}
                </SmallButton>
              ))}
              {seen.length === 0 && <Quiet>not seen yet</Quiet>}
              <Button onPress={() => onSeen(text)}>Seen here</Button>
            </li>
          );
        })}
      </List>
      <Quiet style={{ marginTop: 12 }}>The event’s own rules come first.</Quiet>
    </>
  );
}
