import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { type KeyboardEvent, useState } from "react";
import type { FieldView } from "../api/client";
import { lines, lineWords } from "../reading/wakeScale";
import { ChartFrame, Readout } from "../ui/chart";
import { capital, lostSpan } from "../ui/time";
import { useWidth } from "../ui/useWidth";

const HEIGHT = 268;
const TOP = 18;
const BOTTOM = 26;
const LEFT = 84;
const RIGHT = 20;

interface Point {
  place: string;
  p10: number;
  p25: number;
  p75: number;
  p90: number;
  own: number | undefined;
  percentile: number | undefined;
}

/** The clocks at each place about their median: who is ahead of it above the line, nine tenths of the field light, its middle half darker. */
export function FieldChart({ spans, name }: { spans: FieldView["spans"]; name: string | undefined }) {
  const [frame, width] = useWidth(720);
  const [at, setAt] = useState<number>();
  const points: Point[] = [
    { place: "Start", p10: 0, p25: 0, p75: 0, p90: 0, own: name === undefined ? undefined : 0, percentile: undefined },
    ...spans.flatMap(({ place, gap }) => (gap ? [{ place, ...gap, own: gap.own, percentile: gap.ownPercentile }] : [])),
  ];
  const values = points.flatMap((point) => [point.p10, point.p90, point.own ?? 0]);
  const x = scaleLinear([0, Math.max(1, points.length - 1)], [LEFT, width - RIGHT]);
  const y = scaleLinear([Math.min(-1000, ...values), Math.max(1000, ...values)], [TOP, HEIGHT - BOTTOM]);
  const [top = 0, bottom = 0] = y.domain();
  const ticks = [0, ...lines(bottom, top)];
  const band = (low: "p10" | "p25", high: "p75" | "p90") =>
    area<Point>()
      .x((_, index) => x(index))
      .y0((point) => y(point[low]))
      .y1((point) => y(point[high]))(points) ?? "";
  const own = line<Point>()
    .defined((point) => point.own !== undefined)
    .x((_, index) => x(index))
    .y((point) => y(point.own ?? 0))(points);
  const chosen = at === undefined ? points.at(-1) : points[at];
  const walk = (event: KeyboardEvent) => {
    const step = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    setAt((old) => Math.min(points.length - 1, Math.max(0, (old ?? (step > 0 ? -1 : points.length)) + step)));
  };
  return (
    <ChartFrame ref={frame}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        tabIndex={0}
        aria-label={`Gap to the median after ${points.length - 1} splits. Left and right go from split to split.`}
        onKeyDown={walk}
        onPointerMove={(event) => {
          const place = x.invert(event.clientX - event.currentTarget.getBoundingClientRect().left);
          setAt(Math.min(points.length - 1, Math.max(0, Math.round(place))));
        }}
        onPointerLeave={() => setAt(undefined)}
      >
        {ticks.map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
            <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end">
              {tick === 0 ? "median" : `${lineWords(tick)} ${tick < 0 ? "ahead" : "behind"}`}
            </text>
          </g>
        ))}
        <path d={band("p10", "p90")} fill="var(--ink)" fillOpacity={0.1} />
        <path d={band("p25", "p75")} fill="var(--ink)" fillOpacity={0.16} />
        <line x1={LEFT} x2={width - RIGHT} y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth={1.5} />
        {own && <path d={own} fill="none" stroke="var(--behind)" strokeWidth={2.5} />}
        {points.map((point, index) =>
          point.own === undefined ? null : (
            <circle key={index} cx={x(index)} cy={y(point.own)} r={3.5} fill="var(--behind)" />
          ),
        )}
        {at !== undefined && <line x1={x(at)} x2={x(at)} y1={TOP} y2={HEIGHT - BOTTOM} stroke="var(--ink-3)" />}
        <text x={LEFT} y={HEIGHT - 8}>
          Start
        </text>
        <text x={width - RIGHT} y={HEIGHT - 8} textAnchor="end">
          {points.at(-1)?.place}
        </text>
      </svg>
      {chosen && (
        <Readout aria-live="polite">
          {capital(chosen.place)}: middle half {lostSpan(chosen.p25)} to {lostSpan(chosen.p75)}
          {chosen.own !== undefined && name !== undefined && `; ${name} ${lostSpan(chosen.own)}`}
          {chosen.percentile !== undefined && `, ahead of ${Math.round(chosen.percentile)}%`}.
        </Readout>
      )}
    </ChartFrame>
  );
}
