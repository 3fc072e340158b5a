import { scaleLinear } from "d3-scale";
import { area, curveLinear, line } from "d3-shape";
import { type KeyboardEvent, useContext, useState } from "react";
import type { Cause, FanView, ReadingView, TraceView } from "../api/client";
import { type Times, told } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { ChartFrame, Readout } from "../ui/chart";
import { TraceLine } from "../traces/TraceLine";
import { useWidth } from "../ui/useWidth";
import { OnVideo } from "./onVideo";
import { clocks, lines, lineWords, names, numbered } from "./wakeScale";

const HEIGHT = 310;
const TOP = 24;
const BOTTOM = 54;
const LEFT = 62;
const RIGHT = 74;
/** Room that "ahead" and "behind" need. */
const CAPTION = 26;
const WHOLE = told("WHOLE");

type Border = ReadingView["borders"][number];

interface Props {
  reading: ReadingView;
  /** Where the retest called would run; nothing where there is no call. */
  fan?: FanView[] | undefined;
  /** What machines and straps noted: the heart is drawn over it, or else the pace. */
  traces?: TraceView[] | undefined;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Seconds ahead (above) or behind (below) the straight line of the baseline, over the work done. */
export function WakeChart({ reading, fan = [], traces = [], onPlay }: Props) {
  const [frame, width] = useWidth(1130);
  const [at, setAt] = useState<number>();
  const times = useTimes();
  const filmed = useContext(OnVideo);
  const { wake, borders, bands } = reading;
  const ahead = wake.map((point) => point.aheadMs);
  const most = Math.max(2000, ...ahead, ...fan.map((at) => at.highMs));
  const least = Math.min(-2000, ...ahead, ...fan.map((at) => at.lowMs));
  const x = scaleLinear([0, Math.max(1, reading.expectedMs)], [LEFT, width - RIGHT]);
  const y = scaleLinear([most * 1.08, least * 1.08], [TOP, HEIGHT - BOTTOM]);
  const zero = y(0);
  const shape = area<(typeof wake)[number]>()
    .x((point) => x(point.workMs))
    .y0(zero)
    .y1((point) => y(point.aheadMs))
    .curve(curveLinear)(wake);
  const edge = line<(typeof wake)[number]>()
    .x((point) => x(point.workMs))
    .y((point) => y(point.aheadMs))(wake);
  const spread = area<FanView>()
    .x((at) => x(at.workMs))
    .y0((at) => y(at.lowMs))
    .y1((at) => y(at.highMs))(fan);
  const middle = line<FanView>()
    .x((at) => x(at.workMs))
    .y((at) => y(at.middleMs))(fan);
  const projected = fan.at(-1);
  const last = wake.at(-1);
  const chosen = at === undefined ? undefined : borders[at];
  const play = (border: Border) => {
    if (filmed) onPlay(border.arrivalMs, border.endMs, border.place);
  };

  const walk = (event: KeyboardEvent) => {
    const step = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (step !== 0) {
      event.preventDefault();
      setAt((old) => Math.min(borders.length - 1, Math.max(0, (old ?? (step > 0 ? -1 : borders.length)) + step)));
    }
    if (event.key === "Enter" && chosen) play(chosen);
  };

  return (
    <ChartFrame ref={frame}>
      <svg
        width={width}
        height={HEIGHT}
        tabIndex={0}
        role="application"
        aria-label={`Gap over time: arrow keys walk the splits${filmed ? ", Enter plays one" : ""}`}
        onKeyDown={walk}
        onMouseLeave={() => setAt(undefined)}
      >
        <clipPath id="ahead">
          <rect x={0} y={0} width={width} height={zero} />
        </clipPath>
        <clipPath id="behind">
          <rect x={0} y={zero} width={width} height={HEIGHT - zero} />
        </clipPath>
        {bands.map((band, index) => (
          <rect
            key={band.words}
            x={x(band.workFromMs)}
            y={TOP}
            width={Math.max(0, x(band.workToMs) - x(band.workFromMs))}
            height={HEIGHT - TOP - BOTTOM}
            fill="var(--ink)"
            opacity={index % 2 === 0 ? 0.045 : 0}
          />
        ))}
        {chosen && (
          <rect
            x={x(chosen.workFromMs)}
            y={TOP}
            width={Math.max(2, x(chosen.workToMs) - x(chosen.workFromMs))}
            height={HEIGHT - TOP - BOTTOM}
            fill="var(--selected)"
          />
        )}
        {borders.map((border) => (
          <path
            key={border.segmentIndex}
            d={`M${x(border.workToMs)} ${HEIGHT - BOTTOM - 6} v6`}
            stroke="var(--ink-3)"
          />
        ))}
        {lines(most, least).map((ms) => (
          <g key={ms}>
            <path d={`M${LEFT} ${y(ms)} H${width - RIGHT}`} stroke="var(--line)" />
            <text x={LEFT - 8} y={y(ms) + 4} textAnchor="end">
              {lineWords(ms)}
            </text>
          </g>
        ))}
        <path d={shape ?? ""} fill="var(--ahead)" opacity={0.85} clipPath="url(#ahead)" />
        <path d={shape ?? ""} fill="var(--behind)" opacity={0.85} clipPath="url(#behind)" />
        {projected && (
          <>
            <path d={spread ?? ""} fill="var(--panel)" fillOpacity={0.5} stroke="var(--ahead)" strokeOpacity={0.45} />
            <path d={middle ?? ""} fill="none" stroke="var(--ahead)" strokeWidth={2} strokeDasharray="6 4" />
          </>
        )}
        <path d={edge ?? ""} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
        {traces.map(({ id, series: [noted] }) => (
          <g key={id}>
            {noted && (
              <>
                <TraceLine
                  of={noted}
                  x={(point) => (point.workMs === undefined ? undefined : x(point.workMs))}
                  top={TOP + 4}
                  bottom={HEIGHT - BOTTOM - 4}
                  dashed
                />
              </>
            )}
          </g>
        ))}
        <path d={`M${LEFT} ${zero} H${width - RIGHT}`} stroke="var(--ink)" strokeWidth={1.2} />
        {borders.map((border) => (
          <BorderTick
            key={border.segmentIndex}
            border={border}
            x={x(border.workToMs)}
            room={x(border.workToMs) - x(border.workFromMs)}
          />
        ))}
        {numbered(bands, x).map((band) => (
          <text key={band.words} x={(x(band.workFromMs) + x(band.workToMs)) / 2} y={TOP - 8} textAnchor="middle">
            {band.number}
          </text>
        ))}
        {bands.length > 0 && (
          <text x={LEFT - 8} y={TOP - 8} textAnchor="end">
            round
          </text>
        )}
        {clocks(reading, x).map(({ at: place, endMs }) => (
          <text key={place} x={place} y={HEIGHT - BOTTOM + 26} textAnchor="middle">
            {WHOLE.clock(endMs)}
          </text>
        ))}
        <text x={LEFT - 8} y={HEIGHT - BOTTOM + 26} textAnchor="end">
          clock
        </text>
        {names(reading, x).map(({ at: segment, name, middle }) => (
          <text key={segment} x={middle} y={HEIGHT - 10} textAnchor="middle">
            {name}
          </text>
        ))}
        {zero - TOP > CAPTION && (
          <text x={LEFT + 6} y={TOP + 14} style={{ fill: "var(--ahead)" }}>
            ahead
          </text>
        )}
        {HEIGHT - BOTTOM - zero > CAPTION && (
          <text x={LEFT + 6} y={HEIGHT - BOTTOM - 10} style={{ fill: "var(--behind)" }}>
            behind
          </text>
        )}
        <text x={width - RIGHT + 8} y={zero + 4} style={{ fill: "var(--ink)" }}>
          {BASELINES[reading.baseline]}
        </text>
        {projected && apart(y(projected.middleMs), zero) && last && apart(y(projected.middleMs), y(last.aheadMs)) && (
          <text x={width - RIGHT + 8} y={y(projected.middleMs) + 4} style={{ fill: "var(--ahead)" }}>
            projected
          </text>
        )}
        {last && apart(y(last.aheadMs), zero) && (
          <text
            x={width - RIGHT + 8}
            y={y(last.aheadMs) + 4}
            style={{ fill: last.aheadMs < 0 ? "var(--behind)" : "var(--ahead)", fontWeight: 650, fontSize: 15 }}
          >
            {times.lostSpan(-last.aheadMs)}
          </text>
        )}
        {borders.map((border, index) => (
          <rect
            key={border.segmentIndex}
            x={x(border.workFromMs)}
            y={0}
            width={Math.max(2, x(border.workToMs) - x(border.workFromMs))}
            height={HEIGHT}
            fill="transparent"
            style={{ cursor: filmed ? "pointer" : "default" }}
            onMouseEnter={() => setAt(index)}
            onClick={() => play(border)}
          />
        ))}
      </svg>
      <Readout role="status" className="not-on-paper">
        {chosen
          ? inWords(chosen, times)
          : [
              `Hover or use ← → to see a split${filmed ? "; click or Enter to play it" : ""}.`,
              projected && "Dashed line: projected retest, with its likely range.",
              ...traces.map(({ series: [noted] }) => noted && `Dotted: ${noted.words.toLowerCase()}, ${noted.span}.`),
            ]
              .filter(Boolean)
              .join(" ")}
      </Readout>
    </ChartFrame>
  );
}

/** Whether two captions do not lie on each other. */
function apart(one: number, other: number): boolean {
  return Math.abs(one - other) > 14;
}

const BASELINES = {
  PLAN: "plan",
  EDITED_PLAN: "edited plan",
  FALLBACK: "Plan B",
  BEST_SPLITS: "best splits",
  ATTEMPT: "other attempt",
} as const;

const TEXTURED: Cause[] = ["REST", "TRANSITION", "FAULT", "UNSEPARATED"];

/** At a border, the texture of the cause that took most there; nothing where nothing was lost. */
function BorderTick({ border, x, room }: { border: Border; x: number; room: number }) {
  if (room < 22) return null;
  const y = HEIGHT - BOTTOM + 3;
  const main = TEXTURED.filter((cause) => (border.byCause[cause] ?? 0) > 500).toSorted(
    (a, b) => (border.byCause[b] ?? 0) - (border.byCause[a] ?? 0),
  )[0];
  switch (main) {
    case "REST":
      return <path d={`M${x - 11} ${y + 9} l5 -9 m1 9 l5 -9 m1 9 l5 -9`} stroke="var(--ink)" />;
    case "TRANSITION":
      return (
        <path d={`M${x - 8} ${y} v9 M${x + 2} ${y} v9 M${x - 8} ${y + 4.5} h10`} stroke="var(--ink)" fill="none" />
      );
    case "FAULT":
      return <path d={`M${x - 8} ${y} h10 l-5 9 z`} fill="var(--ink)" />;
    case "UNSEPARATED":
      return <path d={`M${x - 8} ${y + 3} h1 m3 3 h1 m3 -3 h1 m-6 5 h1`} stroke="var(--ink)" strokeWidth={2} />;
    default:
      return null;
  }
}

const CAUSES: [Cause, string][] = [
  ["TRANSITION", "transition"],
  ["PACE", "pace"],
  ["REST", "rest"],
  ["FAULT", "faults"],
  ["INTERVAL_REST", "interval rest"],
  ["UNSEPARATED", "unassigned"],
];

function inWords(border: Border, { clock, lost, lostSpan, span }: Times): string {
  const parts = CAUSES.filter(([cause]) => Math.abs(border.byCause[cause] ?? 0) >= 50).map(
    ([cause, name]) => `${name} ${lost(border.byCause[cause] ?? 0)}`,
  );
  const within = border.withinReadingError ? ", within timing error" : "";
  const took = `${clock(border.arrivalMs)} to ${clock(border.endMs)}, ${span(border.endMs - border.arrivalMs)}`;
  return `${border.place}: ${took}; ${lostSpan(border.lostMs)}${within}${parts.length > 0 ? ` (${parts.join(", ")})` : ""}.`;
}
