import { scaleLinear } from "d3-scale";
import { memo, type RefObject, useEffect, useRef, useState } from "react";
import styled from "styled-components";
import type { AttemptView, MarkView } from "../api/client";
import type { Player } from "../player/player";
import { SmallButton } from "../ui/primitives";
import { Stretch, Textures } from "../ui/textures";
import { clock, wallClock } from "../ui/time";
import { useStable } from "../ui/useStable";
import { useWidth } from "../ui/useWidth";

const HEIGHT = 74;
const BAND_Y = 20;
const BAND_H = 26;

const Frame = styled.div`
  position: relative;
  height: ${HEIGHT}px;
  margin: 0 20px;
  color: var(--ink);
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
  &::before {
    content: "";
    position: absolute;
    left: -4px;
    top: -5px;
    border: 5px solid transparent;
    border-top-color: var(--ink);
  }
`;

const Tick = styled.button`
  all: unset;
  position: absolute;
  top: ${BAND_Y + BAND_H}px;
  width: 7px;
  height: 12px;
  margin-left: -3px;
  cursor: pointer;
  &::before {
    content: "";
    position: absolute;
    left: 3px;
    top: 0;
    width: 1px;
    height: 7px;
    background: var(--ink-2);
  }
  &[aria-pressed="true"]::before {
    width: 5px;
    left: 1px;
    height: 10px;
    background: var(--ink);
  }
  &[data-odd]::before {
    background: var(--caution);
    width: 3px;
  }
  &:focus-visible {
    outline: 2px solid var(--focus);
  }
`;

