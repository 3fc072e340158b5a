import styled from "styled-components";
import type { LiftReadingView } from "../api/client";
import { Play } from "../reading/Play";
import { Small, stacked, Table } from "../ui/primitives";
import { told } from "../ui/time";
import type { Lifted } from "./LiftAxis";

const Stack = styled(Table)`
  ${stacked}
`;

export type Row = LiftReadingView["rows"][number];

/** How long a moment is played where the end of the lift was not seen. */
export const MOMENT_MS = 20_000;

const RESULT = { MADE: "made", MISSED: "missed", UNKNOWN: "not logged" } as const;

/** A lift as it is drawn over the clock. */
export function onTheAxis(row: Row): Lifted {
  const { atMs, lengthMs, load, loadKg, outcome, missedOn, reps, restMs } = row;
  return { startMs: atMs, lengthMs, load, loadKg, outcome, missedOn, reps, restMs };
}

interface LiftsProps {
  rows: Row[];
  digits: LiftReadingView["digits"];
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** The lifts in a table, each with the moment it plays. */
export function Lifts({ rows, digits, onPlay }: LiftsProps) {
  const { clock, span } = told(digits);
  const planned = rows.some((row) => row.plan !== undefined);
  return (
    <Stack aria-label="Lifts">
      <thead>
        <tr>
          <th>Lift</th>
          <th>% max</th>
          <th>Jump</th>
          <th>Start</th>
          <th>Time</th>
          <th>Rest before</th>
          <th>Since last start</th>
          {planned && <th>Planned</th>}
          <th>Result</th>
          <th>
            <span className="visually-hidden">See it</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.number}>
            <td>
              {row.number} · <strong>{row.load || "no load logged"}</strong>{" "}
              {!row.isComplex && <Small>{row.pieces}</Small>}
            </td>
            <td data-label="% max">{row.percent}</td>
            <td data-label="Jump">{row.jump}</td>
            <td data-label="Start">{clock(row.atMs)}</td>
            <td data-label="Time">{row.lengthMs === undefined ? "–" : span(row.lengthMs)}</td>
            <td data-label="Rest before">{row.restMs === undefined ? "–" : span(row.restMs)}</td>
            <td data-label="Since last start">{row.number === 1 ? "" : span(row.sinceMs)}</td>
            {planned && <td data-label="Planned">{row.plan}</td>}
            <td data-label="Result">{result(row)}</td>
            <td>
              <Play
                what={`lift ${row.number}`}
                fromMs={row.atMs}
                toMs={row.atMs + (row.lengthMs ?? MOMENT_MS)}
                onPlay={onPlay}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </Stack>
  );
}

function result(row: Row): string {
  if (row.outcome !== "MISSED") return RESULT[row.outcome];
  const on = row.reps > 1 && row.missedOn !== undefined ? ` on rep ${row.missedOn}` : "";
  return `missed${on}${row.missedPiece && row.reps > 1 ? `, the ${row.missedPiece}` : ""}`;
}
