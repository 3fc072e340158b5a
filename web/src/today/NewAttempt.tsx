import { useMutation } from "@tanstack/react-query";
import { type SyntheticEvent, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { api, message, orProblem } from "../api/client";
import { keys, queryClient, useAthletes, useWorkouts } from "../api/queries";
import { type Entry, EntryFields, EntryForm, settled } from "../attempt/EntryFields";
import { ButtonLink, Page, PrimaryButton, Problem, Quiet, Sentence } from "../ui/primitives";
import { today } from "../ui/time";

export function NewAttempt() {
  const athletes = useAthletes();
  const workouts = useWorkouts();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const [id] = useState(() => crypto.randomUUID());
  const [entry, setEntry] = useState<Entry>(() => ({
    athleteId: search.get("athlete") ?? "",
    workoutId: search.get("workout") ?? "",
    division: search.get("division") ?? "",
    part: Number(search.get("part") ?? "0"),
    cutInto: "1",
    doneOn: search.get("doneOn") ?? today(),
  }));
  const { request } = settled(entry, workouts.data ?? []);
  const enter = useMutation({
    mutationFn: async () => orProblem(await api.PUT("/api/attempts/{id}", { params: { path: { id } }, body: request })),
    onSuccess: async (attempt) => {
      await queryClient.invalidateQueries({ queryKey: keys.today });
      await navigate(`/attempts/${attempt.id}/log`);
    },
  });

  if (athletes.data?.length === 0 || workouts.data?.length === 0) {
    return (
      <Page>
        <title>New attempt · Wake</title>
        <Sentence>First add an athlete and a workout.</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>Add what is missing first; it takes a line each.</Quiet>
        <ButtonLink to="/athletes">Athletes</ButtonLink> <ButtonLink to="/workouts">Workouts</ButtonLink>
      </Page>
    );
  }

  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    enter.mutate();
  };

  return (
    <Page>
      <title>New attempt · Wake</title>
      <Sentence>New attempt</Sentence>
      <EntryForm onSubmit={submit}>
        <EntryFields
          entry={entry}
          onEntry={setEntry}
          athletes={athletes.data ?? []}
          workouts={(workouts.data ?? []).filter((one) => !one.archived || one.id === entry.workoutId)}
        />
        {enter.isError && <Problem>{message(enter.error)}</Problem>}
        <div>
          <PrimaryButton type="submit" isDisabled={enter.isPending || !entry.workoutId || !entry.athleteId}>
            Add attempt
          </PrimaryButton>{" "}
          <ButtonLink to={`/attempts/heat${entry.workoutId ? `?workout=${entry.workoutId}` : ""}`}>
            Add a heat
          </ButtonLink>
        </div>
      </EntryForm>
    </Page>
  );
}
