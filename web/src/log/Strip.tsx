import { useRef, useState } from "react";
import styled from "styled-components";
import type { AttemptView, MarkView, RecordingView } from "../api/client";
import { type Deck, useFollowing } from "../player/deck";
import { SmallButton } from "../ui/primitives";
import { clock } from "../ui/time";
import { useStable } from "../ui/useStable";
import { useWidth } from "../ui/useWidth";
import { type Waits, useWaiting } from "../outbox/queue";
import { Band, BAND_H, BAND_Y, scaleOf, STRIP_H, type Window } from "./StripBand";
import { StripMarks } from "./StripMarks";

const Frame = styled.div`
  position: relative;
  height: ${STRIP_H}px;
  margin: 0 20px;
  color: var(--ink);
  contain: layout;
  svg {
    display: block;
    cursor: pointer;
  }
  text {
    fill: var(--ink-3);
    font-size: 11px;
    font-stretch: 80%;
  }
`;

const Head = styled.div`
  position: absolute;
  top: 12px;
  left: 0;
  width: 2px;
  height: 50px;
  background: var(--ink);
  pointer-events: none;
  will-change: transform;
  &::before {
    content: "";
    position: absolute;
    left: -4px;
    top: -5px;
    border: 5px solid transparent;
    border-top-color: var(--ink);
  }
`;

const Pending = styled.svg`
  position: absolute;
  top: ${BAND_Y + BAND_H}px;
  left: 0;
  pointer-events: none;
  will-change: transform;
`;

const Zoom = styled.div`
  position: absolute;
  top: -5px;
  right: 0;
  display: flex;
  gap: 4px;
  align-items: center;
  font-size: 12px;
  color: var(--ink-2);
  background: var(--ground);
  button {
    min-height: 20px;
    padding: 0 7px;
  }
`;

interface Props {
  attempt: AttemptView;
  /** Marks the server has yet to answer. */
  waiting: Waits;
  recording: RecordingView;
  deck: Deck;
  chosen: string | undefined;
  onChoose: (mark: MarkView) => void;
  /** A mark was dragged to another clock time, on a frame. */
  onMove: (mark: MarkView, clockMs: number) => void;
  onSeek: (clockMs: number) => void;
}

/** The whole attempt as one band in textures, with the plan ghosted under it. */
export function Strip({ attempt, waiting, recording, deck, chosen, onChoose, onMove, onSeek }: Props) {
  const { log } = attempt;
  const { goMs, durationMs = 0 } = recording;
  const [frame, width] = useWidth(1200);
  const head = useRef<HTMLDivElement>(null);
  const planned = log.segments.at(-1)?.plannedEndMs ?? 0;
  const recorded = durationMs > 0 && goMs !== undefined ? durationMs - goMs : durationMs;
  const end = Math.max(log.clockMs, planned, recorded, 1000);
  const [zoom, setZoom] = useState(1);
  const [middle, setMiddle] = useState(0);
  const [dragged, setDragged] = useState<number>();
  const choose = useStable(onChoose);
  const move = useStable(onMove);
  const seek = useStable(onSeek);
  const span = end / zoom;
  const from = zoom === 1 ? 0 : Math.min(Math.max(0, middle - span / 2), end - span);
  const zoomTo = (factor: number) => {
    setMiddle((deck.player?.timeMs() ?? 0) - (goMs ?? 0));
    setZoom(factor);
  };

  useFollowing(deck, (playing) => {
    const at = playing.timeMs() - (goMs ?? 0);
    if (head.current) {
      const place = ((at - from) / span) * width;
      head.current.style.transform = `translateX(${Math.max(0, place)}px)`;
      head.current.style.visibility = place > width ? "hidden" : "visible";
    }
    // Zoomed in, the window follows the playhead once it leaves it.
    if (zoom > 1 && (at > from + span || at < from) && !playing.paused()) setMiddle(at + span / 2);
  });

  return (
    <Frame ref={frame}>
      <Band log={log} {...{ from, span, width }} onSeek={seek} />
      <StripMarks
        marks={log.marks}
        {...{ from, span, width, chosen }}
        onChoose={choose}
        onMove={move}
        onDrag={setDragged}
        onSeek={seek}
      />
      <OnTheirWay {...{ waiting, recording, from, span, width }} />
      <Zoom>
        {dragged !== undefined && <span>{clock(dragged)}</span>}
        <SmallButton aria-label="Show more of the attempt" isDisabled={zoom === 1} onPress={() => zoomTo(zoom / 2)}>
          −
        </SmallButton>
        <span>{zoom === 1 ? "whole" : `${zoom}×`}</span>
        <SmallButton aria-label="Look closer at the playhead" isDisabled={zoom === 32} onPress={() => zoomTo(zoom * 2)}>
          +
        </SmallButton>
      </Zoom>
      <Head ref={head} />
    </Frame>
  );
}

/** Ticks of the marks that are on their way; all there is to paint when a key is pressed. */
function OnTheirWay({ waiting, recording, ...window }: Window & { waiting: Waits; recording: RecordingView }) {
  const ops = useWaiting(waiting, (all) => all);
  const x = scaleOf(window);
  const { id, goMs } = recording;
  const places = ops.flatMap((op) =>
    op.op === "put" && op.body.recordingId === id && goMs !== undefined ? [x(op.body.atMs - goMs)] : [],
  );
  return (
    <Pending width={window.width} height={7} aria-hidden data-waiting={places.length}>
      <path d={places.map((place) => `M${place.toFixed(1)} 0v7`).join("")} stroke="var(--ink-3)" />
    </Pending>
  );
}
