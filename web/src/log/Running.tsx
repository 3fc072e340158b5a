import { useRef } from "react";
import styled from "styled-components";
import type { AttemptView } from "../api/client";
import { type Deck, useFollowing } from "../player/deck";
import { clock } from "../ui/time";

const Clock = styled.div`
  font-size: clamp(40px, 9vw, 64px);
  line-height: 1;
  font-weight: 620;
  font-stretch: 80%;
  color: #f7f5f0;
`;

const Count = styled.div`
  text-align: right;
  color: #f7f5f0;
  min-width: 0;
  b {
    font-size: clamp(26px, 6vw, 40px);
    line-height: 1;
    font-weight: 620;
    font-stretch: 80%;
  }
  div {
    font-size: 15px;
  }
`;

interface Props {
  attempt: AttemptView;
  deck: Deck;
  goMs: number | undefined;
}

/** The workout clock where the recording is now, and the count of what is being done. */
export function Running({ attempt, deck, goMs }: Props) {
  const { log } = attempt;
  const text = useRef<HTMLDivElement>(null);
  useFollowing(deck, (playing) => {
    const at = playing.timeMs() - (goMs ?? 0);
    const now = at < 0 ? `−${clock(-at)}` : clock(at);
    // Setting the same text again would lay the page out again.
    if (text.current && text.current.textContent !== now) text.current.textContent = now;
  });
  const current = log.segments.find((segment) => segment.index === log.currentIndex);
  return (
    <>
      <Clock ref={text} role="timer" aria-label="Workout clock" aria-live="off">
        0:00.0
      </Clock>
      <Count>
        {current ? (
          <>
            {current.tappable && (
              <b>
                {log.counted}/{current.countable}
              </b>
            )}
            <div>{current.label}</div>
            {log.open && <div>{log.score}</div>}
          </>
        ) : (
          <b>{log.score}</b>
        )}
      </Count>
    </>
  );
}
