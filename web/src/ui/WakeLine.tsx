import { scaleLinear } from "d3-scale";
import { area } from "d3-shape";
import type { ReadingView } from "../api/client";

const WIDTH = 480;
const HEIGHT = 34;

type Point = ReadingView["wake"][number];

/** The wake in one line: above the straight line ahead, below it behind. */
export function WakeLine({ points }: { points: Point[] }) {
  const most = Math.max(1000, ...points.map((point) => Math.abs(point.aheadMs)));
  const x = scaleLinear([0, points.at(-1)?.workMs ?? 1], [0, WIDTH]);
  const y = scaleLinear([most, -most], [0, HEIGHT]);
  const shape = area<Point>()
    .x((point) => x(point.workMs))
    .y0(y(0))
    .y1((point) => y(point.aheadMs))(points);
  const behind = (points.at(-1)?.aheadMs ?? 0) < 0;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      style={{ display: "block", width: "100%", height: HEIGHT, margin: "4px 0" }}
      aria-hidden
    >
      <path d={shape ?? ""} fill={behind ? "var(--behind)" : "var(--ahead)"} opacity={0.8} />
      <path d={`M0 ${y(0)} H${WIDTH}`} stroke="var(--ink)" vectorEffect="non-scaling-stroke" />
    </svg>
  );
}
