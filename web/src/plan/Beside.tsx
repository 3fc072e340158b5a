import { useQuery } from "@tanstack/react-query";
import { api, message, orProblem } from "../api/client";
import { Problem, Quiet, Table } from "../ui/primitives";
import { clock, lost } from "../ui/time";

/** The plan in force beside another version: where they differ, and what would have to come of it. */
export function Beside({ id, version, inForce }: { id: string; version: number; inForce: number }) {
  const beside = useQuery({
    // The plan in force is part of the question: a new version asks anew.
    queryKey: ["beside", id, version, inForce],
    queryFn: async () =>
      orProblem(
        await api.GET("/api/attempts/{id}/plan/versions/{version}/beside", { params: { path: { id, version } } }),
      ),
  });
  if (beside.error) return <Problem>{message(beside.error)}</Problem>;
  if (!beside.data) return null;
  const { score, otherScore, sections, lines, words } = beside.data;
  const rows = sections.length > 1 ? [...sections, ...lines] : lines;
  return (
    <div role="region" aria-label={`Version ${version} and the current plan`} style={{ margin: "10px 0 4px" }}>
      <Table>
        <thead>
          <tr>
            <th>Two versions</th>
            <th>Current</th>
            <th>Version {version}</th>
            <th>Difference, s</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>score</td>
            <td>{score}</td>
            <td>{otherScore}</td>
            <td />
          </tr>
          {rows.map((row, index) => (
            <tr key={`${index} ${row.label}`}>
              <td>{row.label}</td>
              <td>{clock(row.hereMs)}</td>
              <td>{clock(row.besideMs)}</td>
              <td>{lost(row.slowerMs)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Quiet style={{ marginTop: 6 }}>{words}</Quiet>
    </div>
  );
}
