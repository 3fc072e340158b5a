import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { Link } from "react-router";
import styled from "styled-components";
import type { HistoryLineView } from "../api/client";
import { Small } from "../ui/primitives";
import { day } from "../ui/time";

const Card = styled.article`
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--panel);
  padding: 10px 14px 12px;
  min-width: 0;
  h3 {
    font-size: 14px;
    font-weight: 600;
    font-stretch: 90%;
  }
  svg {
    display: block;
    width: 100%;
    margin: 4px 0;
  }
  svg a:focus-visible circle {
    stroke: var(--focus);
    stroke-width: 3;
  }
  p {
    font-size: 13px;
    color: var(--ink-2);
  }
`;

const Now = styled.strong`
  font-size: 17px;
  font-stretch: 84%;
`;

/** What is to be thought of a change, in a word and a colour. */
const VERDICTS: Record<HistoryLineView["verdict"], [string, string]> = {
  BETTER: ["improved", "var(--ahead)"],
  WORSE: ["worse", "var(--behind)"],
  NOISE: ["no clear change", "var(--ink-2)"],
  UNKNOWN: ["", "var(--ink-2)"],
};

const WIDTH = 260;
const HEIGHT = 66;
const EDGE = 8;

/** One figure over the days: the middle of each attempt, and the span of its figures behind it. Faster, shorter and less lie higher. */
export function HistoryChart({ of }: { of: HistoryLineView }) {
  const [word, colour] = VERDICTS[of.verdict];
  const days = of.points.map((point) => Date.parse(point.on));
  const low = Math.min(...of.points.map((point) => point.low));
  const high = Math.max(...of.points.map((point) => point.high));
  const first = Math.min(...days);
  const x = scaleLinear([first, Math.max(...days, first + 1)], [EDGE, WIDTH - EDGE]);
  const y = scaleLinear([low, high === low ? low + 1 : high], [EDGE, HEIGHT - EDGE]);
  const points = of.points.map((point, index) => ({ ...point, x: x(days[index] ?? first) }));
  const band = area<(typeof points)[number]>()
    .x((point) => point.x)
    .y0((point) => y(point.low))
    .y1((point) => y(point.high));
  const middle = line<(typeof points)[number]>()
    .x((point) => point.x)
    .y((point) => y(point.value));
  return (
    <Card>
      <h3>{of.title}</h3>
      <Now>{of.now}</Now> {word && <Small style={{ color: colour }}>{word}</Small>}
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="group" aria-label={`${of.title} over the days`}>
        <path d={band(points) ?? ""} fill="var(--ink)" opacity={0.1} />
        <path d={middle(points) ?? ""} fill="none" stroke={colour} strokeWidth={1.8} />
        {points.map((point) => (
          <Link
            key={point.attemptId}
            to={`/attempts/${point.attemptId}/reading`}
            aria-label={`${point.words} on ${day(point.on)}`}
          >
            <title>{`${point.words} on ${day(point.on)}`}</title>
            <circle cx={point.x} cy={y(point.value)} r={9} fill="transparent" />
            <circle cx={point.x} cy={y(point.value)} r={3.2} fill="var(--ink)" />
          </Link>
        ))}
      </svg>
      <p>{of.says}</p>
    </Card>
  );
}
