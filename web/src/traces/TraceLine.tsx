import { line } from "d3-shape";
import type { SeriesView } from "./useTraces";

type Point = SeriesView["points"][number];

interface Props {
  of: SeriesView;
  /** Where a point lies; outside the picture it is left out. */
  x: (point: Point) => number | undefined;
  top: number;
  bottom: number;
  dashed?: boolean;
}

/** A series as one thin line of its own scale: what is faster, or beats faster, lies higher. */
export function TraceLine({ of, x, top, bottom, dashed = false }: Props) {
  const span = of.high - of.low || 1;
  const share = (value: number) => (value - of.low) / span;
  const y = (value: number) => bottom - (of.kind === "PACE" ? 1 - share(value) : share(value)) * (bottom - top);
  const pieces: Point[][] = [];
  for (const point of of.points) {
    if (point.starts || pieces.length === 0) pieces.push([]);
    pieces.at(-1)?.push(point);
  }
  const drawn = line<Point>()
    .defined((point) => x(point) !== undefined)
    .x((point) => x(point) ?? 0)
    .y((point) => y(point.value));
  const path = pieces.map((piece) => drawn(piece) ?? "").join("");
  return (
    <path
      d={path}
      fill="none"
      stroke="var(--ink-2)"
      strokeWidth={1.3}
      strokeDasharray={dashed ? "3 3" : undefined}
      pointerEvents="none"
    />
  );
}
