import styled from "styled-components";
import type { ReadingView } from "../api/client";
import { Small, SmallButton, stacked, Table } from "../ui/primitives";
import type { Times } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { useTurned } from "../ui/useTurned";
import { Play } from "./Play";

const Grid = styled(Table)`
  th.movement {
    text-align: left;
    padding: 14px 0 4px;
    font-size: 14px;
    color: var(--ink);
    font-weight: 620;
  }
  td {
    padding: 4px 8px;
    white-space: nowrap;
  }
  ${stacked}
  @media (max-width: 620px) {
    th.movement {
      grid-column: 1 / -1;
      display: block;
    }
  }
`;

type Row = ReadingView["movements"][number]["rows"][number];

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Every segment's sets as coaches write them, movement by movement; open are those that cost something. */
export function Sets({ reading, onPlay }: Props) {
  const times = useTimes();
  const { isTurned, turn } = useTurned<string>();
  const isOpen = (name: string) => reading.findings.some((finding) => finding.movement === name) !== isTurned(name);
  return (
    <Grid aria-label="Sets">
      <thead>
        <tr>
          <th>Movement</th>
          <th>Sets</th>
          <th>s each, by set</th>
          <th>Rest, s</th>
          <th>Rate</th>
          <th>
            <span className="visually-hidden">Play</span>
          </th>
        </tr>
      </thead>
      {reading.movements.map((movement) => (
        <tbody key={movement.movement}>
          <tr>
            <th className="movement" colSpan={6} scope="rowgroup">
              <SmallButton aria-expanded={isOpen(movement.movement)} onPress={() => turn(movement.movement)}>
                {isOpen(movement.movement) ? "▾" : "▸"} {movement.movement}
              </SmallButton>{" "}
              <Small>{share(movement, times)}</Small>
            </th>
          </tr>
          {isOpen(movement.movement) &&
            movement.rows.map((row) => (
              <tr key={row.fromMs}>
                <td>
                  {row.place} {row.technique && <Small>{row.technique}</Small>}
                </td>
                <td data-label="Sets">{row.sets || "–"}</td>
                <td data-label="s each, by set">
                  {cadences(row)} {row.growthPercent !== undefined && <Small>{fadeWords(row.growthPercent)}</Small>}
                </td>
                <td data-label="Rest, s">{rests(row, times)}</td>
                <td>
                  <Small>{row.pace ?? "unassigned"}</Small>
                </td>
                <td>
                  <Play what={row.place} fromMs={row.fromMs} toMs={row.toMs} onPlay={onPlay} />
                </td>
              </tr>
            ))}
        </tbody>
      ))}
    </Grid>
  );
}

function share(movement: ReadingView["movements"][number], { clock }: Times): string {
  const { sharePercent, fadePercent, withRests, rates, noFade, unbroken, elapsedMs } = movement;
  const fade =
    fadePercent === undefined ? (noFade === undefined ? "" : ` · ${noFade}`) : ` · ${fadeWords(fadePercent)}`;
  return `${clock(elapsedMs)}, ${Math.round(sharePercent)}% of the time${unbroken ? ` · unbroken ${unbroken}` : ""}${fade}${withRests && rates ? ", rests included" : ""}`;
}

/** How cadence went from first to last. */
export function fadeWords(percent: number): string {
  if (Math.abs(percent) < 1) return "steady";
  return percent > 0 ? `fades ${Math.round(percent)}%` : `${Math.round(-percent)}% faster at the end`;
}

function cadences(row: Row): string {
  return row.cut.map((set) => set.secondsPerUnit?.toFixed(2) ?? "?").join(" · ");
}

function rests(row: Row, { seconds }: Times): string {
  const rests = row.cut.flatMap((set) => (set.restAfterMs === undefined ? [] : [seconds(set.restAfterMs)]));
  return rests.length > 0 ? rests.join(" · ") : "–";
}
