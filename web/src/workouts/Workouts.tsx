import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import styled from "styled-components";
import { api, message, orProblem, type WorkoutView } from "../api/client";
import { keys, queryClient, useMovements, useWorkouts } from "../api/queries";
import { Button, ButtonLink, Heading, Page, PrimaryButton, Problem, Small } from "../ui/primitives";
import { useDraft } from "../ui/useDraft";
import { Waiting } from "../ui/Waiting";
import { DeleteButton } from "../data/DeleteButton";
import { BoardPreview } from "./BoardPreview";
import { Editor } from "./Editor";
import { saveText } from "./files";
import { Shelf } from "./Shelf";

const Columns = styled.div`
  display: grid;
  grid-template-columns: 216px minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 32px;
  @media (max-width: 980px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Actions = styled.p`
  margin-top: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
`;

const FIRST = "# New workout\nfor time, cap 12:00\n  3 rounds:\n    12 burpee\n    15 kettlebell swing @ 24 kg\n";

/** Workouts as on the whiteboard: the library, the text, and what it asks for. */
export function Workouts() {
  const { id } = useParams();
  const workouts = useWorkouts();
  if (!workouts.isSuccess) return <Waiting error={workouts.error} />;
  const chosen = workouts.data.find((one) => one.id === id);
  return (
    <Page>
      <title>{`${chosen?.title ?? "Workouts"} · Wake`}</title>
      <h1 className="visually-hidden">Workouts</h1>
      <Columns>
        <Shelf workouts={workouts.data} chosenId={id} />
        <Desk key={id ?? "new"} chosen={chosen} />
      </Columns>
    </Page>
  );
}

function Desk({ chosen }: { chosen: WorkoutView | undefined }) {
  const navigate = useNavigate();
  const movements = useMovements();
  const [notation, setNotation, dropDraft] = useDraft(`workout ${chosen?.id ?? "new"}`, chosen?.notation ?? FIRST);
  const [newId] = useState(() => crypto.randomUUID());
  const id = chosen?.id ?? newId;
  const check = useQuery({
    queryKey: ["check", notation],
    placeholderData: (previous) => previous,
    queryFn: async () => orProblem(await api.POST("/api/workouts/check", { body: { notation } })),
  });
  const save = useMutation({
    mutationFn: async ({ under, text }: { under: string; text: string }) =>
      orProblem(await api.PUT("/api/workouts/{id}", { params: { path: { id: under } }, body: { notation: text } })),
    onSuccess: async (saved) => {
      dropDraft();
      await queryClient.invalidateQueries({ queryKey: keys.workouts });
      await navigate(`/workouts/${saved.id}`);
    },
  });
  const archive = useMutation({
    mutationFn: async (archived: boolean) =>
      orProblem(await api.PUT("/api/workouts/{id}/archived", { params: { path: { id } }, body: { archived } })),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: keys.workouts }),
  });
  const duplicate = (workout: WorkoutView) =>
    save.mutate({
      under: crypto.randomUUID(),
      text: notation.replace(/^(\s*#[^\n/]*?)\s*(?=$|\n|\/\/)/, `$1 II`) || workout.notation,
    });
  const errors = check.data?.errors ?? [];
  const changed = notation !== chosen?.notation;
  return (
    <>
      <section aria-label="Notation">
        <Heading>Write it like the whiteboard</Heading>
        <Editor
          notation={notation}
          onChange={setNotation}
          errors={errors}
          hints={check.data?.hints ?? []}
          tidy={check.data?.tidy}
          movements={movements.data?.map((movement) => movement.name) ?? []}
        />
        {check.isError && <Problem>{message(check.error)}</Problem>}
        {save.isError && <Problem>{message(save.error)}</Problem>}
        <Actions>
          <PrimaryButton
            onPress={() => save.mutate({ under: id, text: notation })}
            isDisabled={errors.length > 0 || !changed || save.isPending || check.isPending}
          >
            {chosen ? "Save changes" : "Add to the library"}
          </PrimaryButton>
          {!chosen && changed && <Button onPress={dropDraft}>Start over</Button>}
          {chosen && changed && <Button onPress={dropDraft}>Undo</Button>}
          {chosen && !changed && !chosen.archived && (
            <ButtonLink to={`/attempts/new?workout=${chosen.id}`}>Add an attempt</ButtonLink>
          )}
          {chosen && !changed && chosen.attempts > 0 && (
            <ButtonLink to={`/workouts/${chosen.id}/ranking`}>Leaderboard</ButtonLink>
          )}
          {chosen && !changed && <Button onPress={() => duplicate(chosen)}>Duplicate</Button>}
          {chosen && !changed && (
            <Button onPress={() => saveText(`${chosen.title}.txt`, chosen.notation)}>Save as text</Button>
          )}
          {chosen && !changed && (
            <Button onPress={() => archive.mutate(!chosen.archived)}>
              {chosen.archived ? "Unarchive" : "Archive"}
            </Button>
          )}
          {chosen && !changed && (
            <DeleteButton
              kind="WORKOUT"
              id={chosen.id}
              what={chosen.title}
              onDeleted={() => void navigate("/workouts")}
            >
              Delete
            </DeleteButton>
          )}
          {chosen && changed && chosen.attempts > 0 && <Small>Existing attempts keep the old version.</Small>}
        </Actions>
      </section>
      <section aria-label="Whiteboard">
        <Heading>Preview</Heading>
        <BoardPreview boards={check.data?.boards ?? []} notes={check.data?.notes ?? []} />
      </section>
    </>
  );
}
