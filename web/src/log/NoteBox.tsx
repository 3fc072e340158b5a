import { type KeyboardEvent, type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { Input, Label } from "../ui/fields";
import { PrimaryButton, Select, Small, SmallButton } from "../ui/primitives";

// A cue was said to the athlete; everything else was observed.
const TAGS = ["", "cue", "good", "bad", "posture", "breath", "grip", "footwork", "set-up", "standard", "effort"];
const EFFORTS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10];
const MOST_PHRASES = 9;

const Form = styled.form`
  display: grid;
  gap: 14px;
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
`;

interface Props {
  phrases: string[];
  goodRep: string | undefined;
  onCue: (text: string, tag: string) => void;
  onPhrases: (phrases: string[]) => void;
}

/** Takes a note for the moment that was on screen when it was opened: words, a phrase of the coach's own, or effort. */
export function NoteBox({ phrases, goodRep, onCue, onPhrases }: Props) {
  const [text, setText] = useState("");
  const [tag, setTag] = useState("");
  const wrong = tag === "effort" && !/^(10|\d)([.,]5)?$/.test(text.trim());
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    if (text.trim() !== "" && !wrong) onCue(text.trim(), tag);
  };
  const press = (event: KeyboardEvent) => {
    const phrase = phrases[Number(event.key) - 1];
    if (event.altKey && phrase !== undefined) {
      event.preventDefault();
      onCue(phrase, tag);
    }
  };
  return (
    <Form onSubmit={submit} onKeyDown={press}>
      <TextField value={text} onChange={setText} autoFocus maxLength={2000}>
        <Label>{tag === "cue" ? "What did you say?" : "What did you see?"}</Label>
        <Input />
      </TextField>
      {goodRep && <Small>A good rep: {goodRep}</Small>}
      {phrases.length > 0 && (
        <Row aria-label="Quick notes">
          {phrases.map((phrase, index) => (
            <SmallButton key={phrase} onPress={() => onCue(phrase, tag)}>
              Alt {index + 1} · {phrase}
            </SmallButton>
          ))}
        </Row>
      )}
      <Row>
        <span>Effort</span>
        {EFFORTS.map((effort) => (
          <SmallButton key={effort} aria-label={`Effort ${effort}`} onPress={() => onCue(`${effort}`, "effort")}>
            {effort}
          </SmallButton>
        ))}
      </Row>
      <label>
        About{" "}
        <Select value={tag} onChange={(event) => setTag(event.target.value)}>
          {TAGS.map((one) => (
            <option key={one} value={one}>
              {one === "" ? "what I saw" : one === "cue" ? "a cue I gave" : one}
            </option>
          ))}
        </Select>
      </label>
      {wrong && text !== "" && <Small>Effort is a number from 0 to 10.</Small>}
      <Row>
        <PrimaryButton type="submit" isDisabled={text.trim() === "" || wrong}>
          Add note
        </PrimaryButton>
        <SmallButton
          isDisabled={text.trim() === "" || phrases.includes(text.trim()) || phrases.length >= MOST_PHRASES}
          onPress={() => onPhrases([...phrases, text.trim()])}
        >
          Save as quick note
        </SmallButton>
        {phrases.length > 0 && (
          <SmallButton onPress={() => onPhrases(phrases.slice(0, -1))}>Remove the last quick note</SmallButton>
        )}
      </Row>
    </Form>
  );
}
