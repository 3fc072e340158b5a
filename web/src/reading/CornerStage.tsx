import { useEffect, useEffectEvent, useMemo, useRef } from "react";
import styled from "styled-components";
import type { AttemptView } from "../api/client";
import { useDeck, useFollowing } from "../player/deck";
import { RecordingPlayer } from "../player/RecordingPlayer";
import { Button, ButtonLink } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";

/** A stretch of the clock to play; `at` tells one request from the next. */
export interface Clip {
  fromMs: number;
  toMs: number;
  label: string;
  at: number;
}

const LEAD_MS = 800;

const WIDE = 420;
const HIGH = 292;
const EDGE = 20;

const Corner = styled.aside`
  position: fixed;
  width: min(${WIDE}px, calc(100vw - ${2 * EDGE}px));
  z-index: 8;
  background: var(--ground);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: 6px;
  overflow: hidden;
  box-shadow: 0 8px 30px rgb(0 0 0 / 0.3);
`;

const Picture = styled.div`
  position: relative;
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
  const { clock } = useTimes();
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

  // eslint-disable-next-line react-hooks/exhaustive-deps -- looked at anew for each clip: what asked for it has the focus then
  const corner = useMemo(() => freeCorner(document.activeElement), [clip]);
  const leave = useEffectEvent((event: KeyboardEvent) => {
    if (event.key === "Escape") onClose();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => leave(event);
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);

  return (
    <Corner aria-label="The moment" className="stage-dark" style={corner}>
      {recording ? (
        <Picture>
          <RecordingPlayer recording={recording} ref={attach} />
        </Picture>
      ) : (
        <Under>No video for this attempt.</Under>
      )}
      <Under>
        <span>
          {place && `${place} · `}
          {clip.label} · {clock(clip.fromMs)}
        </span>
        <span style={{ display: "flex", gap: 6 }}>
          <ButtonLink to={`/attempts/${attempt.id}/log?at=${clip.fromMs}`}>In the log</ButtonLink>
          <Button onPress={onClose}>Close (Esc)</Button>
        </span>
      </Under>
    </Corner>
  );
}

type Place = Partial<Record<"left" | "right" | "top" | "bottom", number>>;

const CORNERS: Place[] = [
  { right: EDGE, bottom: EDGE },
  { left: EDGE, bottom: EDGE },
  { right: EDGE, top: EDGE },
  { left: EDGE, top: EDGE },
];

/** The corner that covers least of what was asked about; where all do alike, the usual one. */
export function freeCorner(asked: Element | null): Place {
  const box = asked?.closest("li, tr, svg, p, section")?.getBoundingClientRect();
  if (!box) return CORNERS[0] ?? {};
  const { innerWidth: width, innerHeight: height } = window;
  const covered = ({ left, top }: Place) => {
    const x = left ?? width - EDGE - WIDE;
    const y = top ?? height - EDGE - HIGH;
    const across = Math.min(box.right, x + WIDE) - Math.max(box.left, x);
    const down = Math.min(box.bottom, y + HIGH) - Math.max(box.top, y);
    return Math.max(0, across) * Math.max(0, down);
  };
  return CORNERS.reduce((best, one) => (covered(one) < covered(best) ? one : best));
}
