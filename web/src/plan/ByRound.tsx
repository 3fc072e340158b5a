import { type ClipboardEvent, useState } from "react";
import styled from "styled-components";
import { type AttemptView, type LineJson, type LineView, message, type PlanView } from "../api/client";
import { Toggle, Toggles } from "../ui/fields";
import { Problem, Small, SmallButton, Table } from "../ui/primitives";
import { BOX, boxValue, type Figure, FIGURES, withFigureOf } from "./figures";
import { type Cell, cellsOf, isTable } from "./pasted";
import { PlanField } from "./PlanField";
import type { PlanEdits } from "./usePlanEdits";

const Rounds = styled(Table)`
  width: auto;
  th {
    vertical-align: bottom;
    max-width: 160px;
  }
  td {
    white-space: nowrap;
    padding: 2px 8px;
  }
  td[data-differs] input {
    font-weight: 650;
  }
`;

const Scroll = styled.div`
  overflow-x: auto;
  margin-top: 8px;
  padding-bottom: 6px;
`;

interface Props {
  view: PlanView;
  attempt: AttemptView;
  edits: PlanEdits;
}

/** One figure of every movement round by round, where rounds are to go differently: a row a round, a column a movement. */
export function ByRound({ view, attempt, edits }: Props) {
  const [open, setOpen] = useState(false);
  const [figure, setFigure] = useState<Figure>("sets");
  const [at, setAt] = useState<{ lineIndex: number; round: number }>();
  const [refused, setRefused] = useState<string>();
  const inRounds = view.lines.filter((about) => about.rounds.length > 1);
  if (inRounds.length === 0) return null;
  const { name, hint, typed, unit, isNumber = false } = BOX[figure];
  const columns = inRounds.filter(BOX[figure].has);
  const rows = [...new Set(inRounds.flatMap((about) => about.rounds.map(({ round }) => round)))].sort((a, b) => a - b);
  const write = (cells: Cell[], by: string) => {
    setRefused(undefined);
    return edits.changeLines((line) => cells.filter((cell) => cell.lineIndex === line.lineIndex).reduce(set, line), by);
  };
  const set = (line: LineJson, { round, text }: Cell): LineJson => {
    const now = line.rounds[round] ?? line.every;
    const made = text.trim() === "" ? withFigureOf(figure, now, line.every) : { ...now, ...typed(text) };
    return { ...line, rounds: { ...line.rounds, [round]: made } };
  };
  const paste = (event: ClipboardEvent, lineIndex: number, round: number) => {
    const text = event.clipboardData.getData("text");
    if (!isTable(text)) return;
    event.preventDefault();
    const pasted = cellsOf(text, { columns, rows, lineIndex, round }, isNumber);
    if (typeof pasted === "string") setRefused(pasted);
    else write(pasted, `${name} by round: pasted`).catch((error: unknown) => setRefused(message(error)));
  };
  const about = at && columns.find((one) => one.lineIndex === at.lineIndex);
  const from = about?.rounds.find((one) => one.round === at?.round);
  const below = from ? (about?.rounds.filter(({ round }) => round > from.round) ?? []) : [];
  const fillDown = () => {
    if (!about || !from) return;
    const like = (line: LineJson): LineJson => {
      const model = line.rounds[from.round] ?? line.every;
      const rounds = { ...line.rounds };
      for (const { round } of below) rounds[round] = withFigureOf(figure, rounds[round] ?? line.every, model);
      return { ...line, rounds };
    };
    void edits.changeLine(about.lineIndex, like, `${about.movement}: ${figure} like round ${from.round} from there on`);
  };
  return (
    <section aria-label="By round" style={{ marginTop: 12 }}>
      <SmallButton onPress={() => setOpen(!open)} aria-expanded={open}>
        {open ? "Hide rounds" : "Set by round"}
      </SmallButton>
      {open && (
        <>
          <Toggles
            aria-label="Figure"
            selectionMode="single"
            disallowEmptySelection
            selectedKeys={[figure]}
            onSelectionChange={(keys) => setFigure([...keys][0] as Figure)}
            style={{ marginTop: 8 }}
          >
            {FIGURES.filter((one) => inRounds.some(BOX[one].has)).map((one) => (
              <Toggle key={one} id={one}>
                {BOX[one].name}
              </Toggle>
            ))}
          </Toggles>
          <Scroll>
            <Rounds aria-label={`${name} by round`}>
              <thead>
                <tr>
                  <th>Round</th>
                  {columns.map((one) => (
                    <th key={one.lineIndex}>{attempt.lines[one.lineIndex]?.written ?? one.movement}</th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map((round) => (
                  <tr key={round}>
                    <td>{round}</td>
                    {columns.map((one) => {
                      const asked = one.rounds.find((each) => each.round === round);
                      const line = view.plan.lines.find((each) => each.lineIndex === one.lineIndex);
                      if (!asked || !line) return <td key={one.lineIndex} />;
                      const text = boxValue(figure, line.rounds[round] ?? line.every, asked.written);
                      const differs = text !== boxValue(figure, line.every, one.within ?? one.written);
                      return (
                        <td
                          key={one.lineIndex}
                          data-differs={differs || undefined}
                          onFocus={() => setAt({ lineIndex: one.lineIndex, round })}
                          onPaste={(event) => paste(event, one.lineIndex, round)}
                        >
                          <PlanField
                            label={`${name} of ${one.movement} in round ${round}`}
                            value={text}
                            width={figure === "pace" ? 104 : 80}
                            column={`${figure} ${one.lineIndex}`}
                            isPale={!differs}
                            isNumber={isNumber}
                            isClearable
                            enterGoesOn
                            onKeep={(typed) =>
                              write(
                                [{ lineIndex: one.lineIndex, round, text: typed }],
                                `${one.movement}, round ${round}: ${figure} ${typed.trim() ? `${typed}${unit}` : "as in all rounds"}`,
                              )
                            }
                          />
                          {amounts(one) > 1 && <Small> {asked.amount}</Small>}
                        </td>
                      );
                    })}
                  </tr>
                ))}
              </tbody>
            </Rounds>
          </Scroll>
          {refused && <Problem>{refused}</Problem>}
          <div style={{ display: "flex", gap: 12, alignItems: "baseline", marginTop: 6, flexWrap: "wrap" }}>
            <SmallButton onPress={fillDown} isDisabled={below.length === 0}>
              {about && from && below.length > 0
                ? `Use from round ${from.round} on: ${about.movement}`
                : "Use from the chosen round on"}
            </SmallButton>
            <Small>
              {name}: {hint}. Empty is as in all rounds (pale). Enter goes down, Tab right; cells from a spreadsheet can
              be pasted.
            </Small>
          </div>
        </>
      )}
    </section>
  );
}

/** How many different amounts its rounds ask for. */
function amounts(about: LineView) {
  return new Set(about.rounds.map(({ amount }) => amount)).size;
}
