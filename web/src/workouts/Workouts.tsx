import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import styled from "styled-components";
import { api, message, orProblem, type WorkoutView } from "../api/client";
import { keys, queryClient, useWorkouts } from "../api/queries";
import { Button, ButtonLink, Heading, Page, PrimaryButton, Problem, Small } from "../ui/primitives";
import { BoardPreview } from "./BoardPreview";
import { Editor } from "./Editor";

const Columns = styled.div`
  display: grid;
  grid-template-columns: 200px minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 32px;
  @media (max-width: 980px) {
    grid-template-columns: 1fr;
  }
`;

const Shelf = styled.nav`
  a {
    display: block;
    padding: 8px 10px;
    text-decoration: none;
    border-radius: 6px;
  }
  a[aria-current="page"] {
    background: var(--selected);
    font-weight: 600;
  }
`;

const FIRST = "# New workout\nfor time, cap 12:00\n  3 rounds:\n    12 burpee\n    15 kettlebell swing @ 24 kg\n";

export function Workouts() {
  const { id } = useParams();
  const workouts = useWorkouts();
  if (workouts.isPending) return <Page aria-busy />;
  if (workouts.isError) {
    return (
      <Page>
        <Problem>{message(workouts.error)}</Problem>
      </Page>
    );
  }
  const chosen = workouts.data.find((one) => one.id === id);
  return (
    <Page>
      <Columns>
        <Shelf aria-label="Workouts">
          <Heading>Library</Heading>
          {workouts.data.map((one) => (
            <Link key={one.id} to={`/workouts/${one.id}`} aria-current={one.id === id ? "page" : undefined}>
              {one.title}
              <br />
              <Small>{one.format}</Small>
            </Link>
          ))}
          {workouts.data.length === 0 && <Small>Nothing here yet. Write the first one.</Small>}
          <p style={{ marginTop: 12 }}>
            <ButtonLink to="/workouts">Write a new one</ButtonLink>
          </p>
        </Shelf>
        <Desk key={id ?? "new"} chosen={chosen} />
      </Columns>
    </Page>
  );
}

function Desk({ chosen }: { chosen: WorkoutView | undefined }) {
  const navigate = useNavigate();
  const [notation, setNotation] = useState(chosen?.notation ?? FIRST);
  const [newId] = useState(() => crypto.randomUUID());
  const id = chosen?.id ?? newId;
  const check = useQuery({
    queryKey: ["check", notation],
    placeholderData: (previous) => previous,
    queryFn: async () => orProblem(await api.POST("/api/workouts/check", { body: { notation } })),
  });
  const save = useMutation({
    mutationFn: async () =>
      orProblem(await api.PUT("/api/workouts/{id}", { params: { path: { id } }, body: { notation } })),
    onSuccess: async () => {
      await queryClient.invalidateQueries({ queryKey: keys.workouts });
      await navigate(`/workouts/${id}`);
    },
  });
  const errors = check.data?.errors ?? [];
  const changed = notation !== chosen?.notation;
  return (
    <>
      <section aria-label="Notation">
        <Heading>As you would write it on the whiteboard</Heading>
        <Editor notation={notation} onChange={setNotation} errors={errors} hints={check.data?.hints ?? []} />
        {check.isError && <Problem>{message(check.error)}</Problem>}
        {save.isError && <Problem>{message(save.error)}</Problem>}
        <p style={{ marginTop: 14, display: "flex", gap: 8, alignItems: "center" }}>
          <PrimaryButton
            onPress={() => save.mutate()}
            isDisabled={errors.length > 0 || !changed || save.isPending || check.isPending}
          >
            {chosen ? "Keep the change" : "Add to the library"}
          </PrimaryButton>
          {chosen && changed && <Button onPress={() => setNotation(chosen.notation)}>Undo</Button>}
          {chosen && !changed && <ButtonLink to={`/attempts/new?workout=${chosen.id}`}>Enter an attempt</ButtonLink>}
          {chosen && changed && chosen.attempts > 0 && <Small>Attempts already entered keep the old text.</Small>}
        </p>
      </section>
      <section aria-label="Whiteboard">
        <Heading>What it asks for</Heading>
        <BoardPreview boards={check.data?.boards ?? []} />
      </section>
    </>
  );
}
