import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { type KeyboardEvent, useId, useState } from "react";
import type { BorderView, PairView } from "../api/client";
import { lines, lineWords } from "../reading/wakeScale";
import { wallClock } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { ChartFrame, Readout } from "../ui/chart";
import { useWidth } from "../ui/useWidth";

const HEIGHT = 316;
const TOP = 22;
const BOTTOM = 82;
const LEFT = 62;
const RIGHT = 70;
/** Figures of the lead in reps need so much room each. */
const ROOM = 34;

interface Props {
  pair: PairView;
  names: [string, string];
  clockMs: number;
  onStart: ((clocks: number[], label: string) => void) | undefined;
}

/** The lead over the raw clock: above the line the first is ahead, below it the other; reps by minute under it. */
export function LeadChart({ pair, names, clockMs, onStart }: Props) {
  const [frame, width] = useWidth(1130);
  const [at, setAt] = useState<number>();
  const clip = useId();
  const times = useTimes();
  const { curve, borders, overtakes, minutes } = pair;
  const leads = curve.map((point) => point.leadMs);
  const most = Math.max(2000, ...leads);
  const least = Math.min(-2000, ...leads);
  const x = scaleLinear([0, Math.max(1, clockMs)], [LEFT, width - RIGHT]);
  const y = scaleLinear([most * 1.12, least * 1.12], [TOP, HEIGHT - BOTTOM]);
  const zero = y(0);
  const shape = area<(typeof curve)[number]>()
    .x((point) => x(point.clockMs))
    .y0(zero)
    .y1((point) => y(point.leadMs))(curve);
  const edge = line<(typeof curve)[number]>()
    .x((point) => x(point.clockMs))
    .y((point) => y(point.leadMs))(curve);
  const chosen = at === undefined ? undefined : borders[at];
  const last = borders.at(-1);
  const place = (border: BorderView) => Math.max(border.oneClockMs, border.otherClockMs);
  const play = (border: BorderView) =>
    onStart?.([border.oneClockMs, border.otherClockMs], `the end of ${border.place}`);
  const walk = (event: KeyboardEvent) => {
    const step = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (step !== 0) {
      event.preventDefault();
      event.stopPropagation();
      setAt((old) => Math.min(borders.length - 1, Math.max(0, (old ?? (step > 0 ? -1 : borders.length)) + step)));
    }
    if (event.key === "Enter" && chosen) play(chosen);
  };
  const shown = sparse(minutes, x);
  return (
    <ChartFrame ref={frame}>
      <svg
        width={width}
        height={HEIGHT}
        tabIndex={0}
        role="application"
        aria-label={`The lead of ${names[0]} over ${names[1]}: arrow keys walk the shared splits${onStart ? ", Enter plays one" : ""}`}
        onKeyDown={walk}
        onMouseLeave={() => setAt(undefined)}
      >
        <clipPath id={`${clip}-above`}>
          <rect x={0} y={0} width={width} height={Math.max(0, zero)} />
        </clipPath>
        <clipPath id={`${clip}-below`}>
          <rect x={0} y={zero} width={width} height={Math.max(0, HEIGHT - zero)} />
        </clipPath>
        {lines(most, least).map((ms) => (
          <g key={ms}>
            <path d={`M${LEFT} ${y(ms)} H${width - RIGHT}`} stroke="var(--line)" />
            <text x={LEFT - 8} y={y(ms) + 4} textAnchor="end">
              {lineWords(ms)}
            </text>
          </g>
        ))}
        {minutes.map((minute) => (
          <path
            key={minute.clockMs}
            d={`M${x(minute.clockMs)} ${TOP} V${HEIGHT - BOTTOM}`}
            stroke="var(--line)"
            opacity={0.7}
          />
        ))}
        <path d={shape ?? ""} fill="var(--ink)" opacity={0.3} clipPath={`url(#${clip}-above)`} />
        <path d={shape ?? ""} fill="var(--ink)" opacity={0.12} clipPath={`url(#${clip}-below)`} />
        {chosen && (
          <path d={`M${x(place(chosen))} ${TOP} V${HEIGHT - BOTTOM}`} stroke="var(--ink)" strokeDasharray="3 3" />
        )}
        <path d={edge ?? ""} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
        <path d={`M${LEFT} ${zero} H${width - RIGHT}`} stroke="var(--ink)" strokeWidth={1.2} />
        {borders.map((border, index) => (
          <circle
            key={`${border.oneClockMs} ${border.otherClockMs}`}
            cx={x(place(border))}
            cy={y(border.leadMs)}
            r={index === at ? 5 : 3}
            fill={border.clear ? "var(--ink)" : "var(--panel)"}
            stroke="var(--ink)"
          />
        ))}
        {overtakes.map((overtake) => (
          <g key={overtake.atMs} opacity={overtake.clear ? 1 : 0.45}>
            <path
              d={`M${x(overtake.atMs)} ${zero - 7} l7 7 l-7 7 l-7 -7 z`}
              fill="var(--panel)"
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
          </g>
        ))}
        <text x={LEFT + 6} y={TOP - 6} style={{ fill: "var(--ink)" }}>
          {names[0]} ahead
        </text>
        <text x={LEFT + 6} y={HEIGHT - BOTTOM + 14} style={{ fill: "var(--ink)" }}>
          {names[1]} ahead
        </text>
        {last && (
          <text
            x={width - RIGHT + 8}
            y={y(last.leadMs) + 4}
            style={{ fill: "var(--ink)", fontWeight: 650, fontSize: 15 }}
          >
            {times.span(Math.abs(last.leadMs))}
          </text>
        )}
        <text x={LEFT - 8} y={HEIGHT - BOTTOM + 34} textAnchor="end">
          clock
        </text>
        <text x={LEFT - 8} y={HEIGHT - BOTTOM + 56} textAnchor="end">
          reps
        </text>
        {shown.map((minute) => (
          <g key={minute.clockMs}>
            <text x={x(minute.clockMs)} y={HEIGHT - BOTTOM + 34} textAnchor="middle">
              {wallClock(minute.clockMs)}
            </text>
            <text
              x={x(minute.clockMs)}
              y={HEIGHT - BOTTOM + 56}
              textAnchor="middle"
              style={{ fill: "var(--ink)", fontWeight: 600 }}
            >
              {repsAhead(minute.reps)}
            </text>
          </g>
        ))}
        {borders.map((border, index) => {
          const from = index === 0 ? LEFT : x(place(borders[index - 1] ?? border));
          return (
            <rect
              key={`${border.oneClockMs} ${border.otherClockMs}`}
              x={from}
              y={0}
              width={Math.max(2, x(place(border)) - from)}
              height={HEIGHT}
              fill="transparent"
              style={{ cursor: onStart ? "pointer" : "default" }}
              onMouseEnter={() => setAt(index)}
              onClick={() => play(border)}
            />
          );
        })}
      </svg>
      <Readout role="status" className="not-on-paper">
        {chosen
          ? `${chosen.place === chosen.otherPlace ? chosen.place : `${chosen.place} against ${chosen.otherPlace}`}: ${names[0]} at ${times.clock(chosen.oneClockMs)}, ${names[1]} at ${times.clock(chosen.otherClockMs)}; ${ahead(names, chosen.leadMs, times.span)}.`
          : `Hover or use ← → to see a split${onStart ? "; click or Enter to play its end" : ""}. ● shared split, ○ too close to call, ◇ lead change. Reps: ${names[0]} ahead (+) or behind (−).`}
      </Readout>
    </ChartFrame>
  );
}

/** "Ida by 4.2 s". */
export function ahead(names: [string, string], leadMs: number, span: (ms: number) => string): string {
  if (leadMs === 0) return "level";
  return `${leadMs > 0 ? names[0] : names[1]} ahead by ${span(Math.abs(leadMs))}`;
}

/** "+4", "−2", "0"; a dash where nobody told. */
export function repsAhead(reps: number | undefined): string {
  if (reps === undefined) return "–";
  return reps > 0 ? `+${reps}` : reps < 0 ? `−${-reps}` : "0";
}

/** As many as have room beside each other, the last always among them. */
function sparse<M extends { clockMs: number }>(minutes: M[], x: (ms: number) => number): M[] {
  const shown: M[] = [];
  const last = minutes.at(-1);
  for (const minute of minutes) {
    const before = shown.at(-1);
    const room = !before || x(minute.clockMs) - x(before.clockMs) >= ROOM;
    const toLast = !last || minute === last || x(last.clockMs) - x(minute.clockMs) >= ROOM;
    if ((room && toLast) || minute === last) shown.push(minute);
  }
  return shown;
}
