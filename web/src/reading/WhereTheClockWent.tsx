import { useState } from "react";
import styled from "styled-components";
import type { ReadingView } from "../api/client";
import { Toggle } from "../ui/fields";
import { Small, stacked, Table } from "../ui/primitives";
import type { Times } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";
import { capital } from "../ui/time";

const KINDS = [
  ["workMs", "Work", "var(--ink)", 0.85],
  ["restMs", "Rest", "var(--ink)", 0.45],
  ["transitionMs", "Transition", "var(--ink)", 0.22],
  ["faultMs", "Faults", "var(--behind)", 0.9],
  ["waitMs", "Interval rest", "var(--line)", 1],
  ["unseparatedMs", "Unassigned", "var(--ink)", 0.6],
  ["unfinishedMs", "Unfinished", "var(--line)", 0.6],
] as const;

const Grid = styled(Table)`
  td {
    white-space: nowrap;
  }
  td:first-child {
    white-space: normal;
    min-width: 8em;
  }
  td:nth-child(2) {
    width: 24%;
  }
  tfoot td {
    border-top: 2px solid var(--ink);
    font-weight: 650;
  }
  ${stacked}
  @media (max-width: 620px) {
    td:nth-child(2) {
      grid-column: 1 / -1;
    }
  }
`;

const Bar = styled.div`
  display: flex;
  height: 12px;
  i {
    display: block;
    height: 100%;
  }
`;

type Entry = ReadingView["clock"]["total"];

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Where the time went, held against nothing: every second of it, by movement or by round. */
export function WhereTheClockWent({ reading, onPlay }: Props) {
  const times = useTimes();
  const { clock, figure } = times;
  const [byRound, setByRound] = useState(reading.clock.byLine.length === 1 && reading.clock.byRound.length > 1);
  const { byLine, total } = reading.clock;
  const entries = byRound ? reading.clock.byRound : byLine;
  const shown = KINDS.filter(([kind]) => total[kind] > 0);
  const most = Math.max(1, ...entries.map((one) => one.totalMs));
  return (
    <>
      <p style={{ margin: "0 0 10px" }}>{inWords(total, times)}</p>
      <Grid aria-label="Where the time went">
        <thead>
          <tr>
            <th>{byRound ? "Round" : "Movement"}</th>
            <th>
              <span className="visually-hidden">Share</span>
            </th>
            <th>Total</th>
            {shown.map(([kind, name]) => (
              <th key={kind}>{name}, s</th>
            ))}
            <th>
              <span className="visually-hidden">Play</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {entries.map((entry) => (
            <tr key={entry.name}>
              <td>{entry.name}</td>
              <td>
                <Bar aria-hidden>
                  {KINDS.map(([kind, , color, opacity]) => (
                    <i key={kind} style={{ width: `${(100 * entry[kind]) / most}%`, background: color, opacity }} />
                  ))}
                </Bar>
              </td>
              <td data-label="Total">
                {clock(entry.totalMs)} <Small>{Math.round(entry.sharePercent)}%</Small>
              </td>
              {shown.map(([kind, name]) => (
                <td key={kind} data-label={`${name}, s`}>
                  {entry[kind] > 0 ? figure(entry[kind]) : "–"}
                </td>
              ))}
              <td>
                <Play what={entry.name} fromMs={entry.fromMs} toMs={entry.toMs} onPlay={onPlay} />
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <td>Total</td>
            <td />
            <td data-label="Total">{clock(total.totalMs)}</td>
            {shown.map(([kind, name]) => (
              <td key={kind} data-label={`${name}, s`}>
                {figure(total[kind])}
              </td>
            ))}
            <td />
          </tr>
        </tfoot>
      </Grid>
      <div style={{ textAlign: "right", marginTop: 6 }}>
        <Toggle isSelected={byRound} onChange={setByRound}>
          By round
        </Toggle>
      </div>
    </>
  );
}

/** "Work 6:02, rest 1:10, transitions 2:03." */
function inWords(total: Entry, { span }: Times): string {
  const said: [number, string][] = [
    [total.workMs, "work"],
    [total.restMs, "rest"],
    [total.transitionMs, "transitions"],
    [total.faultMs, "faults"],
    [total.waitMs, "programmed rest"],
    [total.unseparatedMs, "unassigned"],
    [total.unfinishedMs, "unfinished"],
  ];
  const words = said.filter(([ms]) => ms > 0).map(([ms, what]) => `${what} ${span(ms)}`);
  return `${capital(words.join(", "))}.`;
}
