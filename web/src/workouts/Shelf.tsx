import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { FileTrigger, TextField } from "react-aria-components";
import { Link } from "react-router";
import styled from "styled-components";
import { message, type WorkoutView } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { Input, Label, Toggle } from "../ui/fields";
import { ButtonLink, Heading, Problem, Small, SmallButton } from "../ui/primitives";
import { saveLibrary, takeIn } from "./files";

const List = styled.nav`
  a[data-workout] {
    display: block;
    padding: 7px 10px;
    text-decoration: none;
    border-radius: 6px;
  }
  a[aria-current="page"] {
    background: var(--selected);
    font-weight: 600;
  }
`;

const Row = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 12px;
`;

interface Props {
  workouts: WorkoutView[];
  chosenId: string | undefined;
}

/** The library: search, archive, and files in and out. */
export function Shelf({ workouts, chosenId }: Props) {
  const [search, setSearch] = useState("");
  const [archived, setArchived] = useState(false);
  const take = useMutation({
    mutationFn: takeIn,
    onSuccess: () => queryClient.invalidateQueries({ queryKey: keys.workouts }),
  });
  const save = useMutation({ mutationFn: saveLibrary });
  const wanted = search.trim().toLowerCase();
  const shown = workouts.filter((one) => (archived || !one.archived) && one.notation.toLowerCase().includes(wanted));
  return (
    <List aria-label="Workouts">
      <Heading>Library</Heading>
      <TextField value={search} onChange={setSearch} style={{ marginBottom: 8 }}>
        <Label>Search in titles and lines</Label>
        <Input />
      </TextField>
      {shown.map((one) => (
        <Link
          key={one.id}
          data-workout
          to={`/workouts/${one.id}`}
          aria-current={one.id === chosenId ? "page" : undefined}
        >
          {one.title}
          {one.archived && <Small> · archived</Small>}
          <br />
          <Small>{one.format}</Small>
        </Link>
      ))}
      {shown.length === 0 && (
        <Small>{workouts.length === 0 ? "Nothing here yet. Write the first one." : "No match."}</Small>
      )}
      <Row>
        <ButtonLink to="/workouts">Write a new one</ButtonLink>
        <ButtonLink to="/workouts/movements">Movements</ButtonLink>
      </Row>
      <Row>
        <FileTrigger
          allowsMultiple
          acceptedFileTypes={[".txt", ".json"]}
          onSelect={(files) => files && take.mutate([...files])}
        >
          <SmallButton>Import files</SmallButton>
        </FileTrigger>
        <SmallButton onPress={() => save.mutate()}>Save all as JSON</SmallButton>
        <Toggle
          isSelected={archived}
          onChange={setArchived}
          style={{ minHeight: 26, padding: "1px 9px", fontSize: 13 }}
        >
          Archived
        </Toggle>
      </Row>
      {take.data && (
        <Small as="p" role="status">
          {take.data}
        </Small>
      )}
      {(take.error ?? save.error) && <Problem>{message(take.error ?? save.error)}</Problem>}
    </List>
  );
}
