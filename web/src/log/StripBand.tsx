import { scaleLinear } from "d3-scale";
import { memo } from "react";
import type { AttemptView, SegmentView } from "../api/client";
import { Stretch, Textures } from "../ui/textures";
import { clock, wallClock } from "../ui/time";

/** Where the band lies on the strip, pixels from its top. */
export const BAND_Y = 20;
export const BAND_H = 26;
export const STRIP_H = 74;

/** The stretch of the attempt in view, clock milliseconds, and the pixels it is drawn over. */
export interface Window {
  from: number;
  span: number;
  width: number;
}

/** Clock time to pixels. */
export function scaleOf({ from, span, width }: Window) {
  return scaleLinear([from, from + span], [0, width]);
}

interface Props extends Window {
  log: AttemptView["log"];
  onSeek: (clockMs: number) => void;
}

/** The attempt in textures, the plan under it; drawn anew only when it has changed. */
export const Band = memo(function Band({ log, from, span, width, onSeek }: Props) {
  const x = scaleOf({ from, span, width });
  return (
    <svg
      width={width}
      height={STRIP_H}
      role="img"
      aria-label={`Strip of the attempt: ${clock(log.clockMs)} logged`}
      onClick={(event) => onSeek(x.invert(event.nativeEvent.offsetX))}
    >
      <Textures />
      {ticks(from, from + span, width).map((at) => (
        <text key={at} x={x(at) + TICK_FROM} y={11}>
          {wallClock(at)}
        </text>
      ))}
      <path d={`M0 ${BAND_Y + BAND_H} H${width}`} stroke="currentColor" opacity={0.35} />
      {log.plannedLifts.map((lift) => (
        <rect
          key={lift.startMs}
          x={x(lift.startMs)}
          y={BAND_Y + BAND_H + 13}
          width={Math.max(2, x(lift.startMs + PLANNED_LIFT_MS) - x(lift.startMs))}
          height={5}
          fill="currentColor"
          opacity={0.28}
        />
      ))}
      {log.lifts.map((lift, index) => (
        <Lift key={lift.atMs} lift={lift} isFirst={index === 0} {...{ from, span, width }} />
      ))}
      {log.segments.map((segment) => (
        <Segment key={segment.index} {...{ segment, from, span, width }} />
      ))}
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

/** How wide a planned lift is drawn, and one of which nobody saw the end, milliseconds. */
const PLANNED_LIFT_MS = 8000;

/** A lift solid, the rest before it hatched, a notch where it was missed. */
function Lift({
  lift,
  isFirst,
  from,
  span,
  width,
}: Window & { lift: AttemptView["log"]["lifts"][number]; isFirst: boolean }) {
  const x = scaleOf({ from, span, width });
  const rest = isFirst ? 0 : (lift.restMs ?? 0);
  const ends = lift.endMs ?? lift.atMs + PLANNED_LIFT_MS;
  return (
    <>
      {rest > 0 && (
        <Stretch
          kind="rest"
          x={x(lift.atMs - rest)}
          y={BAND_Y}
          width={x(lift.atMs) - x(lift.atMs - rest)}
          height={BAND_H}
        />
      )}
      <Stretch
        kind={lift.endMs === undefined ? "unseparated" : "work"}
        x={x(lift.atMs)}
        y={BAND_Y}
        width={x(ends) - x(lift.atMs)}
        height={BAND_H}
      />
      {lift.outcome === "MISSED" && (
        <path d={`M${x(ends) - 5} ${BAND_Y - 1} h10 l-5 9 z`} fill="var(--ground)" stroke="currentColor" />
      )}
    </>
  );
}

/** A segment's stretches and faults, over the time planned for it. */
const Segment = memo(function Segment({ segment, from, span, width }: Window & { segment: SegmentView }) {
  const x = scaleOf({ from, span, width });
  const plannedFrom = x(segment.plannedEndMs - segment.plannedMs);
  return (
    <>
      <rect
        x={plannedFrom}
        y={BAND_Y + BAND_H + 13}
        width={Math.max(0, x(segment.plannedEndMs) - plannedFrom - 1)}
        height={5}
        fill="currentColor"
        opacity={0.28}
      />
      {segment.split?.pieces.map((piece) => (
        <Stretch
          key={`${piece.kind} ${piece.fromMs}`}
          kind={piece.kind}
          x={x(piece.fromMs)}
          y={BAND_Y}
          width={x(piece.toMs) - x(piece.fromMs) - 0.5}
          height={BAND_H}
        />
      ))}
      {segment.split?.faults.map((fault) => (
        <path
          key={fault.atMs}
          d={`M${x(fault.atMs) - 5} ${BAND_Y - 1} h10 l-5 9 z`}
          fill="var(--ground)"
          stroke="currentColor"
        />
      ))}
    </>
  );
});

const STEPS_MS = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600].map((seconds) => seconds * 1000);

/** How far beside its place a time stands, clear of the playhead's tip, and how wide one is at most. */
const TICK_FROM = 8;
const TICK_W = 34;

/** Clock times for the axis, on steps a gym clock reader counts in; none that would be cut off. */
function ticks(fromMs: number, toMs: number, width: number): number[] {
  const drawn = ((width - TICK_FROM - TICK_W) * (toMs - fromMs)) / width;
  const most = Math.max(2, width / 80);
  const step = STEPS_MS.find((one) => (toMs - fromMs) / one <= most) ?? 1_800_000;
  const first = Math.ceil(fromMs / step);
  const last = Math.floor((fromMs + drawn) / step);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => (first + index) * step);
}
