import styled from "styled-components";
import type { Cause, ReadingView } from "../api/client";
import { Table } from "../ui/primitives";
import { lost } from "../ui/time";

const COLUMNS: [Cause, string][] = [
  ["PACE", "Pace"],
  ["REST", "Rests"],
  ["TRANSITION", "Transitions"],
  ["FAULT", "Faults"],
  ["INTERVAL_REST", "Interval rest"],
  ["UNSEPARATED", "Unseparated"],
];

const Sums = styled(Table)`
  tfoot td {
    border-top: 2px solid var(--ink);
    font-weight: 650;
  }
  td:last-child {
    font-weight: 650;
  }
`;

const Figure = styled.td<{ $ms: number }>`
  color: ${({ $ms }) => ($ms >= 1000 ? "var(--behind)" : $ms <= -1000 ? "var(--ahead)" : "var(--ink-3)")};
`;

/** Movements down, causes across; every margin adds up. */
export function LedgerTable({ reading }: { reading: ReadingView }) {
  const shown = COLUMNS.filter(
    ([cause]) =>
      (cause !== "UNSEPARATED" || reading.unseparatedMs > 0) &&
      (cause !== "INTERVAL_REST" || reading.ledger.some((row) => row.byCause.INTERVAL_REST)),
  );
  return (
    <Sums>
      <thead>
        <tr>
          <th>Movement</th>
          {shown.map(([cause, name]) => (
            <th key={cause}>{name}</th>
          ))}
          <th>In all</th>
        </tr>
      </thead>
      <tbody>
        {reading.ledger.map((row) => (
          <tr key={row.movement}>
            <td>{row.movement}</td>
            {shown.map(([cause]) => (
              <Figure key={cause} $ms={row.byCause[cause] ?? 0}>
                {lost(row.byCause[cause] ?? 0)}
              </Figure>
            ))}
            <Figure $ms={row.totalMs}>{lost(row.totalMs)}</Figure>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td>All movements</td>
          {shown.map(([cause]) => (
            <Figure key={cause} $ms={reading.totals[cause] ?? 0}>
              {lost(reading.totals[cause] ?? 0)}
            </Figure>
          ))}
          <Figure $ms={reading.totalMs}>{lost(reading.totalMs)}</Figure>
        </tr>
      </tfoot>
    </Sums>
  );
}
