import { memo, useEffect, useRef } from "react";
import styled from "styled-components";
import type { AttemptView, SegmentView } from "../api/client";
import { capital, type Times } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { useTurned } from "../ui/useTurned";
import { LiftBoard } from "./LiftBoard";
import { Tally } from "./Tally";

const Lines = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  contain: layout paint;
  will-change: transform;
  flex: 1;
  min-height: 0;
  font-stretch: 80%;
`;

const Round = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 64px 52px;
  gap: 8px;
  align-items: baseline;
  font-size: 12.5px;
  color: var(--ink-3);
  padding: 10px 14px 3px;
  &[data-folded] {
    padding: 3px 14px;
  }
  button {
    all: unset;
    cursor: pointer;
    &::before {
      content: "▾ ";
    }
    &[aria-expanded="false"]::before {
      content: "▸ ";
    }
  }
  strong {
    font-size: 15px;
    text-align: right;
    color: var(--ink);
  }
`;

const Line = styled.li`
  /* A long attempt has hundreds of lines: those out of sight are neither laid out nor painted. */
  content-visibility: auto;
  contain-intrinsic-size: auto 30px;
  border-left: 3px solid transparent;
  &[aria-current="step"] {
    background: var(--selected);
    border-left-color: var(--ink);
  }
`;

const Row = styled.button`
  all: unset;
  box-sizing: border-box;
  width: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 64px 52px;
  align-items: baseline;
  gap: 8px;
  padding: 3px 14px 3px 11px;
  font-size: 17px;
  cursor: pointer;
  &:focus-visible {
    outline: 2px solid var(--focus);
    outline-offset: -2px;
  }
  span:nth-child(2) {
    text-align: right;
    font-weight: 600;
  }
  span:nth-child(3) {
    text-align: right;
    font-size: 13px;
    color: var(--ink-3);
  }
`;

const Head = styled.li`
  position: sticky;
  top: 0;
  z-index: 1;
  @media (max-width: 800px) {
    display: none !important;
  }
  background: var(--ground);
  display: grid;
  grid-template-columns: minmax(0, 1fr) 64px 52px;
  gap: 8px;
  padding: 8px 14px 2px 14px;
  font-size: 12.5px;
  color: var(--ink-3);
  text-align: right;
`;

const Under = styled.div`
  display: flex;
  align-items: center;
  gap: 12px;
  flex-wrap: wrap;
  padding: 0 14px 4px 11px;
  min-height: 18px;
  font-size: 13.5px;
  color: var(--ink-2);
`;

interface Props {
  attempt: AttemptView;
  onSeek: (clockMs: number) => void;
}

/** Rounds before the one being done and the one before it are folded to a line, until they are asked for. */
const OPEN = 2;

