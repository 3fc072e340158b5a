import styled from "styled-components";
import type { PlanView } from "../api/client";
import { usePlan } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { Button, ButtonLink } from "../ui/primitives";
import { runningClock, wallClock } from "../ui/time";
import { Waiting } from "../ui/Waiting";

const Wall = styled.main`
  padding: 28px 32px 48px;
  max-width: 1180px;
  margin: 0 auto;
  width: 100%;
  h1 {
    font-size: 44px;
    line-height: 1.1;
    font-stretch: 84%;
  }
  h1 small {
    display: block;
    font-size: 20px;
    font-weight: 400;
    color: var(--ink-2);
  }
`;

const Big = styled.table`
  border-collapse: collapse;
  width: 100%;
  margin-top: 20px;
  font-stretch: 80%;
  td {
    border-top: 2px solid var(--ink);
    padding: 8px 12px 8px 0;
    font-size: 24px;
    vertical-align: baseline;
  }
  td:last-child {
    text-align: right;
    font-size: 46px;
    font-weight: 700;
    line-height: 1;
    padding-right: 0;
  }
  td.latest,
  td.start {
    text-align: right;
    color: var(--ink-2);
    white-space: nowrap;
  }
  td:first-child {
    font-weight: 700;
    white-space: nowrap;
  }
`;

/** Cut to the second, so that nobody is late by it; where it is the planned clock itself it is rounded as that is. */
function latestClock(latestMs: number, endMs: number): string {
  const same = latestMs >= endMs && latestMs - endMs < 1000;
  return same ? wallClock(endMs) : runningClock(latestMs);
}

/** One page for the wall: big clock times by round, sets, start marks, cut-offs and latest times beside. */
export function WallPage() {
  const attempt = useOpenAttempt();
  const plan = usePlan(attempt.id);
  if (!plan.isSuccess) return <Waiting error={plan.error} />;
  const view = plan.data;
  return (
    <Wall>
      <div className="not-on-paper" style={{ display: "flex", gap: 8, marginBottom: 16 }}>
        <Button onPress={() => window.print()}>Print</Button>
        <ButtonLink to={`/attempts/${attempt.id}/plan`}>Back to the plan</ButtonLink>
      </div>
      <h1>
        {attempt.title}
        <small>
          {attempt.athlete} {attempt.division && `· ${attempt.division}`} · {attempt.format} · {view.answer}
        </small>
      </h1>
      <Big>
        <tbody>{view.timetable ? <Lifts view={view} /> : <Rounds view={view} />}</tbody>
      </Big>
      {view.segments.some((segment) => segment.latestMs !== undefined) && (
        <p style={{ marginTop: 20, fontSize: 20 }}>
          Latest: last moment from which the goal and cut-offs can still be made at planned pace.
        </p>
      )}
      {view.pushes.length > 0 && (
        <p style={{ marginTop: 20, fontSize: 20 }}>
          Kick:{" "}
          {view.pushes
            .filter((push) => push.place)
            .map((push) => `${wallClock(push.atMs)} (${wallClock(push.toGoMs)} left)`)
            .join(", ")}
        </p>
      )}
      {view.fallbackOrder && view.plan.fallback && (
        <p style={{ marginTop: 20, fontSize: 20 }}>
          Plan B from round {view.plan.fallback.fromRound}: {view.fallbackOrder}
        </p>
      )}
    </Wall>
  );
}

function Rounds({ view }: { view: PlanView }) {
  const { wall } = view;
  const several = wall.some((row) => row.round !== "");
  const starts = wall.some((row) => row.startMs !== undefined);
  const latest = wall.some((row) => row.latestMs !== undefined);
  return wall.map((row) => (
    <tr key={row.endMs}>
      {several && <td>{row.round}</td>}
      {starts && <td className="start">{row.startMs !== undefined && `start ${wallClock(row.startMs)}`}</td>}
      <td>
        {row.says}
        {row.cutOffs.map((gate) => (
          <strong key={gate}> · {gate}</strong>
        ))}
      </td>
      {latest && (
        <td className="latest">{row.latestMs !== undefined && `latest ${latestClock(row.latestMs, row.endMs)}`}</td>
      )}
      <td>{wallClock(row.endMs)}</td>
    </tr>
  ));
}

function Lifts({ view }: { view: PlanView }) {
  return view.timetable?.rows.map((row, index) => (
    <tr key={index}>
      <td>{row.load}</td>
      <td>
        {!row.isComplex && `${row.pieces} · `}each side {row.side || "nothing"}{" "}
        <span style={{ color: "var(--ink-2)" }}>({row.change})</span>
      </td>
      <td className="latest">latest {runningClock(row.latestMs)}</td>
      <td>{wallClock(row.startMs)}</td>
    </tr>
  ));
}
