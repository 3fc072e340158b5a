import { useMutation } from "@tanstack/react-query";
import { type SyntheticEvent, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import styled from "styled-components";
import { api, message, orProblem } from "../api/client";
import { keys, queryClient, useAthletes, useWorkouts } from "../api/queries";
import { ButtonLink, Page, PrimaryButton, Problem, Quiet, Select, Sentence } from "../ui/primitives";

const Form = styled.form`
  display: grid;
  gap: 16px;
  max-width: 420px;
  margin-top: 24px;
  label {
    display: grid;
    gap: 4px;
    font-size: 13px;
    color: var(--ink-2);
  }
  input {
    font: inherit;
    padding: 6px 12px;
    border: 1px solid var(--line);
    border-radius: 6px;
    background: var(--panel);
    color: var(--ink);
    min-height: 34px;
  }
`;

export function NewAttempt() {
  const athletes = useAthletes();
  const workouts = useWorkouts();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const [athlete, setAthlete] = useState(search.get("athlete") ?? "");
  const [workout, setWorkout] = useState(search.get("workout") ?? "");
  const [division, setDivision] = useState(search.get("division") ?? "");
  const [part, setPart] = useState(Number(search.get("part") ?? "0"));
  const [cutInto, setCutInto] = useState("1");
  const [doneOn, setDoneOn] = useState(() => search.get("doneOn") ?? new Date().toLocaleDateString("en-CA"));
  const athleteId = athlete || (athletes.data?.[0]?.id ?? "");
  const chosen = workouts.data?.find((one) => one.id === workout) ?? workouts.data?.[0];
  const divisions = chosen?.divisions ?? [];
  const inDivision = divisions.includes(division) ? division : (divisions[0] ?? "");

  const parts = chosen?.parts ?? [];
  const inPart = part < parts.length ? part : 0;
  const cuttable = parts[inPart]?.cuttable ?? false;

  const enter = useMutation({
    mutationFn: async (id: string) => {
      const cut = cuttable ? Number(cutInto) : 1;
      const body = {
        athleteId,
        workoutId: chosen?.id ?? "",
        division: inDivision,
        doneOn,
        part: inPart,
        cutInto: cut,
      };
      return orProblem(await api.PUT("/api/attempts/{id}", { params: { path: { id } }, body }));
    },
    onSuccess: async (attempt) => {
      await queryClient.invalidateQueries({ queryKey: keys.today });
      await navigate(`/attempts/${attempt.id}/log`);
    },
  });

  if (athletes.data?.length === 0 || workouts.data?.length === 0) {
    return (
      <Page>
        <Sentence>An attempt needs an athlete and a workout.</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>Add what is missing first; it takes a line each.</Quiet>
        <ButtonLink to="/athletes">Athletes</ButtonLink> <ButtonLink to="/workouts">Workouts</ButtonLink>
      </Page>
    );
  }

  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    enter.mutate(crypto.randomUUID());
  };

  return (
    <Page>
      <Sentence>Who did what, and when?</Sentence>
      <Form onSubmit={submit}>
        <label>
          Athlete
          <Select value={athleteId} onChange={(event) => setAthlete(event.target.value)}>
            {athletes.data?.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        </label>
        <label>
          Workout
          <Select value={chosen?.id ?? ""} onChange={(event) => setWorkout(event.target.value)}>
            {workouts.data?.map((one) => (
              <option key={one.id} value={one.id}>
                {one.title} ({one.format})
              </option>
            ))}
          </Select>
        </label>
        {divisions.length > 0 && (
          <label>
            Division
            <Select value={inDivision} onChange={(event) => setDivision(event.target.value)}>
              {divisions.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </Select>
          </label>
        )}
        {parts.length > 1 && (
          <label>
            Part
            <Select value={inPart} onChange={(event) => setPart(Number(event.target.value))}>
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
              value={cutInto}
              onChange={(event) => setCutInto(event.target.value)}
            />
          </label>
        )}
        <label>
          Done on
          <input type="date" required value={doneOn} onChange={(event) => setDoneOn(event.target.value)} />
        </label>
        {enter.isError && <Problem>{message(enter.error)}</Problem>}
        <div>
          <PrimaryButton type="submit" isDisabled={enter.isPending || !chosen || !athleteId}>
            Enter the attempt
          </PrimaryButton>
        </div>
      </Form>
    </Page>
  );
}
