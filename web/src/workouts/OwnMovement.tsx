import { useMutation } from "@tanstack/react-query";
import { type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { api, message, type MovementView, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { Input, Label, Toggle } from "../ui/fields";
import { Heading, PrimaryButton, Problem, Select } from "../ui/primitives";

const Form = styled.form`
  display: grid;
  gap: 12px;
  position: sticky;
  top: 20px;
  /* Whole on a low screen too, beside a list of hundreds. */
  max-height: calc(100vh - 40px);
  overflow-y: auto;
  padding: 4px;
  margin: -4px;
`;

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
`;

const Chosen = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;

type Loads = MovementView["loads"][number];
type Modality = MovementView["modality"];
type Position = MovementView["starts"];

const MODALITIES: Modality[] = ["BODYWEIGHT", "WEIGHTS", "CYCLIC"];
const LOADS: Loads[] = ["PUSH", "PULL", "HINGE", "SQUAT", "JUMP", "CARRY", "TRUNK", "GRIP", "ENGINE"];
const UNITS = ["rep", "cal", "m", "ft", "s"];
const POSITIONS: Position[] = [
  "STANDING",
  "FLOOR",
  "HIP",
  "RACK",
  "BACK",
  "OVERHEAD",
  "HANG",
  "WALL",
  "SEAT",
  "ON_BOX",
];

interface Props {
  movement: MovementView | undefined;
  onDone: () => void;
}

/** What stands between commas. */
const listed = (text: string) =>
  text
    .split(",")
    .map((one) => one.trim())
    .filter((one) => one !== "");

const words = (name: string) => (name === "CYCLIC" ? "erg, run, bike" : name.toLowerCase().replace("_", " "));

/** Adds a movement of the coach's own to the catalogue, or changes one. */
export function OwnMovement({ movement, onDone }: Props) {
  const [name, setName] = useState(movement?.name ?? "");
  const [aliases, setAliases] = useState(movement?.aliases.join(", ") ?? "");
  const [loads, setLoads] = useState<Loads[]>(movement?.loads ?? []);
  const [of, setOf] = useState(movement?.of.join(", ") ?? "");
  const [modality, setModality] = useState<Modality>(movement?.modality ?? "BODYWEIGHT");
  const [unit, setUnit] = useState(movement?.unit ?? "rep");
  const [starts, setStarts] = useState<Position>(movement?.starts ?? "STANDING");
  const [ends, setEnds] = useState<Position>(movement?.ends ?? "STANDING");
  const [fast, setFast] = useState(`${movement?.fast ?? 2}`);
  const [slow, setSlow] = useState(`${movement?.slow ?? 4}`);
  const [goodRep, setGoodRep] = useState(movement?.goodRep ?? "");
  const [caution, setCaution] = useState(movement?.caution ?? "");
  const keep = useMutation({
    mutationFn: async () =>
      orProblem(
        await api.PUT("/api/movements/{name}", {
          params: { path: { name: name.trim().toLowerCase() } },
          body: {
            aliases: listed(aliases),
            modality,
            loads,
            of: listed(of),
            unit,
            starts,
            ends,
            fast: Number(fast),
            slow: Number(slow),
            goodRep,
            caution,
          },
        }),
      ),
    onSuccess: async () => {
      await queryClient.invalidateQueries({ queryKey: keys.movements });
      setName("");
      setAliases("");
      setLoads([]);
      setOf("");
      onDone();
    },
  });
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  const field = (label: string, value: string, onChange: (value: string) => void, isRequired = false) => (
    <TextField value={value} onChange={onChange} isRequired={isRequired}>
      <Label>{label}</Label>
      <Input />
    </TextField>
  );
  const choice = <T extends string>(label: string, value: T, all: readonly T[], onChange: (value: T) => void) => (
    <label>
      <Label elementType="span">{label}</Label>
      <Select value={value} onChange={(event) => onChange(event.target.value as T)} style={{ width: "100%" }}>
        {all.map((one) => (
          <option key={one} value={one}>
            {words(one)}
          </option>
        ))}
      </Select>
    </label>
  );
  return (
    <Form onSubmit={submit} aria-label="Own movement">
      <Heading>{movement ? `Edit ${movement.name}` : "Add a movement of your own"}</Heading>
      {!movement && field("Name", name, setName, true)}
      {field("Other names, separated by commas", aliases, setAliases)}
      <Two>
        {choice("Type", modality, MODALITIES, setModality)}
        {choice("Counted in", unit, UNITS, setUnit)}
        {choice("Start position", starts, POSITIONS, setStarts)}
        {choice("End position", ends, POSITIONS, setEnds)}
        {field("Seconds per rep, fresh", fast, setFast, true)}
        {field("Seconds per rep, tired", slow, setSlow, true)}
      </Two>
      <div role="group" aria-label="Taxes">
        <Label elementType="span">Taxes</Label>
        <Chosen>
          {LOADS.map((one) => (
            <Toggle
              key={one}
              isSelected={loads.includes(one)}
              onChange={(on) => setLoads(LOADS.filter((load) => (load === one ? on : loads.includes(load))))}
            >
              {words(one)}
            </Toggle>
          ))}
        </Chosen>
      </div>
      {field("Use the max of (if it has none)", of, setOf)}
      {field("Rep standard", goodRep, setGoodRep)}
      {field("Safety note", caution, setCaution)}
      {keep.isError && <Problem>{message(keep.error)}</Problem>}
      <div>
        <PrimaryButton type="submit" isDisabled={keep.isPending}>
          {movement ? "Save changes" : "Add"}
        </PrimaryButton>
      </div>
    </Form>
  );
}
