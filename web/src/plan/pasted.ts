import type { LineView } from "../api/client";

/** A figure in one round of one line, as text. */
export interface Cell {
  lineIndex: number;
  round: number;
  text: string;
}

/** The table by round, and the box that was chosen in it. */
interface Place {
  columns: LineView[];
  rows: number[];
  lineIndex: number;
  round: number;
}

/** Whether a text is cells of a spreadsheet rather than one figure. */
export function isTable(text: string) {
  return /[\t\n]/.test(text.replace(/\r?\n$/, ""));
}

/** The boxes that cells of a spreadsheet fall into, from the chosen one on; a sentence where one falls into none. */
export function cellsOf(text: string, { columns, rows, lineIndex, round }: Place, isNumber: boolean): Cell[] | string {
  const across = columns.slice(columns.findIndex((about) => about.lineIndex === lineIndex));
  const down = rows.slice(rows.indexOf(round));
  const cells: Cell[] = [];
  for (const [y, row] of text.replace(/\r/g, "").replace(/\n$/, "").split("\n").entries()) {
    for (const [x, figure] of row.split("\t").entries()) {
      const written = figure.trim();
      const asked = across[x]?.rounds.find((one) => one.round === down[y]);
      if (across[x] && asked) cells.push({ lineIndex: across[x].lineIndex, round: asked.round, text: written });
      else if (written !== "") {
        return `“${written}” of the paste falls outside the table (${rows.length} rounds, ${columns.length} movements). Nothing was changed.`;
      }
    }
  }
  const noNumber = isNumber && cells.find((cell) => !Number.isFinite(Number(cell.text)));
  return noNumber ? `“${noNumber.text}” is not a number of seconds. Nothing was changed.` : cells;
}
