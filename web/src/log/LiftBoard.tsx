import { useEffect, useRef } from "react";
import styled from "styled-components";
import type { LogView } from "../api/client";
import { Quiet } from "../ui/primitives";
import { wallClock } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { Tally } from "./Tally";

const Sheet = styled.div`
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  font-stretch: 84%;
`;

const Lines = styled.ol`
  list-style: none;
  margin: 0;
  padding: 4px 0;
`;

const Line = styled.li`
  border-left: 3px solid transparent;
  padding: 5px 14px 5px 11px;
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) 70px;
  gap: 4px 8px;
  align-items: baseline;
  font-size: 17px;
  &[aria-current="step"] {
    background: var(--selected);
    border-left-color: var(--ink);
  }
  button {
    all: unset;
    cursor: pointer;
    text-align: right;
    font-weight: 600;
    &:focus-visible {
      outline: 2px solid var(--focus);
    }
  }
  > :nth-child(3) {
    text-align: right;
  }
`;

const Under = styled.div`
  grid-column: 2 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
  font-size: 13.5px;
  color: var(--ink-2);
`;

const ROLE: Record<string, string> = { PREP: "build-up", MUST_HIT: "target", WISH: "reach" };

type Lift = LogView["lifts"][number];
type Planned = LogView["plannedLifts"][number];

interface Props {
  log: LogView;
  onSeek: (clockMs: number) => void;
}

/** The lifts of a lift window on the board: those planned, filled in as they are done. */
export function LiftBoard({ log, onSeek }: Props) {
  const { lifts, plannedLifts } = log;
  const current = useRef<HTMLLIElement>(null);
  const count = Math.max(lifts.length, plannedLifts.length);
  const last = lifts.at(-1);
  const doing = last?.outcome === "UNKNOWN" && log.phase === "WORKING" ? lifts.length - 1 : lifts.length;
  useEffect(() => {
    current.current?.scrollIntoView({ block: "nearest" });
  }, [doing]);
  return (
    <Sheet role="region" aria-label="Whiteboard" tabIndex={0}>
      {count === 0 && (
        <Quiet style={{ padding: "10px 14px" }}>
          No lifts yet. Press A when the bar leaves the floor, or L to enter a lift with its load and result.
        </Quiet>
      )}
      <Lines>
        {Array.from({ length: count }, (_, index) => (
          <Line
            key={index}
            ref={index === Math.min(doing, count - 1) ? current : undefined}
            aria-current={index === doing ? "step" : undefined}
          >
            <span>{index + 1}</span>
            <OneLift
              lift={lifts[index]}
              planned={plannedLifts[index]}
              onSeek={onSeek}
              isUp={index < lifts.length && index === doing}
              log={log}
            />
          </Line>
        ))}
      </Lines>
    </Sheet>
  );
}

interface OneProps {
  lift: Lift | undefined;
  planned: Planned | undefined;
  isUp: boolean;
  log: LogView;
  onSeek: (clockMs: number) => void;
}

function OneLift({ lift, planned, isUp, log, onSeek }: OneProps) {
  const { clock, span } = useTimes();
  if (!lift) {
    return (
      <>
        <span style={{ opacity: 0.62 }}>{planned?.load}</span>
        <span style={{ opacity: 0.62 }}>{planned && wallClock(planned.startMs)}</span>
        <Under>
          <span>{planned && (ROLE[planned.role] ?? "")}</span>
          {planned?.pieces && <span>{planned.pieces}</span>}
          <span>{planned && (planned.side ? `${planned.side} per side` : "bar alone")}</span>
        </Under>
      </>
    );
  }
  const parts = [
    lift.restMs === undefined ? `${span(lift.sinceMs)} since last start` : `rest ${span(lift.restMs)}`,
    ...(lift.lengthMs === undefined ? [] : [`took ${span(lift.lengthMs)}`]),
    ...(planned ? [`planned ${planned.load} at ${wallClock(planned.startMs)}`] : []),
  ];
  return (
    <>
      <span>
        <strong>{lift.load ?? "no load logged"}</strong> {outcome(lift, isUp)}
      </span>
      <button
        type="button"
        tabIndex={-1}
        aria-label={`To the lift at ${clock(lift.atMs)}`}
        onClick={() => onSeek(lift.atMs)}
      >
        {clock(lift.atMs)}
      </button>
      <Under>
        {lift.pieces && <span>{lift.pieces}</span>}
        {isUp && lift.reps > 1 && <Tally count={log.counted} of={lift.reps} />}
        <span>{parts.join(" · ")}</span>
      </Under>
    </>
  );
}

function outcome(lift: Lift, isUp: boolean): string {
  if (lift.outcome === "UNKNOWN") return isUp ? "off the floor" : "not logged";
  if (lift.outcome === "MADE") return "made";
  const on = lift.reps > 1 && lift.missedOn !== undefined ? ` on rep ${lift.missedOn}` : "";
  return `missed${on}${lift.reps > 1 && lift.missedPiece ? `, the ${lift.missedPiece}` : ""}`;
}
