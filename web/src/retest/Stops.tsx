import { useState } from "react";
import styled from "styled-components";
import type { RetestView, StopView } from "../api/client";
import { Small, SmallButton, stacked, Table } from "../ui/primitives";
import { capital } from "../ui/time";

/** As many places as can be taken in at a glance. */
const FEW = 24;

const Scroll = styled.div`
  overflow-x: auto;
`;

const Places = styled(Table)`
  ${stacked}
  @media (max-width: 620px) {
    tr > th {
      border: 0;
      grid-column: 1 / -1;
    }
  }
`;

const Changed = styled.span`
  color: var(--ahead);
  font-weight: 700;
`;

const Round = styled.tr`
  th {
    text-align: left;
    padding-top: 12px;
    font-weight: 620;
    color: var(--ink);
  }
`;

/** The next attempt place by place: what to do, the clock to leave at, and the latest from which the goal can still be made. */
export function Stops({ view, all = false }: { view: RetestView; all?: boolean }) {
  const [open, setOpen] = useState(all);
  const { next, latestFor } = view;
  const latest = next.some((stop) => stop.latest !== undefined);
  const shown = open ? next : next.slice(0, FEW);
  return (
    <>
      <Scroll tabIndex={0} role="region" aria-label="Place by place">
        <Places>
          <thead>
            <tr>
              <th>Movement</th>
              <th>Sets</th>
              <th>Pace</th>
              <th>Rest</th>
              <th>Way there</th>
              <th>Done at</th>
              {latest && <th>Latest</th>}
            </tr>
          </thead>
          <tbody>{shown.map((stop, index) => rows(stop, shown[index - 1], latest, index))}</tbody>
        </Places>
      </Scroll>
      {next.length > FEW && !all && (
        <SmallButton onPress={() => setOpen(!open)} style={{ marginTop: 8 }}>
          {open ? "Only the first of them" : `All ${next.length} places`}
        </SmallButton>
      )}
      <Small as="p" style={{ marginTop: 6 }}>
        <Changed>•</Changed> where a change acts. The clocks have what the body takes back in them.
        {latest && ` Latest: from there ${latestFor} and every gate can still be made at this pace.`}
      </Small>
    </>
  );
}

function rows(stop: StopView, before: StopView | undefined, latest: boolean, index: number) {
  const row = (
    <tr key={index}>
      <td>
        {stop.movement} {stop.changed && <Changed aria-label="changed">•</Changed>}
      </td>
      <td data-label="Sets">{stop.sets}</td>
      <td data-label="Pace">{stop.pace}</td>
      <td data-label="Rest">{stop.rest}</td>
      <td data-label="Way there">{stop.transition}</td>
      <td data-label="Done at">
        <strong>{stop.end}</strong>
      </td>
      {latest && <td data-label="Latest">{stop.latest ?? ""}</td>}
    </tr>
  );
  if (stop.round === "" || stop.round === before?.round) return row;
  return [
    <Round key={`round ${index}`}>
      <th colSpan={latest ? 7 : 6} scope="rowgroup">
        {capital(stop.round)}
      </th>
    </Round>,
    row,
  ];
}
