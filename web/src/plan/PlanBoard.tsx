import { Fragment, useState } from "react";
import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import type { AttemptView, LineJson, LineView, PacingJson, PlanView } from "../api/client";
import { Problem, Small, SmallButton, stacked, Table } from "../ui/primitives";
import { seconds } from "../ui/time";
import { Checks } from "./Checks";
import { ByRound } from "./ByRound";
import { longerRestWritten, withLongerRest } from "./longerRest";
import { shortPace } from "./paceWords";
import { PlanField } from "./PlanField";
import type { PlanEdits } from "./usePlanEdits";

const Pacing = styled(Table)`
  td {
    vertical-align: top;
  }
  td:not(:first-child) {
    white-space: nowrap;
    padding: 6px 4px;
  }
  td:first-child {
    width: 38%;
  }
  tr.under td {
    border-top: 0;
    padding-top: 0;
    text-align: left;
    white-space: normal;
  }
  th {
    padding: 4px;
  }
  ${stacked}
`;

const Lock = styled(ToggleButton)`
  font: inherit;
  font-size: 13px;
  padding: 3px 7px;
  border: 1px dashed var(--line);
  border-radius: 6px;
  background: transparent;
  color: var(--ink-3);
  cursor: pointer;
  &[data-selected] {
    border-style: solid;
    border-color: var(--ink);
    color: var(--ink);
    font-weight: 600;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
    outline-offset: 2px;
  }
`;

interface Props {
  view: PlanView;
  attempt: AttemptView;
  edits: PlanEdits;
}

/** The whiteboard with its pencil columns. */
export function PlanBoard({ view, attempt, edits }: Props) {
  return (
    <Pacing aria-label="Pacing by movement">
      <thead>
        <tr>
          <th>Movement</th>
          <th>Sets</th>
          <th>Pace, s</th>
          <th>Rest, s</th>
          <th>Longer rest</th>
          <th>Way there, s</th>
          <th>Misses, s</th>
          <th>
            <span className="visually-hidden">Lock</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {view.plan.lines.map((line) => {
          const about = view.lines.find((one) => one.lineIndex === line.lineIndex);
          return about ? (
            <Row key={line.lineIndex} line={line} about={about} view={view} attempt={attempt} edits={edits} />
          ) : null;
        })}
      </tbody>
    </Pacing>
  );
}

interface RowProps extends Props {
  line: LineJson;
  about: LineView;
}

function Row({ line, about, view, attempt, edits }: RowProps) {
  const [open, setOpen] = useState(false);
  const board = attempt.lines[line.lineIndex];
  const { every } = line;
  const { movement, counted, unit } = about;
  const set = (part: Partial<PacingJson>, what: string) =>
    edits.changeLine({ ...line, every: { ...every, ...part } }, `${movement}: ${what}`);
  const ms = (text: string) => Math.round(Number(text) * 1000);
  const checks = view.checks.filter((check) => check.lineIndex === line.lineIndex);
  const wrong = edits.problemAt === `lines/${line.lineIndex}` ? edits.problem : undefined;
  const differing = about.rounds.filter((round) => round.differs).length;
  return (
    <Fragment>
      <tr>
        <td>
          {board?.written}
          <div>
            <Small>{about.demand ?? about.basis}</Small>
          </div>
          {about.rounds.length > 1 && (
            <SmallButton onPress={() => setOpen(!open)} aria-expanded={open} style={{ marginTop: 4 }}>
              {open
                ? "Fold the rounds"
                : differing
                  ? differing === 1
                    ? "1 round differs"
                    : `${differing} rounds differ`
                  : "By round"}
            </SmallButton>
          )}
        </td>
        <td data-label="Sets">
          {counted ? (
            <PlanField
              label={`Sets of ${movement}`}
              value={every.sets}
              width={86}
              column="sets"
              onKeep={(text) =>
                /^every /i.test(text)
                  ? edits.change({ roundEvery: text }, `Rounds ${text}`)
                  : set({ sets: text }, `sets ${text}`)
              }
            />
          ) : (
            <Small>one piece</Small>
          )}
        </td>
        <td data-label="Pace, s">
          <PlanField
            label={`Pace of ${movement}, seconds per ${unit}`}
            value={every.secondsPerUnit.toFixed(2)}
            width={76}
            column="pace"
            onKeep={(text) => set({ pace: text }, `pace ${text}`)}
          />
          <div>
            <Small>{shortPace(about.pace)}</Small>
          </div>
        </td>
        <td data-label="Rest, s">
          <PlanField
            label={`Rest between sets of ${movement}, seconds`}
            value={seconds(every.restMs)}
            width={54}
            column="rest"
            onKeep={(text) => set({ restMs: ms(text) }, `rest ${text} s`)}
            isNumber
          />
        </td>
        <td data-label="Longer rest">
          {counted && (
            <PlanField
              label={`Longer rest in ${movement}, as "20 after 2": seconds, after which set`}
              value={longerRestWritten(every.longerRest)}
              width={92}
              column="longer"
              placeholder="none"
              onKeep={(text) =>
                edits.changeLine(
                  { ...line, every: withLongerRest(every, text) },
                  `${movement}: longer rest ${text || "none"}`,
                )
              }
            />
          )}
        </td>
        <td data-label="Way there, s">
          <PlanField
            label={`Seconds to get to ${movement}`}
            value={seconds(every.transitionMs)}
            width={54}
            column="way"
            onKeep={(text) => set({ transitionMs: ms(text) }, `way there ${text} s`)}
            isNumber
          />
        </td>
        <td data-label="Misses, s">
          <PlanField
            label={`Seconds allowed for misses in ${movement}`}
            value={seconds(every.missesMs ?? 0)}
            width={54}
            column="misses"
            onKeep={(text) => set({ missesMs: ms(text) }, `${text} s for misses`)}
            isNumber
          />
        </td>
        <td>
          <Lock
            aria-label={`Lock ${movement}: that is as fast as it goes`}
            isSelected={line.locked ?? false}
            onChange={(locked) => edits.changeLine({ ...line, locked }, `${movement}: ${locked ? "" : "un"}locked`)}
          >
            {line.locked ? "locked" : "lock"}
          </Lock>
        </td>
      </tr>
      {[wrong, board?.caution, checks.length, open].some(Boolean) && (
        <tr className="under">
          <td colSpan={8}>
            {wrong && <Problem>{wrong}</Problem>}
            {board?.caution && <div style={{ fontSize: 12.5, color: "var(--caution)" }}>{board.caution}</div>}
            <Checks checks={checks} view={view} edits={edits} />
            {open && <ByRound line={line} about={about} edits={edits} />}
          </td>
        </tr>
      )}
    </Fragment>
  );
}
