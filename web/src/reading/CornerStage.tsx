import { useRef } from "react";
import styled from "styled-components";
import type { AttemptView } from "../api/client";
import { useDeck, useFollowing } from "../player/deck";
import { RecordingPlayer } from "../player/RecordingPlayer";
import { Button, ButtonLink } from "../ui/primitives";
import { clock } from "../ui/time";

/** A stretch of the clock to play; `at` tells one request from the next. */
export interface Clip {
  fromMs: number;
  toMs: number;
  label: string;
  at: number;
}

const LEAD_MS = 800;

const Corner = styled.aside`
  position: fixed;
  right: 20px;
  bottom: 20px;
  width: min(420px, calc(100vw - 40px));
  background: var(--ground);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: 6px;
  overflow: hidden;
  box-shadow: 0 8px 30px rgb(0 0 0 / 0.3);
`;

const Picture = styled.div`
  aspect-ratio: 16 / 9;
`;

const Under = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 8px 12px;
  font-size: 13.5px;
`;

interface Props {
  attempt: AttemptView;
  clip: Clip;
  /** "2 of 5", when several are played one after the other. */
  place: string | undefined;
  onClose: () => void;
  onEnd: () => void;
}

/** Plays a moment in a corner of the screen, and stops at its end. */
export function CornerStage({ attempt, clip, place, onClose, onEnd }: Props) {
  const deck = useDeck();
  const { attach } = deck;
  const recording = attempt.recordings.find((one) => one.goMs !== undefined);
  const goMs = recording?.goMs ?? 0;

  const shown = useRef<{ clip: Clip; over: boolean }>(undefined);
  useFollowing(deck, (player) => {
    if (shown.current?.clip !== clip && player.durationMs() > 0) {
      shown.current = { clip, over: false };
      player.seek(Math.max(0, clip.fromMs + goMs - LEAD_MS));
      player.play();
    }
    if (!shown.current || shown.current.over) return;
    const endMs = Math.min(clip.toMs + goMs + LEAD_MS, player.durationMs() - player.frameMs());
    if (player.timeMs() >= endMs) {
      shown.current.over = true;
      player.pause();
      onEnd();
    }
  });

  return (
    <Corner aria-label="The moment" className="stage-dark">
      {recording ? (
        <Picture>
          <RecordingPlayer recording={recording} ref={attach} />
        </Picture>
      ) : (
        <Under>This attempt was logged without a recording to play.</Under>
      )}
      <Under>
        <span>
          {place && `${place} · `}
          {clip.label} · {clock(clip.fromMs)}
        </span>
        <span style={{ display: "flex", gap: 6 }}>
          <ButtonLink to={`/attempts/${attempt.id}/log?at=${clip.fromMs}`}>In the log</ButtonLink>
          <Button onPress={onClose}>Close</Button>
        </span>
      </Under>
    </Corner>
  );
}
