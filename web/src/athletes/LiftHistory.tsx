import { useQuery } from "@tanstack/react-query";
import { scaleLinear } from "d3-scale";
import { useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { api, type LiftHistoryView, orProblem } from "../api/client";
import { keys } from "../api/queries";
import { Quiet, Small } from "../ui/primitives";
import { day } from "../ui/time";

const Folded = styled.details`
  margin-top: 6px;
  font-size: 14px;
  summary {
    cursor: pointer;
  }
`;

const Lift = styled.div`
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
  font-stretch: 88%;
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
  }
`;

const WIDTH = 120;
const HEIGHT = 34;

/** How an athlete's lifts went over the windows they were done in; asked for when it is unfolded. */
export function LiftHistory({ athleteId, name }: { athleteId: string; name: string }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Folded onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>
        Lifts over time<span className="visually-hidden"> of {name}</span>
      </summary>
      {isOpen && <Lifts athleteId={athleteId} />}
    </Folded>
  );
}

function Lifts({ athleteId }: { athleteId: string }) {
  const history = useQuery({
    queryKey: [...keys.athletes, athleteId, "lifts"],
    queryFn: async () => orProblem(await api.GET("/api/athletes/{id}/lifts", { params: { path: { id: athleteId } } })),
  });
  if (!history.data) return <Quiet>Loading lifts …</Quiet>;
  if (history.data.length === 0) return <Quiet>No max-lift window and no strength work logged yet.</Quiet>;
  return (
    <>
      {history.data.map((lift) => (
        <One key={lift.movement} lift={lift} />
      ))}
      <Small as="p">Filled: heaviest single or complex of a lift window. Hollow: heaviest set of strength work.</Small>
    </>
  );
}

function One({ lift }: { lift: LiftHistoryView }) {
  return (
    <Lift>
      <Line lift={lift} />
      <div>
        <strong>{lift.movement}</strong> <Small>{lift.max ? `max ${lift.max}` : "no max on file"}</Small>
        <ul>
          {lift.days.map((one) => (
            <li key={`${one.doneOn} ${one.attemptId ?? one.title}`}>
              {one.attemptId ? (
                <Link to={`/attempts/${one.attemptId}/reading`}>{day(one.doneOn)}</Link>
              ) : (
                day(one.doneOn)
              )}
              : {one.says} <Small>{one.title}</Small>
            </li>
          ))}
        </ul>
      </div>
    </Lift>
  );
}

/** The best of each window as a line, at its day, and the heaviest sets that were not for time beside it. */
function Line({ lift }: { lift: LiftHistoryView }) {
  const shown = lift.days.flatMap((one) =>
    one.bestKg === undefined
      ? []
      : [{ at: Date.parse(one.doneOn), kg: one.bestKg, inWindow: one.attemptId !== undefined }],
  );
  // One day is no line yet.
  if (shown.length < 2) return <span />;
  const days = shown.map((one) => one.at);
  const loads = shown.map((one) => one.kg);
  const x = scaleLinear([Math.min(...days), Math.max(...days, Math.min(...days) + 1)], [6, WIDTH - 6]);
  const y = scaleLinear([Math.min(...loads), Math.max(...loads, Math.min(...loads) + 1)], [HEIGHT - 7, 7]);
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden>
      <polyline
        points={shown
          .filter((one) => one.inWindow)
          .map((one) => `${x(one.at)},${y(one.kg)}`)
          .join(" ")}
        fill="none"
        stroke="var(--ink-2)"
        strokeWidth={1.5}
      />
      {shown.map((one) => (
        <circle
          key={`${one.at} ${one.kg} ${one.inWindow}`}
          cx={x(one.at)}
          cy={y(one.kg)}
          r={3}
          fill={one.inWindow ? "var(--ink)" : "var(--ground)"}
          stroke="var(--ink)"
        />
      ))}
    </svg>
  );
}
