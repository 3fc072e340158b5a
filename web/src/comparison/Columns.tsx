import { useState } from "react";
import styled from "styled-components";
import type { BorderView, Cause, PairView } from "../api/client";
import { Toggle, Toggles } from "../ui/fields";
import { Heading, Small, SmallButton, stacked, Table } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";

const CAUSES: [Cause, string][] = [
  ["PACE", "Pace"],
  ["REST", "Rest"],
  ["TRANSITION", "Transition"],
  ["FAULT", "Faults"],
  ["INTERVAL_REST", "Interval rest"],
  ["UNSEPARATED", "Unassigned"],
  ["UNLIKE", "Different work"],
];

/** Columns that stand there whether or not anything was won in them. */
const ALWAYS: Cause[] = ["PACE", "REST", "TRANSITION"];

const Sums = styled(Table)`
  tfoot td {
    border-top: 2px solid var(--ink);
    font-weight: 650;
  }
  td[data-within] {
    color: var(--ink-3);
  }
  ${stacked}
`;

const Scroll = styled.div`
  overflow-x: auto;
`;

interface Props {
  pair: PairView;
  names: [string, string];
  onStart: ((clocks: number[], label: string) => void) | undefined;
}

/** Both in two columns with the difference: what made it by movement and cause, round by round, place by place. */
export function Columns({ pair, names, onStart }: Props) {
  const [by, setBy] = useState<"rounds" | "places">(pair.rounds.length > 1 ? "rounds" : "places");
  const shown = by === "rounds" && pair.rounds.length === 0 ? "places" : by;
  return (
    <>
      {pair.lines.length > 0 && (
        <section aria-label="What made it" style={{ marginTop: 32 }}>
          <Heading>
            {names[0]} vs {names[1]}: time lost (+) or saved (−)
          </Heading>
          <Lines pair={pair} names={names} />
          <Small>Adds up to the lead at the last shared split. Pale = within timing error.</Small>
        </section>
      )}
      {pair.borders.length > 0 && (
        <section aria-label="Side by side" style={{ marginTop: 32 }}>
          <div style={{ display: "flex", justifyContent: "space-between", gap: 12, flexWrap: "wrap", marginBottom: 8 }}>
            <Heading style={{ margin: 0 }}>Side by side</Heading>
            {pair.rounds.length > 0 && (
              <Toggles
                aria-label="By"
                selectionMode="single"
                disallowEmptySelection
                selectedKeys={[shown]}
                onSelectionChange={(chosen) => setBy([...chosen][0] as "rounds" | "places")}
              >
                <Toggle id="rounds">Rounds</Toggle>
                <Toggle id="places">Every split</Toggle>
              </Toggles>
            )}
          </div>
          {shown === "rounds" ? (
            <Rounds pair={pair} names={names} onStart={onStart} />
          ) : (
            <Places pair={pair} names={names} onStart={onStart} />
          )}
        </section>
      )}
    </>
  );
}

