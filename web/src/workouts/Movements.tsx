import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { api, message, type MovementView, orProblem } from "../api/client";
import { keys, queryClient, useMovements } from "../api/queries";
import { Input, Label } from "../ui/fields";
import { ButtonLink, Page, Problem, Quiet, Sentence, Small, SmallButton } from "../ui/primitives";
import { OwnMovement } from "./OwnMovement";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
  gap: 48px;
  margin-top: 24px;
  align-items: start;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Entry = styled.article`
  border-top: 1px solid var(--line);
  padding: 10px 0;
`;

const Caution = styled.p`
  color: var(--caution);
  font-size: 13.5px;
`;

/** The movement catalogue: what makes a good rep, what to watch for, and the coach's own movements. */
export function Movements() {
  const movements = useMovements();
  const [search, setSearch] = useState("");
  const [changing, setChanging] = useState<MovementView>();
  const refresh = () => queryClient.invalidateQueries({ queryKey: keys.movements });
  const remove = useMutation({
    mutationFn: async (name: string) =>
      orProblem(await api.DELETE("/api/movements/{name}", { params: { path: { name } } })),
    onSuccess: refresh,
  });
  const wanted = search.trim().toLowerCase();
  const shown = (movements.data ?? []).filter((one) =>
    [one.name, ...one.aliases, ...one.loads].some((word) => word.toLowerCase().includes(wanted)),
  );
  return (
    <Page>
      <title>Movements · Wake</title>
      <Sentence>{movements.data ? `${movements.data.length} movements.` : "Movements."}</Sentence>
      <Quiet style={{ marginTop: 8 }}>
        You can write any other name too. Rates are typical values (common practice, no source); event rules decide what
        counts. <ButtonLink to="/workouts">Back to workouts</ButtonLink>
      </Quiet>
      {movements.isError && <Problem>{message(movements.error)}</Problem>}
      <Columns>
        <section aria-label="Catalogue">
          <TextField value={search} onChange={setSearch}>
            <Label>Search names, abbreviations, or what it taxes (push, grip …)</Label>
            <Input />
          </TextField>
          {shown.map((one) => (
            <Entry key={one.name}>
              <strong>{one.name}</strong>{" "}
              <Small>
                {one.aliases.join(", ")} · {one.fast}–{one.slow} s per {one.unit} · {one.loads.join(", ").toLowerCase()}
                {one.of.length > 0 && ` · of ${one.of.join(", ")}`}
              </Small>
              <Quiet>{one.goodRep}</Quiet>
              {one.caution && <Caution>{one.caution}</Caution>}
              {one.own && (
                <>
                  <SmallButton onPress={() => setChanging(one)}>Change</SmallButton>{" "}
                  <SmallButton onPress={() => remove.mutate(one.name)}>Remove</SmallButton>
                </>
              )}
            </Entry>
          ))}
          {movements.data && shown.length === 0 && <Quiet>No match.</Quiet>}
          {remove.isError && <Problem>{message(remove.error)}</Problem>}
        </section>
        <OwnMovement key={changing?.name ?? "new"} movement={changing} onDone={() => setChanging(undefined)} />
      </Columns>
    </Page>
  );
}
