import { useRef } from "react";
import styled from "styled-components";
import type { AttemptView } from "../api/client";
import { type Deck, useFollowing } from "../player/deck";
import type { RigClock } from "../player/RigClock";
import { tone } from "../player/tone";
import { Button, PrimaryButton, Quiet } from "../ui/primitives";
import { Running } from "./Running";

const Whole = styled.section`
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 14px;
  min-height: 0;
  min-width: 0;
  padding: 16px 20px;
  overflow: auto;
`;

const Face = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: flex-end;
  gap: 8px 20px;
  [role="timer"] {
    font-size: clamp(56px, 20vw, 132px);
  }
`;

const Buttons = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  button {
    min-height: 44px;
  }
`;

const COUNTDOWN_MS = 10_000;
const BEEPS_MS = [-3000, -2000, -1000, 0];

interface Props {
  attempt: AttemptView;
  rig: RigClock;
  deck: Deck;
  /** Whether anything has been marked. */
  isMarked: boolean;
  /** Started, or taken back to before the start. */
  onClock: () => void;
  onLeave: () => void;
}

/** The stage at the rig: no recording, the clock here is the workout's, and the athlete is in front of you. */
export function RigStage({ attempt, rig, deck, isMarked, onClock, onLeave }: Props) {
  const sound = useRef<AudioContext>(undefined);
  const lastMs = useRef(0);
  useFollowing(deck, (playing) => {
    const now = playing.timeMs();
    const due = BEEPS_MS.find((at) => at > lastMs.current && at <= now && now - at < 500);
    if (rig.started() && due !== undefined) tone(sound.current, due === 0);
    lastMs.current = now;
  });
  const start = (countdownMs: number) => {
    if (typeof AudioContext !== "undefined") sound.current ??= new AudioContext();
    void sound.current?.resume();
    rig.start(countdownMs);
    lastMs.current = -countdownMs - 1;
    onClock();
  };
  return (
    <Whole aria-label="Clock">
      <Face>
        <Running attempt={attempt} deck={deck} goMs={0} />
      </Face>
      {!rig.started() && (
        <>
          <Quiet>Start the clock with the athlete, then tap what you see. No video is recorded.</Quiet>
          <Buttons>
            <PrimaryButton onPress={() => start(COUNTDOWN_MS)}>Start in 10 s</PrimaryButton>
            <Button onPress={() => start(0)}>Start now</Button>
            <Button onPress={onLeave}>Back</Button>
          </Buttons>
        </>
      )}
      {rig.started() && !isMarked && (
        <Buttons>
          <Button
            onPress={() => {
              rig.forget();
              onClock();
            }}
          >
            Reset the clock
          </Button>
        </Buttons>
      )}
    </Whole>
  );
}
