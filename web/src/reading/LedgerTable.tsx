import { useContext } from "react";
import styled from "styled-components";
import type { Cause, ReadingView } from "../api/client";
import { stacked, Table } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { OnVideo } from "./onVideo";

const COLUMNS: [Cause, string][] = [
  ["PACE", "Pace"],
  ["REST", "Rest"],
  ["TRANSITION", "Transition"],
  ["FAULT", "Faults"],
  ["INTERVAL_REST", "Interval rest"],
  ["UNSEPARATED", "Unassigned"],
  ["UNLIKE", "Different work"],
];

const Sums = styled(Table)`
  tfoot td {
    border-top: 2px solid var(--ink);
    font-weight: 650;
  }
  td:last-child {
    font-weight: 650;
  }
  ${stacked}
`;

const Figure = styled.td<{ $ms: number }>`
  color: ${({ $ms }) => ($ms >= 1000 ? "var(--behind)" : $ms <= -1000 ? "var(--ahead)" : "var(--ink-3)")};
`;

const Cell = styled.button`
  all: unset;
  cursor: pointer;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  &:focus-visible {
    outline: 2px solid var(--focus);
  }
`;

interface Props {
  reading: ReadingView;
  /** Plays what a figure is made of, one moment after the other. */
  onPlayAll: (moments: Moment[]) => void;
}

type Moment = ReadingView["findings"][number]["moments"][number];

/** Movements down, causes across; every margin adds up, and every figure leads to its moments. */
export function LedgerTable({ reading, onPlayAll }: Props) {
  const { lost } = useTimes();
  const shown = COLUMNS.filter(
    ([cause]) =>
      (cause !== "UNSEPARATED" || reading.ledger.some((row) => row.byCause.UNSEPARATED)) &&
      (cause !== "UNLIKE" || reading.ledger.some((row) => row.byCause.UNLIKE)) &&
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
          <th>Total</th>
        </tr>
      </thead>
      <tbody>
        {reading.ledger.map((row) => (
          <tr key={row.movement}>
            <td>{row.movement}</td>
            {shown.map(([cause, name]) => (
              <Figure key={cause} data-label={name} $ms={row.byCause[cause] ?? 0}>
                <Played
                  figure={lost(row.byCause[cause] ?? 0)}
                  label={`${row.movement}, ${name.toLowerCase()}`}
                  moments={row.moments[cause] ?? []}
                  onPlayAll={onPlayAll}
                />
              </Figure>
            ))}
            <Figure data-label="Total" $ms={row.totalMs}>
              {lost(row.totalMs)}
            </Figure>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td>All movements</td>
          {shown.map(([cause, name]) => (
            <Figure key={cause} data-label={name} $ms={reading.totals[cause] ?? 0}>
              {lost(reading.totals[cause] ?? 0)}
            </Figure>
          ))}
          <Figure data-label="Total" $ms={reading.totalMs}>
            {lost(reading.totalMs)}
          </Figure>
        </tr>
      </tfoot>
    </Sums>
  );
}

interface PlayedProps {
  figure: string;
  label: string;
  moments: Moment[];
  onPlayAll: Props["onPlayAll"];
}

function Played({ figure, label, moments, onPlayAll }: PlayedProps) {
  const filmed = useContext(OnVideo);
  if (moments.length === 0 || !filmed) return figure;
  return (
    <Cell
      type="button"
      className="on-paper"
      aria-label={`${label}: ${figure} s, play its ${moments.length === 1 ? "moment" : `${moments.length} moments`}`}
      onClick={() => onPlayAll(moments)}
    >
      {figure}
    </Cell>
  );
}
