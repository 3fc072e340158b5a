import { Fragment } from "react";
import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import type { AttemptView, LineJson, LineView, PacingJson, PlanView } from "../api/client";
import { Problem, Small, stacked, Table } from "../ui/primitives";
import { seconds } from "../ui/time";
import { Checks } from "./Checks";
import { restsWritten } from "./written";
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
  @media screen and (max-width: 720px) {
    input {
      padding-inline: 2px;
      font-stretch: 75%;
    }
  }
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
  const raised = view.lines.some((line) => line.raised);
  return (
    <Pacing aria-label="Pacing by movement">
      <thead>
        <tr>
          <th>Movement</th>
          <th>Sets</th>
          <th>Pace</th>
          <th>Rest, s</th>
          <th>Transition, s</th>
          {raised && <th>Pick-up, s</th>}
          <th>Failed reps, s</th>
          <th>
            <span className="visually-hidden">Lock</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {view.plan.lines.map((line) => {
          const about = view.lines.find((one) => one.lineIndex === line.lineIndex);
          return about ? (
            <Row
              key={line.lineIndex}
              line={line}
              about={about}
              anyRaised={raised}
              view={view}
              attempt={attempt}
              edits={edits}
            />
          ) : null;
        })}
      </tbody>
    </Pacing>
  );
}

interface RowProps extends Props {
  line: LineJson;
  about: LineView;
  /** Whether there is a column for what has to be brought up. */
  anyRaised: boolean;
}

function Row({ line, about, anyRaised, view, attempt, edits }: RowProps) {
  const board = attempt.lines[line.lineIndex];
  const { every } = line;
  const { movement, counted, touched } = about;
  const set = (part: Partial<PacingJson>, what: string) =>
    edits.changeLine(line.lineIndex, (now) => ({ ...now, every: { ...now.every, ...part } }), `${movement}: ${what}`);
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
          {differing > 0 && (
            <div>
              <Small>{differing === 1 ? "1 round differs" : `${differing} rounds differ`}</Small>
            </div>
          )}
        </td>
        <td data-label="Sets">
          {counted ? (
            <PlanField
              label={`Sets of ${movement}`}
              value={every.sets}
              width={86}
              column="sets"
              isPale={!touched.includes("SETS")}
              onKeep={(text) =>
                /^every /i.test(text)
                  ? edits.changed({ roundEvery: text }, `Rounds ${text}`)
                  : set({ sets: text }, `sets ${text}`)
              }
            />
          ) : (
            <Small>straight through</Small>
          )}
        </td>
        <td data-label="Pace">
          <PlanField
            label={`Pace of ${movement}`}
            value={about.written}
            width={96}
            column="pace"
            isPale={!touched.includes("PACE")}
            onKeep={(text) => set({ pace: text }, `pace ${text}`)}
          />
          <div>
            <Small>{every.effort ? `avg ${about.pace}` : about.pace}</Small>
          </div>
        </td>
        <td data-label="Rest, s">
          <PlanField
            label={`Rest between sets of ${movement}, seconds, e.g. 5 or 5-20-8`}
            value={restsWritten(every)}
            width={76}
            column="rest"
            isPale={!touched.includes("REST")}
            onKeep={(text) => set({ rests: text }, `rest ${text} s`)}
          />
        </td>
        <td data-label="Transition, s">
          <PlanField
            label={`Transition to ${movement}, seconds`}
            value={seconds(every.transitionMs)}
            width={54}
            column="way"
            isPale={!touched.includes("WAY")}
            onKeep={(text) => set({ transitionMs: ms(text) }, `transition ${text} s`)}
            isNumber
          />
        </td>
        {anyRaised && (
          <td data-label={about.raised ? "Pick-up, s" : undefined}>
            {about.raised && (
              <PlanField
                label={`Pick-up of ${movement}, seconds`}
                value={seconds(every.pickUpMs ?? 0)}
                width={54}
                column="up"
                isPale={!touched.includes("PICK_UP")}
                onKeep={(text) => set({ pickUpMs: ms(text) }, `pick-up ${text} s`)}
                isNumber
              />
            )}
          </td>
        )}
        <td data-label="Failed reps, s">
          <PlanField
            label={`Failed reps of ${movement}, seconds`}
            value={seconds(every.missesMs ?? 0)}
            width={54}
            column="misses"
            isPale={!touched.includes("MISSES")}
            onKeep={(text) => set({ missesMs: ms(text) }, `failed reps ${text} s`)}
            isNumber
          />
        </td>
        <td>
          <Lock
            aria-label={`Lock ${movement}: keep this row when the plan changes`}
            isSelected={line.locked ?? false}
            onChange={(locked) =>
              void edits.changeLine(
                line.lineIndex,
                (now) => ({ ...now, locked }),
                `${movement}: ${locked ? "" : "un"}locked`,
              )
            }
          >
            {line.locked ? "locked" : "lock"}
          </Lock>
        </td>
      </tr>
      {[wrong, board?.caution, checks.length, about.within].some(Boolean) && (
        <tr className="under">
          <td colSpan={anyRaised ? 8 : 7}>
            {wrong && <Problem>{wrong}</Problem>}
            {about.within && (
              <div>
                <Small>Pace within it </Small>
                <PlanField
                  label={`Pace within ${movement}, e.g. 1:50 for 15, 1:58, 1:50 from 60`}
                  value={about.within}
                  width={340}
                  isText
                  onKeep={(text) => set({ pace: text }, `pace ${text}`)}
                />
              </div>
            )}
            {board?.caution && <div style={{ fontSize: 12.5, color: "var(--caution)" }}>{board.caution}</div>}
            <Checks checks={checks} view={view} edits={edits} />
          </td>
        </tr>
      )}
    </Fragment>
  );
}
