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
    <Grid aria-label="The wake as a table">
      <thead>
        <tr>
          <th>Segment</th>
          <th>Clock at its end</th>
          <th>Lost here, s</th>
          <th>Behind by then, s</th>
          <th>
            <span className="visually-hidden">Play</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {reading.borders.map((border) => (
          <tr key={border.segmentIndex}>
            <td>{border.place}</td>
            <td data-label="Clock at its end">{clock(border.endMs)}</td>
            <td data-label="Lost here, s">
              {border.withinReadingError ? (
                <Grey title="within reading error">{lost(border.lostMs)} (within reading error)</Grey>
              ) : (
                lost(border.lostMs)
              )}
            </td>
            <td data-label="Behind by then, s">{lost(border.endMs - border.workToMs)}</td>
            <td>
              <Play what={border.place} fromMs={border.arrivalMs} toMs={border.endMs} onPlay={onPlay} />
            </td>
          </tr>
        ))}
      </tbody>
    </Grid>
  );
}
