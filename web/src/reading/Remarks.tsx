import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { api, type AttemptView, message, orProblem, type ReadingView } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { Button, Problem, Quiet, Small } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

const List = styled.ol`
  list-style: none;
  margin: 0 0 12px;
  padding: 0;
  li {
    padding: 4px 0;
  }
`;

const Text = styled.textarea`
  font: inherit;
  width: 100%;
  min-height: 72px;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--panel);
  color: var(--ink);
  box-sizing: border-box;
`;

const MOST = 4000;
const AROUND_MS = 1500;

interface Props {
  attempt: AttemptView;
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Everything that was noted, in time order, and what the coach has to say of the attempt as a whole. */
export function Remarks({ attempt, reading, onPlay }: Props) {
  const { clock } = useTimes();
  return (
    <>
      {reading.notes.length === 0 ? (
        <Quiet style={{ marginBottom: 12 }}>No notes or faults yet. Press C while logging to add a note.</Quiet>
      ) : (
        <List>
          {reading.notes.map((note) => (
            <li key={`${note.atMs} ${note.words}`}>
              <Play
                what={note.words}
                fromMs={note.atMs - AROUND_MS}
                toMs={note.atMs + AROUND_MS}
                says={clock(note.atMs)}
                onPlay={onPlay}
              />{" "}
              <span className="only-on-paper">{clock(note.atMs)} </span>
              {note.words} {note.tag && <Small>{note.tag === "cue" ? "cue given" : note.tag}</Small>}
            </li>
          ))}
        </List>
      )}
      {reading.observed.map((words) => (
        <p key={words} style={{ margin: "4px 0" }}>
          {words}.
        </p>
      ))}
      <WholeNote key={attempt.id} attempt={attempt} />
    </>
  );
}

function WholeNote({ attempt }: { attempt: AttemptView }) {
  const [text, setText] = useState(attempt.note);
  const keep = useMutation({
    mutationFn: async () =>
      orProblem(await api.PUT("/api/attempts/{id}/note", { params: { path: { id: attempt.id } }, body: { text } })),
    onSuccess: (view) => queryClient.setQueryData(keys.attempt(attempt.id), view),
  });
  return (
    <label className={text === "" ? "not-on-paper" : undefined}>
      <Small>Note on the whole attempt</Small>
      <Text maxLength={MOST} value={text} onChange={(event) => setText(event.target.value)} />
      <Button isDisabled={text.trim() === attempt.note || keep.isPending} onPress={() => keep.mutate()}>
        Save note
      </Button>{" "}
      {keep.isSuccess && text.trim() === attempt.note && <Small role="status">Saved.</Small>}
      {keep.error && <Problem>{message(keep.error)}</Problem>}
    </label>
  );
}
