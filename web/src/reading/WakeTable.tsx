import styled from "styled-components";
import type { ReadingView } from "../api/client";
import { stacked, Table } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

const Grid = styled(Table)`
  ${stacked}
`;

const Grey = styled.span`
  color: var(--ink-3);
`;

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** The wake in figures, for screen readers and print. */
export function WakeTable({ reading, onPlay }: Props) {
  const { clock, lost } = useTimes();
  return (
    <Grid aria-label="Gap over time as a table">
      <thead>
        <tr>
          <th>Split</th>
          <th>Clock</th>
          <th>Lost, s</th>
          <th>Total gap, s</th>
          <th>
            <span className="visually-hidden">Play</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {reading.borders.map((border) => (
          <tr key={border.segmentIndex}>
            <td>{border.place}</td>
            <td data-label="Clock">{clock(border.endMs)}</td>
            <td data-label="Lost, s">
              {border.withinReadingError ? (
                <Grey title="within timing error">{lost(border.lostMs)} (within timing error)</Grey>
              ) : (
                lost(border.lostMs)
              )}
            </td>
            <td data-label="Total gap, s">{lost(border.endMs - border.workToMs)}</td>
            <td>
              <Play what={border.place} fromMs={border.arrivalMs} toMs={border.endMs} onPlay={onPlay} />
            </td>
          </tr>
        ))}
      </tbody>
    </Grid>
  );
}