function Lines({ pair, names }: { pair: PairView; names: [string, string] }) {
  const { figure, lost } = useTimes();
  const shown = CAUSES.filter(([cause]) => ALWAYS.includes(cause) || pair.lines.some((line) => line.gains[cause]));
  const last = pair.borders.at(-1);
  return (
    <Sums>
      <thead>
        <tr>
          <th>Movement</th>
          <th>{names[0]}</th>
          <th>{names[1]}</th>
          {shown.map(([cause, name]) => (
            <th key={cause}>{name}</th>
          ))}
          <th>Total</th>
        </tr>
      </thead>
      <tbody>
        {pair.lines.map((line) => (
          <tr key={line.line}>
            <td>{line.line}</td>
            <td data-label={names[0]}>{figure(line.oneMs)}</td>
            <td data-label={names[1]}>{figure(line.otherMs)}</td>
            {shown.map(([cause, name]) => (
              <Gain key={cause} label={name} ms={line.gains[cause]} error={line.readingErrorMs} />
            ))}
            <Gain label="Total" ms={line.gainMs} error={line.readingErrorMs} />
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td>Total</td>
          <td data-label={names[0]}>{last && figure(last.oneClockMs)}</td>
          <td data-label={names[1]}>{last && figure(last.otherClockMs)}</td>
          {shown.map(([cause, name]) => (
            <td key={cause} data-label={name}>
              {lost(-(pair.gains[cause] ?? 0))}
            </td>
          ))}
          <td data-label="Total">{lost(-pair.leadMs)}</td>
        </tr>
      </tfoot>
    </Sums>
  );
}

function Gain({ label, ms, error }: { label: string; ms: number | undefined; error: number }) {
  const { lost } = useTimes();
  if (ms === undefined) return <td data-label={label}>–</td>;
  return (
    <td data-label={label} data-within={Math.abs(ms) <= error ? true : undefined}>
      {lost(-ms)}
    </td>
  );
}

function Rounds({ pair, names, onStart }: Props) {
  const { span } = useTimes();
  return (
    <Sums>
      <thead>
        <tr>
          <th>Round</th>
          <th>{names[0]}</th>
          <th>{names[1]}</th>
          <th>Faster</th>
          {onStart && (
            <th>
              <span className="visually-hidden">Play</span>
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        {pair.rounds.map((round) => (
          <tr key={round.words}>
            <td>{round.words}</td>
            <td data-label={names[0]}>{span(round.oneMs)}</td>
            <td data-label={names[1]}>{span(round.otherMs)}</td>
            <td data-label="Faster">{quicker(names, round.oneMs, round.otherMs, span)}</td>
            {onStart && (
              <td className="not-on-paper">
                <SmallButton
                  aria-label={`Play ${round.words} side by side`}
                  onPress={() => onStart([round.fromMs, round.otherFromMs], round.words)}
                >
                  ▸
                </SmallButton>
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </Sums>
  );
}

function Places({ pair, names, onStart }: Props) {
  const { figure, span } = useTimes();
  const two = (border: BorderView, of: (column: BorderView["one"]) => number | undefined) => {
    const one = of(border.one);
    const other = of(border.other);
    return one === undefined || other === undefined ? "" : `${figure(one)} / ${figure(other)}`;
  };
  return (
    <Scroll>
      <Sums>
        <thead>
          <tr>
            <th>Split</th>
            <th>Time</th>
            <th>Sets</th>
            <th>Transition</th>
            <th>Rest</th>
            <th>Longest rest</th>
            <th>Faults</th>
            <th>Faster</th>
            {onStart && (
              <th>
                <span className="visually-hidden">Play</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {pair.borders.map((border) => {
            const { one, other } = border;
            const sets = one.sets || other.sets;
            return (
              <tr key={`${border.oneClockMs} ${border.otherClockMs}`}>
                <td>{border.place === border.otherPlace ? border.place : `${border.place} / ${border.otherPlace}`}</td>
                <td data-label="Time" data-within={border.clear ? undefined : true}>
                  {figure(border.oneMs)} / {figure(border.otherMs)}
                </td>
                <td data-label="Sets">{sets && `${one.sets || "–"} / ${other.sets || "–"}`}</td>
                <td data-label="Transition">{two(border, (column) => column.transitionMs)}</td>
                <td data-label="Rest">{two(border, (column) => column.restMs)}</td>
                <td data-label="Longest rest">{two(border, (column) => column.longestRestMs)}</td>
                <td data-label="Faults">{one.faults + other.faults > 0 && `${one.faults} / ${other.faults}`}</td>
                <td data-label="Faster">{quicker(names, border.oneMs, border.otherMs, span)}</td>
                {onStart && (
                  <td className="not-on-paper">
                    <SmallButton
                      aria-label={`Play ${border.place} side by side`}
                      onPress={() =>
                        onStart([border.oneClockMs - border.oneMs, border.otherClockMs - border.otherMs], border.place)
                      }
                    >
                      ▸
                    </SmallButton>
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </Sums>
      <Small>
        {names[0]} / {names[1]}, seconds
      </Small>
    </Scroll>
  );
}

function quicker(names: [string, string], oneMs: number, otherMs: number, span: (ms: number) => string): string {
  const gain = otherMs - oneMs;
  return gain === 0 ? "level" : `${gain > 0 ? names[0] : names[1]}, ${span(Math.abs(gain))}`;
}
