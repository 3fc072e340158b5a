import { useContext } from "react";
import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import styled from "styled-components";
import type { ReadingView } from "../api/client";
import { wallClock } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { OnVideo } from "./onVideo";
import { useWidth } from "../ui/useWidth";
import { fadeWords } from "./Sets";

const WIDE = 700;
const LANE = 46;
const AXIS = 22;

const Frame = styled.div`
  svg {
    display: block;
  }
  text {
    fill: var(--ink-2);
    font-size: 12px;
    font-stretch: 84%;
  }
`;

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Rep rates of each movement over the clock, with effort, notes and faults on the same axis. */
export function OverTheClock({ reading, onPlay }: Props) {
  const { clock } = useTimes();
  const cursor = useContext(OnVideo) ? "pointer" : "default";
  const [frame, width] = useWidth(1130);
  const [left, right] = width < WIDE ? [112, 78] : [150, 96];
  const x = scaleLinear([0, Math.max(1, reading.clockMs)], [left, width - right]);
  const every = step(reading.clockMs, (width - left - right) / 60);
  const rated = reading.movements.filter((one) => one.rows.some((row) => row.perMinute !== undefined));
  const lanes: "effort"[] = reading.efforts.length > 0 ? ["effort"] : [];
  const notesY = AXIS;
  const notesH = reading.notes.length > 0 ? 26 : 0;
  const effortY = notesY + notesH;
  const ratesY = effortY + lanes.length * LANE;
  const height = ratesY + rated.length * LANE + 6;
  const minutes = Array.from({ length: Math.floor(reading.clockMs / every) + 1 }, (_, i) => i);
  if (rated.length === 0 && reading.notes.length === 0 && reading.efforts.length === 0) return null;
  return (
    <Frame ref={frame}>
      <svg width={width} height={height} role="group" aria-label="Rep rate, effort, notes and faults over time">
        {minutes.map((index) => {
          const at = index * every;
          return (
            <g key={at}>
              <line x1={x(at)} x2={x(at)} y1={16} y2={height} stroke="var(--line)" />
              <text x={x(at)} y={11} textAnchor="middle">
                {wallClock(at)}
              </text>
            </g>
          );
        })}
        {notesH > 0 && (
          <text x={0} y={notesY + 17}>
            cues ○ and faults ▾
          </text>
        )}
        {reading.notes.map((note) => (
          <g
            key={`${note.atMs} ${note.words}`}
            style={{ cursor }}
            onClick={() => onPlay(Math.max(0, note.atMs - 1500), note.atMs + 1500, note.words)}
          >
            <title>{`${note.words} at ${clock(note.atMs)}`}</title>
            {note.fault ? (
              <path d={`M${x(note.atMs) - 5} ${notesY + 6} h10 l-5 10 z`} fill="var(--ink)" />
            ) : (
              <circle
                cx={x(note.atMs)}
                cy={notesY + 12}
                r={5}
                fill="var(--ground)"
                stroke="var(--ink)"
                strokeWidth={1.5}
              />
            )}
          </g>
        ))}
        {reading.efforts.length > 0 && <Effort reading={reading} x={x} top={effortY} />}
        {rated.map((movement, index) => (
          <Rate
            key={movement.movement}
            movement={movement}
            x={x}
            top={ratesY + index * LANE}
            right={width - right}
            onPlay={onPlay}
          />
        ))}
      </svg>
    </Frame>
  );
}

function Effort({ reading, x, top }: { reading: ReadingView; x: (ms: number) => number; top: number }) {
  const least = Math.min(...reading.efforts.map((one) => one.level));
  const y = scaleLinear([Math.max(0, least - 1), 10], [top + LANE - 4, top + 12]);
  const path = line<ReadingView["efforts"][number]>()
    .x((one) => x(one.atMs))
    .y((one) => y(one.level));
  return (
    <g>
      <text x={0} y={top + LANE / 2 + 4}>
        effort, 0–10
      </text>
      <path d={path(reading.efforts) ?? ""} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      {reading.efforts.map((one) => (
        <g key={one.atMs}>
          <circle cx={x(one.atMs)} cy={y(one.level)} r={3} fill="var(--ink)" />
          <text x={x(one.atMs)} y={y(one.level) - 6} textAnchor="middle">
            {one.level}
          </text>
        </g>
      ))}
    </g>
  );
}

type Movement = ReadingView["movements"][number];

interface RateProps {
  movement: Movement;
  x: (ms: number) => number;
  top: number;
  right: number;
  onPlay: Props["onPlay"];
}

function Rate({ movement, x, top, right, onPlay }: RateProps) {
  const cursor = useContext(OnVideo) ? "pointer" : "default";
  const points = movement.rows.flatMap((row) =>
    row.perMinute === undefined ? [] : [{ ...row, perMinute: row.perMinute }],
  );
  const rates = points.map((row) => row.perMinute);
  const most = Math.max(...rates);
  const least = Math.min(...rates);
  const pad = Math.max(most * 0.06, (most - least) * 0.2);
  const y = scaleLinear([least - pad, most + pad], [top + LANE - 8, top + 8]);
  const middle = (row: (typeof points)[number]) => x((row.fromMs + row.toMs) / 2);
  const path = line<(typeof points)[number]>()
    .x(middle)
    .y((row) => y(row.perMinute));
  return (
    <g>
      <text x={0} y={top + LANE / 2} style={{ fill: "var(--ink)" }}>
        {movement.movement}
      </text>
      <text x={0} y={top + LANE / 2 + 14}>
        {movement.rates}
      </text>
      <path d={path(points) ?? ""} fill="none" stroke="var(--ink)" strokeWidth={1.25} />
      {points.map((row) => (
        <circle
          key={row.fromMs}
          cx={middle(row)}
          cy={y(row.perMinute)}
          r={4}
          fill="var(--ink)"
          style={{ cursor }}
          onClick={() => onPlay(row.fromMs, row.toMs, row.place)}
        >
          <title>{`${row.place}: ${row.pace ?? ""}${movement.withRests ? ", rests included" : ""}`}</title>
        </circle>
      ))}
      {movement.fadePercent !== undefined && (
        <text x={right + 10} y={top + LANE / 2 + 4}>
          {fadeWords(movement.fadePercent)}
        </text>
      )}
      {movement.withRests && (
        <text x={right + 10} y={top + LANE / 2 + 18}>
          with rests
        </text>
      )}
    </g>
  );
}

/** A step of the axis that gives at most so many ticks. */
function step(clockMs: number, most: number): number {
  return [30_000, 60_000, 120_000, 300_000, 600_000].find((one) => clockMs / one <= most) ?? 1_200_000;
}
