import { type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { Input, Label } from "../ui/fields";
import { Button, PrimaryButton, Small } from "../ui/primitives";

const Form = styled.form`
  display: grid;
  gap: 14px;
`;

const Buttons = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
`;

/** What is told with a lift: how it came out, or that its marks are to come. */
export interface ToldLift {
  reps: number;
  tag: string;
}

interface Props {
  /** What the next lift is taken to be. */
  before: string;
  onLift: (load: string, told: ToldLift) => void;
}

/** Takes load and outcome of the lift that is on screen. */
export function LiftBox({ before, onLift }: Props) {
  const [load, setLoad] = useState(before);
  const [on, setOn] = useState("");
  const fits = /^\d{1,4}([.]\d{1,2})?\s*(kg|lb)?\s*(,.+)?$/.test(load.trim());
  const rep = /^\d{1,3}$/.test(on.trim()) ? `on ${on.trim()}` : "";
  const tell = (told: ToldLift) => fits && onLift(load.trim(), told);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    tell({ reps: 1, tag: "" });
  };
  return (
    <Form onSubmit={submit}>
      <TextField value={load} onChange={setLoad} autoFocus isInvalid={load !== "" && !fits}>
        <Label>Load, e.g. 85 kg, 185 lb or 85; for a build-up single “60 kg, 1 clean”</Label>
        <Input />
      </TextField>
      <TextField value={on} onChange={setOn}>
        <Label>Missed on rep (optional)</Label>
        <Input inputMode="numeric" style={{ width: 80 }} />
      </TextField>
      <Buttons>
        <PrimaryButton type="submit" isDisabled={!fits}>
          Made
        </PrimaryButton>
        <Button isDisabled={!fits} onPress={() => tell({ reps: 0, tag: rep })}>
          Missed
        </Button>
        <Button isDisabled={!fits} onPress={() => tell({ reps: 0, tag: "open" })}>
          Lift started, finish with the keys
        </Button>
      </Buttons>
      <Small>No unit = same as the last lift.</Small>
    </Form>
  );
}
