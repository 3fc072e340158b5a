import type { ReadingView } from "../api/client";
import { Table } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Buy-in, each block of rounds, what stands between, cash-out: how long each took. */
export function Sections({ reading, onPlay }: Props) {
  const { clock, lost } = useTimes();
  return (
    <Table aria-label="Sections">
      <thead>
        <tr>
          <th>Section</th>
          <th>Split</th>
          <th>Lost (+) or saved (−)</th>
          <th>
            <span className="visually-hidden">Play</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {reading.sections.map((section) => (
          <tr key={section.fromMs}>
            <td>{section.label}</td>
            <td>{clock(section.elapsedMs)}</td>
            <td>{section.lostMs === undefined ? "no comparison" : lost(section.lostMs)}</td>
            <td>
              <Play what={section.label} fromMs={section.fromMs} toMs={section.toMs} onPlay={onPlay} />
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
