import styled from "styled-components";
import type { ReadingView } from "../api/client";
import { Heading } from "../ui/primitives";
import { capital, wallClock } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    padding: 5px 0;
  }
`;

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Shape, finish, limiter, what stood out, and what caps and intervals left: a sentence each. */
export function Standing({ reading, onPlay }: Props) {
  const { clock, seconds, span } = useTimes();
  const { pace, limiter, outliers, cutOffs, outOfReach, intervals, tieBreaks } = reading;
  const shortest = intervals.reduce<(typeof intervals)[number] | undefined>(
    (least, one) => (least && least.restMs <= one.restMs ? least : one),
    undefined,
  );
  const nothing =
    !pace &&
    !limiter &&
    outliers.length === 0 &&
    outOfReach.length === 0 &&
    cutOffs.length === 0 &&
    tieBreaks.length === 0 &&
    !shortest;
  if (nothing) return null;
  return (
    <section aria-label="How it went" style={{ marginTop: 24 }}>
      <Heading>How it went</Heading>
      <List>
        {pace && (
          <li>
            Pacing: <strong>{pace.words}</strong>
            {pace.apart && `, except ${pace.apart}`}
            {pace.by.length > 0 && ` (${pace.by.join(" and ")} only; nothing else repeats three times at one load)`}.
            Speed by thirds: {pace.thirds.map(percent).join(", ")}.
            {pace.finishPercent !== undefined && ` Finish ${finish(pace.finishPercent)}.`}
          </li>
        )}
        {limiter && (
          <li>
            Limiter: <strong>{limiter.movement}</strong>, {span(limiter.lostMs)} lost.
            {limiter.signs.length > 0 && ` ${capital(limiter.signs.join("; "))}.`}
          </li>
        )}
        {outliers.map((one) => (
          <li key={`${one.what} ${one.fromMs}`}>
            Long {one.what}: {span(one.overMs)} over usual
            {one.reason ? `: ${one.reason}` : ". No note explains it"}.{" "}
            <Play what={one.what} fromMs={one.fromMs} toMs={one.toMs} onPlay={onPlay} />
          </li>
        ))}
        {cutOffs.map((stage) => (
          <li key={stage.after}>
            Cut-off {stage.after} ({wallClock(stage.byMs)}):{" "}
            {stage.clockMs === undefined || stage.marginMs === undefined
              ? "missed, attempt ended"
              : `made at ${clock(stage.clockMs)}, ${span(stage.marginMs)} to spare`}
            .
          </li>
        ))}
        {outOfReach.map((one) => (
          <li key={one.sentence}>
            {one.sentence} <Play what={one.place} fromMs={one.fromMs} toMs={one.toMs} onPlay={onPlay} />
          </li>
        ))}
        {tieBreaks.map((one) => (
          <li key={one.after}>
            Tie-break: {clock(one.clockMs)} after {one.after}.
          </li>
        ))}
        {shortest && (
          <li>
            Interval rests {intervals.map((one) => seconds(one.restMs)).join(", ")} s, shortest in interval{" "}
            {shortest.number}.
          </li>
        )}
      </List>
    </section>
  );
}

function percent(speed: number): string {
  const off = Math.round(100 * (speed - 1));
  return off === 0 ? "0%" : `${off > 0 ? "+" : "−"}${Math.abs(off)}%`;
}

function finish(off: number): string {
  if (Math.abs(off) < 1) return "as fast as the middle";
  return off > 0 ? `${Math.round(off)}% faster than the middle` : `${Math.round(-off)}% slower than the middle`;
}
