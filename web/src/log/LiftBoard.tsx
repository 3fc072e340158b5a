import styled from "styled-components";
import type { LogView } from "../api/client";
import { Quiet, Table } from "../ui/primitives";
import { clock, span } from "../ui/time";

const Sheet = styled.div`
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 10px 14px;
  tbody tr {
    cursor: pointer;
  }
`;

interface Props {
  log: LogView;
  onSeek: (clockMs: number) => void;
}

/** The lifts of a lift window: when, how heavy, made or missed, and the rest before. */
export function LiftBoard({ log, onSeek }: Props) {
  return (
    <Sheet role="region" aria-label="Whiteboard" tabIndex={0}>
      {log.lifts.length === 0 && <Quiet>No lift yet. L marks one at the moment on screen.</Quiet>}
      {log.lifts.length > 0 && (
        <Table>
          <thead>
            <tr>
              <th>Load</th>
              <th>At</th>
              <th>Rest before</th>
              <th>Lift</th>
            </tr>
          </thead>
          <tbody>
            {log.lifts.map((lift) => (
              <tr key={lift.atMs} onClick={() => onSeek(lift.atMs)}>
                <td>{lift.load}</td>
                <td>{clock(lift.atMs)}</td>
                <td>{lift.restBeforeMs === undefined ? "" : span(lift.restBeforeMs)}</td>
                <td>{lift.made ? "made" : "missed"}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Sheet>
  );
}
