import { useMutation } from "@tanstack/react-query";
import { type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { api, message, orProblem, type TechniqueView } from "../api/client";
import { queryClient, useWorkouts } from "../api/queries";
import { Input, Label } from "../ui/fields";
import { say } from "../ui/notices";
import { Button, Problem, Quiet, Select, Small } from "../ui/primitives";
import { athletePage } from "./page";

const Ways = styled.ul`
  list-style: none;
  margin: 4px 0 14px;
  padding: 0;
  font-stretch: 88%;
  li {
    padding: 2px 0;
  }
`;

const Line = styled.form`
  display: flex;
  gap: 8px;
  align-items: end;
  flex-wrap: wrap;
  margin-top: 10px;
  > div {
    flex: 1 1 300px;
  }
`;

interface Props {
  athleteId: string;
  techniques: TechniqueView[];
  over: string;
  onOver: (workout: string) => void;
}

/** Techniques of a movement, gathered over attempts; tests of one, entered in a line; what one would make over a workout. */
export function Techniques({ athleteId, techniques, over, onOver }: Props) {
  const workouts = useWorkouts();
  const [line, setLine] = useState("");
  const note = useMutation({
    mutationFn: async (written: string) =>
      orProblem(
        await api.POST("/api/athletes/{id}/figures", {
          params: { path: { id: athleteId } },
          body: { line: `technique ${written.replace(/^technique\s+/i, "")}` },
        }),
      ),
    onSuccess: async () => {
      setLine("");
      say("Test saved with today’s date.");
      await queryClient.invalidateQueries({ queryKey: athletePage(athleteId) });
      await queryClient.invalidateQueries({ queryKey: ["athletes"] });
    },
  });
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    if (line.trim()) note.mutate(line.trim());
  };
  return (
    <>
      {techniques.length === 0 && (
        <Quiet>
          No way of doing a movement has been named yet. On the log, name one with its key; or enter a test of one here.
        </Quiet>
      )}
      {techniques.map((one) => (
        <div key={one.movement}>
          <strong>{one.movement}</strong>
          <Ways>
            {one.techniques.map((way) => (
              <li key={way.name}>
                {way.name}: <strong>{way.median.toFixed(2)} s</strong>{" "}
                <Small>
                  {way.low.toFixed(2)}–{way.high.toFixed(2)} s, {count(way.figures, "sample")} from{" "}
                  {count(way.attempts, "attempt")}
                </Small>
              </li>
            ))}
            {one.tests.map((test) => (
              <li key={test}>
                <Small>Fresh, as a test:</Small> {test}
              </li>
            ))}
            {one.over.map((said) => (
              <li key={said}>{said}</li>
            ))}
          </Ways>
        </div>
      ))}
      {techniques.some((one) => one.techniques.length > 1 || one.tests.length > 2) && (
        <label>
          What would the faster technique save in a workout?{" "}
          <Select value={over} onChange={(event) => onOver(event.target.value)}>
            <option value="">choose one …</option>
            {workouts.data?.map((workout) => (
              <option key={workout.id} value={workout.id}>
                {workout.title}
              </option>
            ))}
          </Select>
        </label>
      )}
      <Line onSubmit={submit}>
        <TextField value={line} onChange={setLine}>
          <Label>Technique test: movement, technique: reps in time, effort</Label>
          <Input placeholder="burpee, step-back: 15 in 0:42 effort 7" />
        </TextField>
        <Button type="submit" isDisabled={note.isPending || line.trim() === ""}>
          Save
        </Button>
      </Line>
      {note.isError && <Problem>{message(note.error)}</Problem>}
    </>
  );
}

function count(of: number, what: string): string {
  return of === 1 ? `1 ${what}` : `${of} ${what}s`;
}
