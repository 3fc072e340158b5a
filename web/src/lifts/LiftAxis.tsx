import { scaleLinear } from "d3-scale";
import { type KeyboardEvent, type PointerEvent, useState } from "react";
import styled from "styled-components";
import { Textures } from "../ui/textures";
import { clock, span, wallClock } from "../ui/time";
import { useWidth } from "../ui/useWidth";

const HEIGHT = 206;
const FLOOR = 160;
const TOP = 6;
const EDGE = 14;
/** How wide a lift is drawn of which nobody saw the end, milliseconds. */
const UNSEEN_MS = 6000;
const STEP_MS = 1000;
const LEAP_MS = 5000;

const Frame = styled.div`
  svg {
    display: block;
    color: var(--ink);
  }
  text {
    fill: var(--ink-2);
    font-size: 12px;
    font-stretch: 84%;
  }
  text.load {
    fill: var(--ink);
    font-size: 13px;
    font-weight: 600;
  }
  [role="slider"] {
    cursor: ew-resize;
    outline: none;
    touch-action: none;
  }
  [role="slider"]:focus-visible > rect:first-child {
    stroke: var(--focus);
    stroke-width: 3;
  }
`;

/** A lift on the clock, at the height of its load. */
export interface Lifted {
  startMs: number;
  lengthMs?: number | undefined;
  load: string;
  loadKg?: number | undefined;
  /** Absent for a lift that is only planned. */
  outcome?: "MADE" | "MISSED" | "UNKNOWN";
  /** The rep it was missed on, of so many. */
  missedOn?: number | undefined;
  reps?: number | undefined;
  /** Rest before it, where that was seen. */
  restMs?: number | undefined;
}

interface Props {
  label: string;
  windowMs: number;
  /** Outlined: what was intended. */
  planned: Lifted[];
  /** Solid: what was done; a missed one is open, notched at the failed rep. */
  done?: Lifted[];
  maxKg?: number | undefined;
  /** The max in the unit of the bar. */
  max?: string | undefined;
  /** Loads of another picture beside it: both are drawn to the same scale. */
  besideKg?: number[];
  /** The last calm start; after it the final seconds are marked. */
  calmUntilMs?: number | undefined;
  /** Planned lifts can be moved: dragged, or by the arrow keys. */
  onMove?: (index: number, startMs: number) => void;
  onPlay?: (lift: Lifted) => void;
}

