import styled from "styled-components";
import type { WorkoutCheck } from "../api/client";
import { Caution, Quiet, Small } from "../ui/primitives";

const Board = styled.article`
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 6px;
  padding: 16px 18px;
  margin-bottom: 16px;
  font-stretch: 84%;
  h3 {
    font-size: 15px;
    display: flex;
    justify-content: space-between;
  }
  ul {
    list-style: none;
    margin: 8px 0 0;
    padding: 0;
  }
  li {
    padding: 5px 0;
    font-size: 17px;
    line-height: 1.3;
  }
`;

/** The whiteboard of each division, with what each line asks for round by round. */
export function BoardPreview({ boards }: { boards: WorkoutCheck["boards"] }) {
  if (boards.length === 0) return <Quiet>The board appears once the text is without errors.</Quiet>;
  const cautions = [...new Set(boards.flatMap((board) => board.lines.map((line) => line.caution)).filter(Boolean))];
  return (
    <>
      {boards.map((board) => (
        <Board key={`${board.part} ${board.division}`}>
          <h3>
            <span>
              {board.part && `${board.part} · `}
              {board.division || "Everyone"}
            </span>
            <Small>{totals(board)}</Small>
          </h3>
          <Small>{board.format}</Small>
          <ul>
            {board.lines.map((line) => (
              <li key={line.lineIndex} title={line.goodRep}>
                {line.perRound.join(" · ")}
                {board.open && " …"}
              </li>
            ))}
          </ul>
        </Board>
      ))}
      {cautions.map((caution) => (
        <Caution key={caution} style={{ marginBottom: 8 }}>
          {caution}
        </Caution>
      ))}
    </>
  );
}

function totals({ open, total, metres, movedKg }: WorkoutCheck["boards"][number]): string {
  if (total === 0) return "";
  const figure = (value: number) => Math.round(value).toLocaleString("en-GB");
  const parts = [`${total} to count${open ? " a round" : ""}`];
  if (metres > 0) parts.push(`${figure(metres)} m`);
  if (movedKg > 0) parts.push(`${figure(movedKg)} kg moved`);
  return parts.join(", ");
}
