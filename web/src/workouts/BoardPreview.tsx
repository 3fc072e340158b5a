import styled from "styled-components";
import type { WorkoutCheck } from "../api/client";
import { Caution, Quiet, Small } from "../ui/primitives";
import { capital } from "../ui/time";

const Unknown = styled(Small)`
  color: var(--caution);
`;

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
  h4 {
    margin: 10px 0 0;
    font-size: 13px;
    font-weight: 600;
    color: var(--ink-2);
  }
  em {
    font-style: normal;
    color: var(--ink-2);
  }
  h4 + ul {
    margin-top: 2px;
    padding-left: 14px;
    border-left: 2px solid var(--line);
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
export function BoardPreview({ boards, notes }: Pick<WorkoutCheck, "boards" | "notes">) {
  if (boards.length === 0) return <Quiet>Fix the errors to see the preview.</Quiet>;
  const cautions = [...new Set(boards.flatMap((board) => board.lines.map((line) => line.caution)).filter(Boolean))];
  return (
    <>
      {notes.map((note, index) => (
        <Quiet key={index} style={{ marginBottom: 8 }}>
          {note}
        </Quiet>
      ))}
      {boards.map((board) => (
        <Board key={`${board.part} ${board.division}`}>
          <h3>
            <span>
              {board.part && `${board.part} · `}
              {board.division || "Everyone"}
            </span>
            <Small>{totals(board)}</Small>
          </h3>
          <Small>
            {board.format}
            {board.starts && ` · ${board.starts}`}
          </Small>
          {board.notes.map((note, index) => (
            <div key={index}>
              <Small>{note}</Small>
            </div>
          ))}
          {board.pieces.map((piece, index) => (
            <div key={index}>
              {piece.heading && <h4>{capital(piece.heading)}</h4>}
              <ul>
                {piece.lines.map((place) => {
                  const line = board.lines[place];
                  if (!line) return null;
                  return (
                    <li key={place} title={line.goodRep}>
                      {line.perRound.join(" · ")}
                      {board.open && line.perRound.length > 1 && " …"}
                      {line.notes.length > 0 && <Small> {line.notes.join("; ")}</Small>}
                      {line.unknown && <Unknown> {line.unknown}</Unknown>}
                    </li>
                  );
                })}
                {piece.cutOffs.map((gate) => (
                  <li key={gate}>
                    <em>{gate}</em>
                  </li>
                ))}
              </ul>
            </div>
          ))}
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

function totals({ counts, metres, movedKg }: WorkoutCheck["boards"][number]): string {
  if (counts === "") return "";
  const figure = (value: number) => Math.round(value).toLocaleString("en-GB");
  const parts = [counts];
  if (metres > 0) parts.push(`${figure(metres)} m`);
  if (movedKg > 0) parts.push(`${figure(movedKg)} kg total`);
  return parts.join(", ");
}
