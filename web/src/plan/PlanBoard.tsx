import { Fragment } from "react";
import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import type { AttemptView, LineJson, LineView, PacingJson, PlanView } from "../api/client";
import { Problem, Small, stacked, Table } from "../ui/primitives";
import { Checks } from "./Checks";
import { BOX, boxValue, type Figure, FIGURES } from "./figures";
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
  const figures = FIGURES.filter((figure) => figure === "sets" || view.lines.some(BOX[figure].has));
  return (
    <Pacing aria-label="Pacing by movement">
      <thead>
        <tr>
          <th>Movement</th>
          {figures.map((figure) => (
            <th key={figure}>{BOX[figure].heading}</th>
          ))}
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
              figures={figures}
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
  /** Those that have a column. */
  figures: Figure[];
}

function Row({ line, about, figures, view, attempt, edits }: RowProps) {
  const board = attempt.lines[line.lineIndex];
  const { every } = line;
  const { movement, touched } = about;
  const set = (part: Partial<PacingJson>, what: string) =>
    edits.changeLine(line.lineIndex, (now) => ({ ...now, every: { ...now.every, ...part } }), `${movement}: ${what}`);
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
        {figures.map((figure) => {
          const box = BOX[figure];
          const has = box.has(about);
          return (
            <td key={figure} data-label={has || figure === "sets" ? box.heading : undefined}>
              {has ? (
                <PlanField
                  label={box.label(movement)}
                  value={boxValue(figure, every, about.written)}
                  width={box.width}
                  column={figure}
                  isPale={!touched.includes(box.touched)}
                  isNumber={box.isNumber ?? false}
                  onKeep={(text) =>
                    figure === "sets" && /^every /i.test(text)
                      ? edits.changed({ roundEvery: text }, `Rounds ${text}`)
                      : set(box.typed(text), `${figure} ${text}${box.unit}`)
                  }
                />
              ) : (
                figure === "sets" && <Small>straight through</Small>
              )}
              {figure === "pace" && (
                <div>
                  <Small>{every.effort ? `avg ${about.pace}` : about.pace}</Small>
                </div>
              )}
            </td>
          );
        })}
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
          <td colSpan={figures.length + 2}>
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
