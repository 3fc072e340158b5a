import { type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { Input, Label } from "../ui/fields";
import { Button, PrimaryButton } from "../ui/primitives";

const Form = styled.form`
  display: grid;
  gap: 14px;
`;

interface Props {
  /** The load of the lift before, to start from. */
  before: string;
  onLift: (load: string, made: boolean) => void;
}

/** Takes load and outcome of the lift that is on screen. */
export function LiftBox({ before, onLift }: Props) {
  const [load, setLoad] = useState(before);
  const fits = /^\d{1,4}([.]\d{1,2})?\s*(kg|lb)$/.test(load.trim());
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    if (fits) onLift(load.trim(), true);
  };
  return (
    <Form onSubmit={submit}>
      <TextField value={load} onChange={setLoad} autoFocus isInvalid={load !== "" && !fits}>
        <Label>Load, as in 85 kg</Label>
        <Input />
      </TextField>
      <div>
        <PrimaryButton type="submit" isDisabled={!fits}>
          Made
        </PrimaryButton>{" "}
        <Button isDisabled={!fits} onPress={() => onLift(load.trim(), false)}>
          Missed
        </Button>
      </div>
    </Form>
  );
}
