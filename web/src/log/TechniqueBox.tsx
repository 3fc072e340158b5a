import { type KeyboardEvent, type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { Input, Label } from "../ui/fields";
import { PrimaryButton, Small, SmallButton } from "../ui/primitives";

const MOST = 60;

const Form = styled.form`
  display: grid;
  gap: 14px;
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;

interface Props {
  /** What the movement being done is called, if one is. */
  movement: string | undefined;
  /** Ways named before in this attempt. */
  known: string[];
  onVariant: (name: string) => void;
}

/** Takes how the movement is done from this moment on: "step-back", "left arm". */
export function TechniqueBox({ movement, known, onVariant }: Props) {
  const [text, setText] = useState("");
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    if (text.trim() !== "") onVariant(text.trim());
  };
  const press = (event: KeyboardEvent) => {
    const name = known[Number(event.key) - 1];
    if (event.altKey && name !== undefined) {
      event.preventDefault();
      onVariant(name);
    }
  };
  return (
    <Form onSubmit={submit} onKeyDown={press}>
      <TextField value={text} onChange={setText} autoFocus maxLength={MOST}>
        <Label>{movement ? `Which ${movement} technique from here on?` : "Which technique from here on?"}</Label>
        <Input />
      </TextField>
      <Small>E.g. step-back, left arm, no belt. It holds until you name another, over all rounds.</Small>
      {known.length > 0 && (
        <Row aria-label="Named before">
          {known.map((name, index) => (
            <SmallButton key={name} onPress={() => onVariant(name)}>
              Alt {index + 1} · {name}
            </SmallButton>
          ))}
        </Row>
      )}
      <div>
        <PrimaryButton type="submit" isDisabled={text.trim() === ""}>
          From here on
        </PrimaryButton>
      </div>
    </Form>
  );
}
