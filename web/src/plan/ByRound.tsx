import styled from "styled-components";
import type { LineJson, LineView, PacingJson } from "../api/client";
import { Small, SmallButton, Table } from "../ui/primitives";
import { seconds } from "../ui/time";
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
    void edits.changeLine(line.lineIndex, make, `${movement}, round ${round}: same as all rounds`);
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
          <th>s each</th>
          <th>Rest, s</th>
          <th>Transition, s</th>
          {about.raised && <th>Pick-up, s</th>}
          <th>Failed reps, s</th>
          <th>
            <span className="visually-hidden">Same as all rounds</span>
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
                  label={`Rate of ${movement} in round ${round}`}
                  value={pacing.secondsPerUnit.toFixed(2)}
                  column={`pace ${line.lineIndex}`}
                  onKeep={(text) => setRound(round, { pace: text }, `pace ${text}`)}
                />
                <div>
                  <Small>{pacing.effort ? `avg ${pace}` : pace}</Small>
                </div>
              </td>
              <td>
                <PlanField
                  label={`Rest in ${movement} in round ${round}, seconds, e.g. 5 or 5-20-8`}
                  value={restsWritten(pacing)}
                  width={76}
                  column={`rest ${line.lineIndex}`}
                  onKeep={(text) => setRound(round, { rests: text }, `rest ${text} s`)}
                />
              </td>
              <td>
                <PlanField
                  label={`Transition to ${movement} in round ${round}, seconds`}
                  value={seconds(pacing.transitionMs)}
                  width={54}
                  column={`way ${line.lineIndex}`}
                  onKeep={(text) =>
                    setRound(round, { transitionMs: Math.round(Number(text) * 1000) }, `transition ${text} s`)
                  }
                  isNumber
                />
              </td>
              {about.raised && (
                <td>
                  <PlanField
                    label={`Pick-up of ${movement} in round ${round}, seconds`}
                    value={seconds(pacing.pickUpMs ?? 0)}
                    width={54}
                    column={`up ${line.lineIndex}`}
                    onKeep={(text) =>
                      setRound(round, { pickUpMs: Math.round(Number(text) * 1000) }, `pick-up ${text} s`)
                    }
                    isNumber
                  />
                </td>
              )}
              <td>
                <PlanField
                  label={`Failed reps of ${movement} in round ${round}, seconds`}
                  value={seconds(pacing.missesMs ?? 0)}
                  width={54}
                  column={`misses ${line.lineIndex}`}
                  onKeep={(text) =>
                    setRound(round, { missesMs: Math.round(Number(text) * 1000) }, `failed reps ${text} s`)
                  }
                  isNumber
                />
              </td>
              <td>
                {differs && (
                  <>
                    <SmallButton
                      aria-label={`Round ${round} of ${movement} same as all rounds`}
                      onPress={() => asEvery(round)}
                    >
                      Same as all rounds
                    </SmallButton>{" "}
                    {round < last && (
                      <SmallButton
                        aria-label={`${movement} like this from round ${round} on`}
                        onPress={() => fromHereOn(round)}
                      >
                        Use from this round on
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