/** The whiteboard that fills itself: splits pencilled at the line's end, the plan's small beside them. */
export const Board = memo(function Board({ attempt, onSeek }: Props) {
  const { log } = attempt;
  const { clock } = useTimes();
  const { isTurned, turn } = useTurned<number>();
  const current = useRef<HTMLLIElement>(null);
  useEffect(() => {
    const line = current.current;
    const board = line?.parentElement;
    if (!line || !board) return undefined;
    // In the middle: what was done stands above it, what comes below; also when the board gets another size.
    const show = () => {
      if (board.scrollHeight > board.clientHeight) line.scrollIntoView({ block: "center" });
    };
    show();
    const observer = new ResizeObserver(show);
    observer.observe(board);
    return () => observer.disconnect();
  }, [log.currentIndex]);
  if (log.liftWindow) return <LiftBoard log={log} onSeek={onSeek} />;
  const rounds = inRounds(log.segments);
  const doing = rounds.findLastIndex(({ segments }) =>
    segments.some(({ index, split }) => split !== undefined || index === log.currentIndex),
  );
  return (
    <Lines aria-label="Whiteboard" tabIndex={0}>
      <Head aria-hidden>
        <span />
        <span>split</span>
        <span>plan</span>
      </Head>
      {rounds.map(({ opens, segments }, place) => {
        const whole = opens?.elapsedMs !== undefined;
        const open = !whole || place > doing - OPEN !== isTurned(place);
        return [
          opens && (
            <Round key={opens.words} data-folded={open ? undefined : true}>
              {whole ? (
                <button type="button" tabIndex={-1} aria-expanded={open} onClick={() => turn(place)}>
                  {capital(opens.words)}
                </button>
              ) : (
                <span>{capital(opens.words)}</span>
              )}
              {whole && (opens.onlyEnd || !open) && <strong>{clock(opens.elapsedMs ?? 0)}</strong>}
            </Round>
          ),
          open &&
            segments.map((segment) => {
              const isCurrent = segment.index === log.currentIndex;
              return (
                <Line
                  key={segment.index}
                  ref={isCurrent ? current : null}
                  aria-current={isCurrent ? "step" : undefined}
                >
                  <Segment
                    segment={segment}
                    isCurrent={isCurrent}
                    counted={isCurrent ? log.counted : 0}
                    onSeek={onSeek}
                  />
                </Line>
              );
            }),
        ];
      })}
    </Lines>
  );
});

/** Segments by the round they stand in; those outside any on their own. */
function inRounds(segments: SegmentView[]): { opens?: SegmentView["opens"]; segments: SegmentView[] }[] {
  const rounds: { opens?: SegmentView["opens"]; segments: SegmentView[] }[] = [];
  for (const segment of segments) {
    if (segment.inRound && !segment.opens) rounds.at(-1)?.segments.push(segment);
    else rounds.push({ opens: segment.opens, segments: [segment] });
  }
  return rounds;
}

interface SegmentProps {
  segment: SegmentView;
  isCurrent: boolean;
  counted: number;
  onSeek: (clockMs: number) => void;
}

const Segment = memo(function Segment({ segment, isCurrent, counted, onSeek }: SegmentProps) {
  const { split } = segment;
  const times = useTimes();
  const { clock } = times;
  const done = split?.complete ?? false;
  return (
    <>
      <Row type="button" tabIndex={-1} onClick={() => split && onSeek(split.arrivalMs)} disabled={!split}>
        <span style={{ opacity: (split ?? isCurrent) ? 1 : 0.62 }}>{segment.label}</span>
        <span title={split?.known === false ? "estimated: only the round split was logged" : undefined}>
          {done && split ? (split.known ? clock(split.elapsedMs) : "–") : ""}
        </span>
        <span title="planned">{segment.plannedMs > 0 ? clock(segment.plannedMs) : ""}</span>
      </Row>
      {isCurrent && (
        <Under>
          {segment.tappable && <Tally count={counted} of={segment.countable ?? 0} />}
          {split?.sets.includes("-") && <span>{split.sets}</span>}
        </Under>
      )}
      {done && split && (
        <Under>
          <span>{details(segment, times)}</span>
        </Under>
      )}
    </>
  );
});

function details({ split }: SegmentView, { span }: Times): string {
  if (!split?.known) return "";
  const parts: string[] = [];
  if (split.sets.includes("-")) parts.push(split.sets);
  if (split.waitMs > 0) parts.push(`interval rest ${span(split.waitMs)}`);
  if (split.beginMs !== undefined && split.arrivalMs > 0) {
    parts.push(`transition ${span(split.transitionMs)}${split.beginInferred ? " (estimated)" : ""}`);
  }
  if (split.restMs > 0) parts.push(`rest ${span(split.restMs)}`);
  if (split.pace !== undefined) parts.push(split.pace);
  const faults = split.faults.length;
  if (faults > 0) parts.push(`${faults} fault${faults > 1 ? "s" : ""} ${span(split.faultMs)}`);
  if (split.unseparatedMs > 0) parts.push(`${span(split.unseparatedMs)} unassigned`);
  return parts.join(" · ");
}