const Pending = styled.i`
  position: absolute;
  top: ${BAND_Y + BAND_H}px;
  width: 1px;
  height: 7px;
  background: var(--ink-3);
  pointer-events: none;
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

const FRAME_MS = 1000 / 30;

/** The nearest thirtieth of a second. */
function onFrame(ms: number): number {
  return Math.round(Math.max(0, Math.round(ms / FRAME_MS) * FRAME_MS));
}

interface Props {
  attempt: AttemptView;
  /** Clock times of marks the server has yet to answer. */
  waiting: readonly number[];
  goMs: number | undefined;
  durationMs: number;
  player: RefObject<Player | null>;
  chosen: string | undefined;
  onChoose: (mark: MarkView) => void;
  /** A mark was dragged to another clock time, on a frame. */
  onMove: (mark: MarkView, clockMs: number) => void;
  onSeek: (clockMs: number) => void;
}

/** The whole attempt as one band in textures, with the plan ghosted under it. */
export function Strip({ attempt, waiting, goMs, durationMs, player, chosen, onChoose, onMove, onSeek }: Props) {
  const { log } = attempt;
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
  const x = scaleLinear([from, from + span], [0, width]);
  const zoomTo = (factor: number) => {
    setMiddle((player.current?.timeMs() ?? 0) - (goMs ?? 0));
    setZoom(factor);
  };

  useEffect(() => {
    let handle = 0;
    const follow = () => {
      const at = (player.current?.timeMs() ?? 0) - (goMs ?? 0);
      if (head.current) {
        const place = ((at - from) / span) * width;
        head.current.style.transform = `translateX(${Math.max(0, place)}px)`;
        head.current.style.visibility = place > width ? "hidden" : "visible";
      }
      // Zoomed in, the window follows the playhead once it leaves it.
      if (zoom > 1 && (at > from + span || at < from) && !player.current?.paused()) setMiddle(at + span / 2);
      handle = requestAnimationFrame(follow);
    };
    follow();
    return () => cancelAnimationFrame(handle);
  }, [player, goMs, from, span, zoom, width]);

  return (
    <Frame ref={frame}>
      <Band log={log} {...{ from, span, width }} onSeek={seek} />
      <Ticks marks={log.marks} {...{ from, span, width, chosen }} onChoose={choose} onMove={move} onDrag={setDragged} />
      {waiting.map((atMs) => (
        <Pending key={atMs} data-waiting style={{ left: x(atMs) }} />
      ))}
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

interface Window {
  from: number;
  span: number;
  width: number;
}

/** The attempt in textures, the plan under it; drawn anew only when it has changed. */
const Band = memo(function Band({
  log,
  from,
  span,
  width,
  onSeek,
}: Window & { log: AttemptView["log"]; onSeek: (clockMs: number) => void }) {
  const x = scaleLinear([from, from + span], [0, width]);
  return (
    <svg
      width={width}
      height={HEIGHT}
      role="img"
      aria-label={`Strip of the attempt: ${clock(log.clockMs)} logged`}
      onClick={(event) => onSeek(x.invert(event.nativeEvent.offsetX))}
    >
      <Textures />
      {ticks(from, from + span, width).map((at) => (
        <text key={at} x={x(at) + 3} y={11}>
          {wallClock(at)}
        </text>
      ))}
      {log.segments.map((segment) => (
        <rect
          key={segment.index}
          x={x(segment.plannedEndMs - segment.plannedMs)}
          y={BAND_Y + BAND_H + 13}
          width={Math.max(0, x(segment.plannedEndMs) - x(segment.plannedEndMs - segment.plannedMs) - 1)}
          height={5}
          fill="currentColor"
          opacity={0.28}
        />
      ))}
      <path d={`M0 ${BAND_Y + BAND_H} H${width}`} stroke="currentColor" opacity={0.35} />
      {log.segments.flatMap((segment) =>
        (segment.split?.pieces ?? []).map((piece) => (
          <Stretch
            key={`${segment.index} ${piece.kind} ${piece.fromMs}`}
            kind={piece.kind}
            x={x(piece.fromMs)}
            y={BAND_Y}
            width={x(piece.toMs) - x(piece.fromMs) - 0.5}
            height={BAND_H}
          />
        )),
      )}
      {log.segments.flatMap((segment) =>
        (segment.split?.faults ?? []).map((fault) => (
          <path
            key={`${segment.index} ${fault.atMs}`}
            d={`M${x(fault.atMs) - 5} ${BAND_Y - 1} h10 l-5 9 z`}
            fill="var(--ground)"
            stroke="currentColor"
          />
        )),
      )}
      {log.blindSpans.map((blind) => (
        <rect
          key={blind.fromMs}
          x={x(blind.fromMs)}
          y={BAND_Y - 4}
          width={Math.max(2, x(blind.toMs) - x(blind.fromMs))}
          height={BAND_H + 8}
          fill="url(#texture-blind)"
        />
      ))}
    </svg>
  );
});

interface TicksProps extends Window {
  marks: MarkView[];
  chosen: string | undefined;
  onChoose: (mark: MarkView) => void;
  onMove: (mark: MarkView, clockMs: number) => void;
  onDrag: (clockMs: number | undefined) => void;
}

/** A tick for each mark, to be chosen or dragged. */
const Ticks = memo(function Ticks({ marks, from, span, width, chosen, onChoose, onMove, onDrag }: TicksProps) {
  const [dragged, setDragged] = useState<{ id: string; clockMs: number }>();
  const x = scaleLinear([from, from + span], [0, width]);
  const drag = (to: typeof dragged) => {
    setDragged(to);
    onDrag(to?.clockMs);
  };
  return (
    <>
      {marks.map((mark) => {
        const at = dragged?.id === mark.id ? dragged.clockMs : (mark.clockMs ?? 0);
        const place = x(at);
        if (place < -4 || place > width + 4) return null;
        return (
          <Tick
            key={mark.id}
            type="button"
            tabIndex={mark.id === chosen ? 0 : -1}
            aria-pressed={mark.id === chosen}
            aria-label={`${mark.kind.toLowerCase().replace("_", "-")} at ${clock(mark.clockMs ?? 0)}`}
            data-odd={mark.oddity ? true : undefined}
            style={{ left: place }}
            title={mark.oddity ?? mark.text}
            onClick={() => onChoose(mark)}
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={(event) => {
              if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
              const left = event.currentTarget.parentElement?.getBoundingClientRect().left ?? 0;
              const to = onFrame(x.invert(event.clientX - left));
              if (dragged || Math.abs(x(to) - x(mark.clockMs ?? 0)) > 3) drag({ id: mark.id, clockMs: to });
            }}
            onPointerUp={() => {
              if (dragged?.id === mark.id) onMove(mark, dragged.clockMs);
              drag(undefined);
            }}
          />
        );
      })}
    </>
  );
});

const STEPS_MS = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600].map((seconds) => seconds * 1000);

/** Clock times for the axis, on steps a gym clock reader counts in. */
function ticks(fromMs: number, toMs: number, width: number): number[] {
  const most = Math.max(2, width / 80);
  const step = STEPS_MS.find((one) => (toMs - fromMs) / one <= most) ?? 1_800_000;
  const first = Math.ceil(fromMs / step);
  return Array.from({ length: Math.floor(toMs / step) - first + 1 }, (_, index) => (first + index) * step);
}
