import { useState } from "react";
import { Link } from "react-router";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import type { AthletePageView } from "../api/client";
import { Input, Label } from "../ui/fields";
import { Quiet, Small, stacked, Table } from "../ui/primitives";
import { day } from "../ui/time";

const Rows = styled(Table)`
  ${stacked}
  margin-bottom: 18px;
  th,
  td {
    text-align: left;
  }
  caption {
    text-align: left;
    font-weight: 600;
    padding: 2px 0;
  }
`;

type Past = AthletePageView["workouts"][number]["attempts"][number];

/** An athlete's attempts by workout, in order of date, each with what changed against the one before and what is said of it. */
export function PastAttempts({ workouts }: { workouts: AthletePageView["workouts"] }) {
  const [words, setWords] = useState("");
  const wanted = words.trim().toLowerCase();
  const shown = workouts.filter((one) => one.title.toLowerCase().includes(wanted));
  return (
    <>
      {workouts.length > 3 && (
        <TextField value={words} onChange={setWords} style={{ maxWidth: 320, marginBottom: 12 }}>
          <Label>Filter by workout</Label>
          <Input />
        </TextField>
      )}
      {workouts.length === 0 && <Quiet>No attempts yet.</Quiet>}
      {workouts.length > 0 && shown.length === 0 && <Quiet>No workout matches that.</Quiet>}
      {shown.map((one) => (
        <Rows key={`${one.workoutId} ${one.title}`}>
          <caption>
            <Link to={`/workouts/${one.workoutId}`}>{one.title}</Link>
          </caption>
          <thead>
            <tr>
              <th>Date</th>
              <th>Score</th>
              <th>Change</th>
              <th>Summary</th>
            </tr>
          </thead>
          <tbody>
            {one.attempts.map((attempt) => (
              <tr key={attempt.id}>
                <td style={{ whiteSpace: "nowrap" }}>
                  <Link to={`/attempts/${attempt.id}/${step(attempt)}`}>{day(attempt.doneOn)}</Link>{" "}
                  <Small>
                    {attempt.division}
                    {attempt.retest && " retest"}
                  </Small>
                </td>
                <td data-label="Score" style={{ whiteSpace: "nowrap", fontWeight: 600 }}>
                  {attempt.score || "–"}
                </td>
                <td data-label="Change" style={{ color: colour(attempt.better), whiteSpace: "nowrap" }}>
                  {attempt.change}
                </td>
                <td data-label="Summary">
                  <Small>{attempt.says}</Small>{" "}
                  {attempt.stage === "LOGGED" && <Link to={`/attempts/${attempt.id}/card`}>Card</Link>}
                </td>
              </tr>
            ))}
          </tbody>
        </Rows>
      ))}
    </>
  );
}

function step({ stage, retest }: Past): string {
  if (stage === "NO_RECORDING") return "plan";
  if (stage !== "LOGGED") return "log";
  return retest ? "retest" : "reading";
}

function colour(better: number): string {
  if (better === 0) return "var(--ink-2)";
  return better > 0 ? "var(--ahead)" : "var(--behind)";
}
