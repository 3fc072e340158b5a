import styled from "styled-components";
import type { LineJson, LineView, PacingJson } from "../api/client";
import { Small, SmallButton, Table } from "../ui/primitives";
import { seconds } from "../ui/time";
import { shortPace } from "./paceWords";
import { PlanField } from "./PlanField";
import { restsWritten } from "./written";
import type { PlanEdits } from "./usePlanEdits";

const Rounds = styled(Table)`
  margin: 4px 0 10px;
  background: var(--ground);
  border-radius: 6px;
  td {
    white-space: nowrap;
  }
  td:first-child,
  th:first-child {
    padding-left: 10px;
  }
  tr.differs td {
    font-weight: 600;
  }
`;

interface Props {
  line: LineJson;
  about: LineView;
  edits: PlanEdits;
}

/** A movement round by round, where rounds are to go differently. */
export function ByRound({ line, about, edits }: Props) {
  const { movement } = about;
  const setRound = (round: number, part: Partial<PacingJson>, what: string) => {
    const make = (now: LineJson) => ({
      ...now,
      rounds: { ...now.rounds, [round]: { ...(now.rounds[round] ?? now.every), ...part } },
    });
    return edits.changeLine(line.lineIndex, make, `${movement}, round ${round}: ${what}`);
  };
  const asEvery = (round: number) => {
    const make = (now: LineJson) => ({
      ...now,
      rounds: Object.fromEntries(Object.entries(now.rounds).filter(([key]) => Number(key) !== round)),
    });
    void edits.changeLine(line.lineIndex, make, `${movement}, round ${round}: as every round`);
  };
  const last = Math.max(...about.rounds.map(({ round }) => round));
  const fromHereOn = (round: number) => {
    const make = (now: LineJson) => {
      const pacing = now.rounds[round] ?? now.every;
      const later = about.rounds.filter((one) => one.round > round).map((one) => [one.round, pacing] as const);
      return { ...now, rounds: { ...now.rounds, ...Object.fromEntries(later) } };
    };
    void edits.changeLine(line.lineIndex, make, `${movement}: like round ${round} from there on`);
  };
  return (
    <Rounds aria-label={`${movement} by round`}>
      <thead>
        <tr>
          <th>Round</th>
          <th>Sets</th>
          <th>Pace, s</th>
          <th>Rest, s</th>
          <th>Way there, s</th>
          {about.raised && <th>Up, s</th>}
          <th>Misses, s</th>
          <th>
            <span className="visually-hidden">As every round</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {about.rounds.map(({ round, label, pace, differs }) => {
          const pacing = line.rounds[round] ?? line.every;
          return (
            <tr key={`${round} ${label}`} className={differs ? "differs" : ""}>
              <td>
                {round} · {label}
              </td>
              <td>
                {about.counted && (
                  <PlanField
                    label={`Sets of ${movement} in round ${round}`}
                    value={pacing.sets}
                    width={86}
                    column={`sets ${line.lineIndex}`}
                    onKeep={(sets) => setRound(round, { sets }, `sets ${sets}`)}
                  />
                )}
              </td>
              <td>
                <PlanField
                  label={`Pace of ${movement} in round ${round}`}
                  value={pacing.secondsPerUnit.toFixed(2)}
                  column={`pace ${line.lineIndex}`}
                  onKeep={(text) => setRound(round, { pace: text }, `pace ${text}`)}
                />
                <div>
                  <Small>{pacing.effort ? `${pace} on the whole` : shortPace(pace)}</Small>
                </div>
              </td>
              <td>
                <PlanField
                  label={`Rest in ${movement} in round ${round}, seconds, as 5 or 5-20-8`}
                  value={restsWritten(pacing)}
                  width={76}
                  column={`rest ${line.lineIndex}`}
                  onKeep={(text) => setRound(round, { rests: text }, `rest ${text} s`)}
                />
              </td>
              <td>
                <PlanField
                  label={`Seconds to get to ${movement} in round ${round}`}
                  value={seconds(pacing.transitionMs)}
                  width={54}
                  column={`way ${line.lineIndex}`}
                  onKeep={(text) => setRound(round, { transitionMs: Math.round(Number(text) * 1000) }, `way ${text} s`)}
                  isNumber
                />
              </td>
              {about.raised && (
                <td>
                  <PlanField
                    label={`Seconds to bring the load up for a set of ${movement} in round ${round}`}
                    value={seconds(pacing.pickUpMs ?? 0)}
                    width={54}
                    column={`up ${line.lineIndex}`}
                    onKeep={(text) => setRound(round, { pickUpMs: Math.round(Number(text) * 1000) }, `up in ${text} s`)}
                    isNumber
                  />
                </td>
              )}
              <td>
                <PlanField
                  label={`Misses in ${movement} in round ${round}, seconds`}
                  value={seconds(pacing.missesMs ?? 0)}
                  width={54}
                  column={`misses ${line.lineIndex}`}
                  onKeep={(text) => setRound(round, { missesMs: Math.round(Number(text) * 1000) }, `misses ${text} s`)}
                  isNumber
                />
              </td>
              <td>
                {differs && (
                  <>
                    <SmallButton
                      aria-label={`Round ${round} of ${movement} as every round`}
                      onPress={() => asEvery(round)}
                    >
                      As every round
                    </SmallButton>{" "}
                    {round < last && (
                      <SmallButton
                        aria-label={`${movement} like this from round ${round} on`}
                        onPress={() => fromHereOn(round)}
                      >
                        From here on
                      </SmallButton>
                    )}
                  </>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Rounds>
  );
}
