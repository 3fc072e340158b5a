import { Link } from "react-router";
import styled from "styled-components";
import { useAthletes, useWorkouts } from "../api/queries";
import { bytes } from "../data/words";
import { Input } from "../ui/fields";
import { Select, Small, stacked, Table } from "../ui/primitives";
import type { Videos } from "./useVideos";

const List = styled(Table)`
  ${stacked}
  margin-top: 20px;
  th,
  td {
    text-align: left;
  }
`;

/** What each video's name tells, to be put right, and how it goes. */
export function VideoRows({ rows, change, tell, isBusy }: Videos) {
  const athletes = useAthletes();
  const workouts = useWorkouts();
  return (
    <List aria-label="Videos to import">
      <thead>
        <tr>
          <th>Video</th>
          <th>Athlete</th>
          <th>Workout</th>
          <th>Division</th>
          <th>Date</th>
          <th>Status</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ file, told, division, wanted, going, done }, index) => (
          <tr key={`${file.name} ${file.size}`}>
            <td>
              <label>
                <input
                  type="checkbox"
                  checked={wanted}
                  disabled={told.here || done || told.problem !== "" || isBusy}
                  onChange={(event) => change(index, { wanted: event.target.checked })}
                />{" "}
                {file.name}
              </label>{" "}
              <Small>{bytes(file.size)}</Small>
            </td>
            <td data-label="Athlete">
              <Select
                aria-label={`Athlete on ${file.name}`}
                value={told.athleteId ?? ""}
                disabled={isBusy}
                onChange={(event) => tell({ index, some: { athleteId: event.target.value } })}
              >
                <option value="">who?</option>
                {athletes.data?.map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.name}
                  </option>
                ))}
              </Select>
            </td>
            <td data-label="Workout">
              <Select
                aria-label={`Workout on ${file.name}`}
                value={told.workoutId ?? ""}
                disabled={isBusy}
                onChange={(event) => tell({ index, some: { workoutId: event.target.value } })}
              >
                <option value="">what?</option>
                {workouts.data
                  ?.filter((one) => !one.archived)
                  .map((one) => (
                    <option key={one.id} value={one.id}>
                      {one.title}
                    </option>
                  ))}
              </Select>
            </td>
            <td data-label="Division">
              {told.divisions.length > 0 && (
                <Select
                  aria-label={`Division on ${file.name}`}
                  value={division}
                  disabled={isBusy || told.attemptId !== undefined}
                  onChange={(event) => change(index, { division: event.target.value })}
                >
                  {told.divisions.map((one) => (
                    <option key={one}>{one}</option>
                  ))}
                </Select>
              )}
            </td>
            <td data-label="Date">
              <Input
                type="date"
                aria-label={`Day of ${file.name}`}
                value={told.doneOn ?? ""}
                disabled={isBusy}
                onChange={(event) => tell({ index, some: { doneOn: event.target.value } })}
              />
            </td>
            <td data-label="Status" role="status">
              {told.attemptId && (done || told.here) ? (
                <Link to={`/attempts/${told.attemptId}/log`}>here</Link>
              ) : (
                <Small>
                  {going || told.problem || (told.attemptId ? "adds to the existing attempt" : "a new attempt")}
                </Small>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </List>
  );
}
