import { memo, useRef, useState } from "react";
import styled from "styled-components";
import type { AttemptView, MarkView } from "../api/client";
import { type Deck, useFollowing } from "../player/deck";
import { clock } from "../ui/time";
import { TraceLine } from "../traces/TraceLine";
import { useTraces } from "../traces/useTraces";
import { useStable } from "../ui/useStable";
import { useWidth } from "../ui/useWidth";
import { type Waits, useWaiting } from "../outbox/queue";
import { Band, BAND_H, BAND_Y, scaleOf, STRIP_H, type Window } from "./StripBand";
import { OthersMarks } from "./OthersMarks";
import { StripMarks } from "./StripMarks";
import type { Source } from "./useMarking";
import type { Zoom } from "./useZoom";
import { isOver } from "./isOver";

const Frame = styled.div`
  position: relative;
  height: ${STRIP_H}px;
  margin: 0 20px;
  min-width: 0;
  overflow: hidden;
  color: var(--ink);
  @media (max-width: 800px) {
    margin: 0 10px;
  }
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

const NotedLines = styled.svg`
  position: absolute;
  top: ${BAND_Y}px;
  left: 0;
  pointer-events: none;
`;

/** Where a dragged mark is now. */
const Dragged = styled.span`
  position: absolute;
  top: -3px;
  right: 0;
  font-size: 12px;
  color: var(--ink-2);
  background: var(--ground);
`;

interface Props {
  attempt: AttemptView;
  /** Marks the server has yet to answer. */
  waiting: Waits;
  source: Source;
  deck: Deck;
  zoom: Zoom;
  chosen: string | undefined;
  /** Who is on the video too, and comes next. */
  other?: AttemptView["onVideo"][number] | undefined;
  onChoose: (mark: MarkView) => void;
  /** A mark was dragged to another clock time, on a frame. */
  onMove: (mark: MarkView, clockMs: number) => void;
  onSeek: (clockMs: number) => void;
}

/** The whole attempt as one band in textures, with the plan ghosted under it. */
export function Strip({ attempt, waiting, source, deck, zoom, chosen, other, onChoose, onMove, onSeek }: Props) {
  const { log } = attempt;
  const { goMs, durationMs = 0 } = source;
  const [frame, width] = useWidth(1200);
  const head = useRef<HTMLDivElement>(null);
  const planned = log.segments.at(-1)?.plannedEndMs ?? 0;
  const recorded = durationMs > 0 && goMs !== undefined ? durationMs - goMs : durationMs;
  // Once all is logged the whole is the attempt: what was filmed after it is not looked at.
  const over = isOver(log);
  const end = Math.max(log.clockMs, planned, over ? 0 : recorded, 1000);
  const [dragged, setDragged] = useState<number>();
  const choose = useStable(onChoose);
  const move = useStable(onMove);
  const seek = useStable(onSeek);
  const span = end / zoom.factor;
  const from = zoom.factor === 1 ? 0 : Math.min(Math.max(0, zoom.middleMs - span / 2), end - span);

  useFollowing(deck, (playing) => {
    const at = playing.timeMs() - (goMs ?? 0);
    if (head.current) {
      const place = ((at - from) / span) * width;
      head.current.style.transform = `translateX(${Math.max(0, place)}px)`;
      head.current.style.visibility = place > width ? "hidden" : "visible";
    }
    // Zoomed in, the window follows the playhead once it leaves it.
    if (zoom.factor > 1 && (at > from + span || at < from) && !playing.paused()) zoom.show(at + span / 2);
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
      <Noted attemptId={attempt.id} {...{ from, span, width }} />
      {other && goMs !== undefined && <OthersMarks {...{ other, goMs, from, span, width }} />}
      <OnTheirWay {...{ waiting, source, from, span, width }} />
      {dragged !== undefined && <Dragged>{clock(dragged)}</Dragged>}
      <Head ref={head} />
    </Frame>
  );
}

/** What a machine or a strap noted, faintly over the band: the heart, or else the pace. */
const Noted = memo(function Noted({ attemptId, from, span, width }: Window & { attemptId: string }) {
  const traces = useTraces(attemptId).data ?? [];
  const series = traces.flatMap((trace) => trace.series.slice(0, 1));
  if (series.length === 0) return null;
  return (
    <NotedLines width={width} height={BAND_H} aria-hidden>
      {series.map((one, index) => (
        <TraceLine
          key={index}
          of={one}
          x={({ atMs }) => (atMs < from || atMs > from + span ? undefined : ((atMs - from) / span) * width)}
          top={3}
          bottom={BAND_H - 3}
        />
      ))}
    </NotedLines>
  );
});

/** Ticks of the marks that are on their way; all there is to paint when a key is pressed. */
function OnTheirWay({ waiting, source, ...window }: Window & { waiting: Waits; source: Source }) {
  const ops = useWaiting(waiting, (all) => all);
  const x = scaleOf(window);
  const { id, goMs } = source;
  const places = ops.flatMap((op) =>
    op.op === "put" && op.body.recordingId === id && goMs !== undefined ? [x(op.body.atMs - goMs)] : [],
  );
  return (
    <Pending width={window.width} height={7} aria-hidden data-waiting={places.length}>
      <path d={places.map((place) => `M${place.toFixed(1)} 0v7`).join("")} stroke="var(--ink-3)" />
    </Pending>
  );
}
