import { memo } from "react";
import styled from "styled-components";
import type { AttemptView } from "../api/client";
import { useAttempt } from "../api/queries";
import { scaleOf, STRIP_H, type Window } from "./StripBand";

const HIGH = 8;

const Row = styled.svg`
  position: absolute;
  top: ${STRIP_H - HIGH - 1}px;
  left: 0;
  pointer-events: none;
  opacity: 0.45;
`;

interface Props extends Window {
  other: AttemptView["onVideo"][number];
  /** Where this attempt's "go" lies on the video. */
  goMs: number;
}

/** What was marked of the other athlete on the video, faintly, at the same moments of it; the end of each movement longer. */
export const OthersMarks = memo(function OthersMarks({ other, goMs, ...window }: Props) {
  const { data } = useAttempt(other.attemptId);
  const theirGo = data?.recordings.find((one) => one.id === other.recordingId)?.goMs;
  if (!data || theirGo === undefined || data.log.marks.length === 0) return null;
  const x = scaleOf(window);
  const tick = (clockMs: number, high: number) => {
    const place = x(clockMs + theirGo - goMs);
    return place < 0 || place > window.width ? "" : `M${place.toFixed(1)} ${HIGH - high}v${high}`;
  };
  const marks = data.log.marks.map((mark) => tick(mark.clockMs ?? 0, HIGH / 2));
  const ends = data.log.segments.flatMap(({ split }) => (split?.complete ? [tick(split.endMs, HIGH)] : []));
  return (
    <Row width={window.width} height={HIGH} role="img" aria-label={`Marks of ${other.athlete} on this video`}>
      <path d={[...marks, ...ends].join("")} stroke="currentColor" />
    </Row>
  );
});
