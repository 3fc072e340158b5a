import { scaleLinear } from "d3-scale";
import { area } from "d3-shape";
import { useId } from "react";
import type { ReadingView } from "../api/client";

const WIDTH = 480;
const HEIGHT = 34;

type Point = ReadingView["wake"][number];

/** The wake in one line: above the straight line ahead, below it behind. */
export function WakeLine({ points }: { points: Point[] }) {
  const id = useId();
  const most = Math.max(1000, ...points.map((point) => point.aheadMs));
  const least = Math.min(-1000, ...points.map((point) => point.aheadMs));
  const x = scaleLinear([0, points.at(-1)?.workMs ?? 1], [0, WIDTH]);
  const y = scaleLinear([most, least], [1, HEIGHT]);
  const shape = area<Point>()
    .x((point) => x(point.workMs))
    .y0(y(0))
    .y1((point) => y(point.aheadMs))(points);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      style={{ display: "block", width: "100%", height: HEIGHT, margin: "4px 0" }}
      aria-hidden
    >
      <clipPath id={`${id} ahead`}>
        <rect width={WIDTH} height={y(0)} />
      </clipPath>
      <clipPath id={`${id} behind`}>
        <rect y={y(0)} width={WIDTH} height={HEIGHT} />
      </clipPath>
      <path d={shape ?? ""} fill="var(--ahead)" opacity={0.85} clipPath={`url("#${id} ahead")`} />
      <path d={shape ?? ""} fill="var(--behind)" opacity={0.85} clipPath={`url("#${id} behind")`} />
      <path d={`M0 ${y(0)} H${WIDTH}`} stroke="var(--ink)" vectorEffect="non-scaling-stroke" />
    </svg>
  );
}
