import styled from "styled-components";
import type { Athlete, WorkoutView } from "../api/client";
import { Select } from "../ui/primitives";

/** Who did what, and when. */
export interface Entry {
  athleteId: string;
  workoutId: string;
  division: string;
  part: number;
  cutInto: string;
  doneOn: string;
}

export const EntryForm = styled.form`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  max-width: 420px;
  margin-top: 24px;
  label {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
    font-size: 13px;
    color: var(--ink-2);
  }
  label.beside {
    display: flex;
    gap: 8px;
    align-items: center;
  }
  input:not([type="checkbox"]) {
    font: inherit;
    padding: 6px 12px;
    border: 1px solid var(--line);
    border-radius: 6px;
    background: var(--panel);
    color: var(--ink);
    min-height: 34px;
  }
`;

interface Props {
  entry: Entry;
  onEntry: (entry: Entry) => void;
  athletes: readonly Athlete[];
  workouts: readonly WorkoutView[];
}

/** What is chosen, with what the workout has: its first division where none of its own is named, its first part likewise. */
export function settled(entry: Entry, workouts: readonly WorkoutView[]) {
  const workout = workouts.find((one) => one.id === entry.workoutId);
  const divisions = workout?.divisions ?? [];
  const parts = workout?.parts ?? [];
  const part = entry.part < parts.length ? entry.part : 0;
  const cuttable = parts[part]?.cuttable ?? false;
  return {
    cuttable,
    divisions,
    parts,
    request: {
      athleteId: entry.athleteId,
      workoutId: entry.workoutId,
      division: divisions.includes(entry.division) ? entry.division : (divisions[0] ?? ""),
      doneOn: entry.doneOn,
      part,
      cutInto: cuttable ? Number(entry.cutInto) : 1,
    },
  };
}

/** The boxes of an entry. Nobody is chosen beforehand: the wrong athlete would be chosen as often. */
export function EntryFields({ entry, onEntry, athletes, workouts }: Props) {
  const { cuttable, divisions, parts, request } = settled(entry, workouts);
  const change = (part: Partial<Entry>) => onEntry({ ...entry, ...part });
  return (
    <>
      <label>
        Athlete
        <Select required value={entry.athleteId} onChange={(event) => change({ athleteId: event.target.value })}>
          <option value="" disabled>
            Choose an athlete
          </option>
          {athletes.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </Select>
      </label>
      <label>
        Workout
        <Select required value={entry.workoutId} onChange={(event) => change({ workoutId: event.target.value })}>
          <option value="" disabled>
            Choose a workout
          </option>
          {workouts.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title} ({one.format})
            </option>
          ))}
        </Select>
      </label>
      {divisions.length > 0 && (
        <label>
          Division
          <Select value={request.division} onChange={(event) => change({ division: event.target.value })}>
            {divisions.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Select>
        </label>
      )}
      {parts.length > 1 && (
        <label>
          Part
          <Select value={request.part} onChange={(event) => change({ part: Number(event.target.value) })}>
            {parts.map((one, index) => (
              <option key={one.name} value={index}>
                {one.name}: {one.format}
              </option>
            ))}
          </Select>
        </label>
      )}
      {cuttable && (
        <label>
          Rounds the athlete cut it into (1: one after the other)
          <input
            type="number"
            min={1}
            max={100}
            required
            value={entry.cutInto}
            onChange={(event) => change({ cutInto: event.target.value })}
          />
        </label>
      )}
      <label>
        Date
        <input type="date" required value={entry.doneOn} onChange={(event) => change({ doneOn: event.target.value })} />
      </label>
    </>
  );
}
