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
      <Scroll tabIndex={0} role="region" aria-label="Split by split">
        <Places>
          <thead>
            <tr>
              <th>Movement</th>
              <th>Sets</th>
              <th>Pace</th>
              <th>Rest</th>
              <th>Transition</th>
              <th>Clock</th>
              {latest && <th>Latest</th>}
            </tr>
          </thead>
          <tbody>{shown.map((stop, index) => rows(stop, shown[index - 1], latest, index))}</tbody>
        </Places>
      </Scroll>
      {next.length > FEW && !all && (
        <SmallButton onPress={() => setOpen(!open)} style={{ marginTop: 8 }}>
          {open ? "Show less" : `All ${next.length} splits`}
        </SmallButton>
      )}
      <Small as="p" style={{ marginTop: 6 }}>
        <Changed>•</Changed> = changed. Clock times include the fatigue cost.
        {latest && ` Latest: finish by then to still make ${latestFor} and every cut-off.`}
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
      <td data-label="Transition">{stop.transition}</td>
      <td data-label="Clock">
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
