import { useId } from "react";
import type { ReadingView } from "../api/client";

const WIDTH = 480;
const HEIGHT = 34;
const EDGE = 1;

type Point = ReadingView["wake"][number];

/** The wake in one line: above the straight line ahead, below it behind. */
export function WakeLine({ points }: { points: Point[] }) {
  const id = useId();
  const most = Math.max(1000, ...points.map((point) => point.aheadMs));
  const least = Math.min(-1000, ...points.map((point) => point.aheadMs));
  const work = Math.max(1, points.at(-1)?.workMs ?? 1);
  const x = (point: Point) => ((point.workMs / work) * WIDTH).toFixed(1);
  const y = (ms: number) => (EDGE + ((most - ms) / (most - least)) * (HEIGHT - EDGE)).toFixed(1);
  const zero = y(0);
  const edge = points.map((point) => `L${x(point)} ${y(point.aheadMs)}`).join("");
  const shape = `M0 ${zero}${edge}V${zero}Z`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      style={{ display: "block", width: "100%", height: HEIGHT, margin: "4px 0" }}
      aria-hidden
    >
      <clipPath id={`${id} ahead`}>
        <rect width={WIDTH} height={zero} />
      </clipPath>
      <clipPath id={`${id} behind`}>
        <rect y={zero} width={WIDTH} height={HEIGHT} />
      </clipPath>
      <path d={shape} fill="var(--ahead)" opacity={0.85} clipPath={`url("#${id} ahead")`} />
      <path d={shape} fill="var(--behind)" opacity={0.85} clipPath={`url("#${id} behind")`} />
      <path d={`M0 ${zero} H${WIDTH}`} stroke="var(--ink)" vectorEffect="non-scaling-stroke" />
    </svg>
  );
}