/** Lifts over the clock: each at the height of its load, so that jumps can be seen, the rests between hatched, the max a line. */
export function LiftAxis({
  label,
  windowMs,
  planned,
  done = [],
  maxKg,
  max,
  besideKg = [],
  calmUntilMs,
  onMove,
  onPlay,
}: Props) {
  const [frame, width] = useWidth(1080);
  const [drag, setDrag] = useState<{ index: number; fromX: number; startMs: number }>();
  const all = [...planned, ...done];
  const ends = all.map((lift) => lift.startMs + (lift.lengthMs ?? UNSEEN_MS));
  const x = scaleLinear([0, Math.max(windowMs, ...ends)], [EDGE, width - EDGE]);
  const loads = [
    ...all.flatMap((lift) => (lift.loadKg === undefined ? [] : [lift.loadKg])),
    ...(maxKg ? [maxKg] : []),
    ...besideKg,
  ];
  const y = scaleLinear([0, Math.max(1, ...loads)], [FLOOR, TOP + 16]);
  const minutes = Array.from({ length: Math.floor(windowMs / 60_000) + 1 }, (_, index) => index * 60_000);
  const every = Math.max(1, Math.ceil((minutes.length * 44) / Math.max(1, width - 2 * EDGE)));
  const placed = (index: number, lift: Lifted) => (drag?.index === index ? drag.startMs : lift.startMs);
  const heightOf = (lift: Lifted) => (lift.loadKg === undefined ? FLOOR - 24 : y(lift.loadKg));

  const take = (event: PointerEvent<SVGGElement>, index: number, lift: Lifted) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    setDrag({ index, fromX: event.clientX - x(lift.startMs), startMs: lift.startMs });
  };
  const pull = (event: PointerEvent<SVGGElement>) => {
    if (!drag) return;
    const at = x.invert(event.clientX - drag.fromX);
    setDrag({ ...drag, startMs: Math.max(0, Math.round(at / STEP_MS) * STEP_MS) });
  };
  const release = (index: number, lift: Lifted) => {
    if (drag && drag.startMs !== lift.startMs) onMove?.(index, drag.startMs);
    setDrag(undefined);
  };
  const press = (event: KeyboardEvent<SVGGElement>, index: number, lift: Lifted) => {
    const sign = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (sign === 0) return;
    event.preventDefault();
    onMove?.(index, Math.max(0, lift.startMs + sign * (event.shiftKey ? STEP_MS : LEAP_MS)));
  };

  return (
    <Frame ref={frame}>
      <svg width={width} height={HEIGHT} role="group" aria-label={label}>
        <Textures />
        {maxKg !== undefined && (
          <g>
            <line x1={x(0)} x2={x(windowMs)} y1={y(maxKg)} y2={y(maxKg)} stroke="var(--ink-3)" strokeDasharray="2 4" />
            <text x={x(0)} y={y(maxKg) - 5}>
              max {max}
            </text>
          </g>
        )}
        {calmUntilMs !== undefined && calmUntilMs < windowMs && (
          <g>
            <rect
              x={x(calmUntilMs)}
              width={x(windowMs) - x(calmUntilMs)}
              y={TOP}
              height={FLOOR - TOP}
              fill="var(--caution-ground)"
            />
            <text x={x(windowMs)} y={FLOOR + 18} textAnchor="end">
              no calm start after {wallClock(calmUntilMs)}
            </text>
          </g>
        )}
        <line x1={x(0)} x2={x(windowMs)} y1={FLOOR} y2={FLOOR} stroke="var(--ink)" />
        {minutes
          .filter((_, index) => index % every === 0)
          .map((ms) => (
            <g key={ms}>
              <line x1={x(ms)} x2={x(ms)} y1={FLOOR} y2={FLOOR + 5} stroke="var(--ink)" />
              <text x={x(ms)} y={HEIGHT - 8} textAnchor={ms === 0 ? "start" : "middle"}>
                {wallClock(ms)}
              </text>
            </g>
          ))}
        {planned.map((lift, index) => {
          const at = placed(index, lift);
          const wide = Math.max(4, x(lift.lengthMs ?? UNSEEN_MS) - x(0));
          const top = heightOf(lift);
          const shape = (
            <>
              <rect
                x={x(at)}
                y={top}
                width={wide}
                height={Math.max(0, FLOOR - top)}
                fill={done.length > 0 ? "none" : "var(--ink)"}
                stroke={done.length > 0 ? "var(--ink-3)" : "var(--ink)"}
              />
              {done.length === 0 && (
                <text className="load" {...beside(x(at), wide, width)} y={top - 5}>
                  {lift.load}
                </text>
              )}
            </>
          );
          if (!onMove) return <g key={index}>{shape}</g>;
          return (
            <g
              key={index}
              role="slider"
              tabIndex={0}
              aria-label={`Start of lift ${index + 1}, ${lift.load}`}
              aria-valuemin={0}
              aria-valuemax={windowMs / 1000}
              aria-valuenow={at / 1000}
              aria-valuetext={wallClock(at)}
              onPointerDown={(event) => take(event, index, lift)}
              onPointerMove={pull}
              onPointerUp={() => release(index, lift)}
              onPointerCancel={() => setDrag(undefined)}
              onKeyDown={(event) => press(event, index, lift)}
            >
              {shape}
              <rect x={x(at) - 6} y={TOP} width={wide + 12} height={FLOOR - TOP} fill="transparent" />
              {drag?.index === index && (
                <text {...beside(x(at), wide, width)} y={FLOOR + 18}>
                  {wallClock(at)}
                </text>
              )}
            </g>
          );
        })}
        {done.map((lift, index) => (
          <Done
            key={index}
            lift={lift}
            left={x(lift.startMs)}
            wide={Math.max(4, x(lift.lengthMs ?? UNSEEN_MS) - x(0))}
            top={heightOf(lift)}
            restWide={lift.restMs === undefined || index === 0 ? 0 : x(lift.restMs) - x(0)}
            width={width}
            onPlay={onPlay}
          />
        ))}
      </svg>
    </Frame>
  );
}

/** Where a word stands beside a bar: after its left edge, or before its right one where it would run out of the picture. */
function beside(left: number, wide: number, width: number) {
  return left > width - 70 ? { x: left + wide, textAnchor: "end" as const } : { x: left, textAnchor: "start" as const };
}

interface DoneProps {
  lift: Lifted;
  left: number;
  wide: number;
  top: number;
  restWide: number;
  width: number;
  onPlay: Props["onPlay"];
}

function Done({ lift, left, wide, top, restWide, width, onPlay }: DoneProps) {
  const missed = lift.outcome === "MISSED";
  const notch =
    missed && lift.missedOn !== undefined && lift.reps
      ? left + (wide * (lift.missedOn - 0.5)) / lift.reps
      : left + wide;
  return (
    <g onClick={() => onPlay?.(lift)} style={onPlay ? { cursor: "pointer" } : undefined}>
      <title>{`${lift.load} at ${clock(lift.startMs)}, ${lift.outcome?.toLowerCase() ?? ""}`}</title>
      {restWide > 0 && (
        <>
          <rect
            x={left - restWide}
            y={FLOOR - 12}
            width={restWide}
            height={12}
            fill="url(#texture-rest)"
            opacity={0.55}
          />
          {restWide > 30 && (
            <text x={left - restWide / 2} y={FLOOR + 18} textAnchor="middle">
              {span(lift.restMs ?? 0)}
            </text>
          )}
        </>
      )}
      <rect
        x={left}
        y={top}
        width={wide}
        height={Math.max(0, FLOOR - top)}
        fill={
          lift.outcome === "MADE"
            ? "var(--ink)"
            : lift.outcome === "MISSED"
              ? "var(--panel)"
              : "url(#texture-unseparated)"
        }
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      {missed && (
        <path d={`M${notch - 6} ${top - 1} h12 l-6 10 z`} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.5} />
      )}
      <text className="load" {...beside(left, wide, width)} y={top - 5}>
        {lift.load}
      </text>
    </g>
  );
}
