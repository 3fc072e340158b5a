import type { PairView } from "../api/client";
import { Heading, stacked, Table, TwoColumns } from "../ui/primitives";
import { wallClock } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import styled from "styled-components";
import { ahead, repsAhead } from "./LeadChart";

const Stacked = styled(Table)`
  ${stacked}
`;

/** The lead as figures: at every end both show, and in reps by minute. */
export function LeadTable({ pair, names }: { pair: PairView; names: [string, string] }) {
  const { clock, span } = useTimes();
  return (
    <TwoColumns $left={2} style={{ marginTop: 0 }}>
      <div>
        <Heading>At every shared split</Heading>
        <Stacked>
          <thead>
            <tr>
              <th>Split</th>
              <th>{names[0]}</th>
              <th>{names[1]}</th>
              <th>Lead</th>
            </tr>
          </thead>
          <tbody>
            {pair.borders.map((border) => (
              <tr key={`${border.oneClockMs} ${border.otherClockMs}`}>
                <td>{border.place === border.otherPlace ? border.place : `${border.place} / ${border.otherPlace}`}</td>
                <td data-label={names[0]}>{clock(border.oneClockMs)}</td>
                <td data-label={names[1]}>{clock(border.otherClockMs)}</td>
                <td data-label="Lead">{ahead(names, border.leadMs, span)}</td>
              </tr>
            ))}
          </tbody>
        </Stacked>
      </div>
      <div>
        <Heading>By minute</Heading>
        <Table>
          <thead>
            <tr>
              <th>Clock</th>
              <th>Reps {names[0]} is ahead (+)</th>
            </tr>
          </thead>
          <tbody>
            {pair.minutes.map((minute) => (
              <tr key={minute.clockMs}>
                <td>{wallClock(minute.clockMs)}</td>
                <td>{minute.reps === undefined ? whoLeads(names, minute.ahead) : repsAhead(minute.reps)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </div>
    </TwoColumns>
  );
}

function whoLeads(names: [string, string], sign: number): string {
  return sign === 0 ? "unknown" : `${sign > 0 ? names[0] : names[1]} ahead`;
}
