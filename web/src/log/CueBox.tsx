import { type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { Input, Label, PrimaryButton, Select } from "../ui/primitives";

const TAGS = ["", "posture", "breath", "grip", "footwork", "set-up", "standard", "effort"];

const Form = styled.form`
  display: grid;
  gap: 14px;
`;

interface Props {
  onCue: (text: string, tag: string) => void;
}

/** Takes a note for the moment that was on screen when it was opened. */
export function CueBox({ onCue }: Props) {
  const [text, setText] = useState("");
  const [tag, setTag] = useState("");
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    if (text.trim() !== "") onCue(text.trim(), tag);
  };
  return (
    <Form onSubmit={submit}>
      <TextField value={text} onChange={setText} autoFocus maxLength={2000}>
        <Label>What did you see?</Label>
        <Input />
      </TextField>
      <label>
        About{" "}
        <Select value={tag} onChange={(event) => setTag(event.target.value)}>
          {TAGS.map((one) => (
            <option key={one} value={one}>
              {one || "anything"}
            </option>
          ))}
        </Select>
      </label>
      <div>
        <PrimaryButton type="submit" isDisabled={text.trim() === ""}>
          Pin it here
        </PrimaryButton>
      </div>
    </Form>
  );
}
