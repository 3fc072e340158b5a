import { useMutation, useQuery } from "@tanstack/react-query";
import { type SyntheticEvent, useMemo, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { api, message, orProblem, type StrengthDayView, type StrengthReadView } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { Input, Label, TextArea } from "../ui/fields";
import { say } from "../ui/notices";
import { Button, ButtonLink, PrimaryButton, Problem, Quiet, Small, SmallButton } from "../ui/primitives";
import { day as dayWords, today } from "../ui/time";
import { useDraft } from "../ui/useDraft";

const EXAMPLE =
  "back squat 5 x 3 @ 80%, tempo 31X1, rest 2:00\n100 kg, 100, 105 effort 8\n107.5 x 2 effort 9; third rep pinned";

/** Days beyond these are shown unfolded. */
const SHOWN = 5;

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 12px 48px;
  margin-top: 8px;
  @media (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Entry = styled.form`
  display: grid;
  gap: 10px;
  align-content: start;
`;

const Day = styled.article`
  border-top: 1px solid var(--line);
  padding: 8px 0;
  header {
    display: flex;
    gap: 8px;
    align-items: center;
  }
  header strong {
    margin-right: auto;
  }
`;

const Lifts = styled.ul`
  list-style: none;
  margin: 2px 0 0;
  padding: 0;
  font-stretch: 88%;
  > li {
    padding: 2px 0;
  }
`;

/** Strength work that is not for time, typed set by set; each day with what was asked, the sets, and what they come to. */
export function StrengthWork({ athleteId }: { athleteId: string }) {
  const [all, setAll] = useState(false);
  const [kept, keep, drop] = useDraft(`strength ${athleteId}`, "");
  const draft = useMemo(() => read(kept), [kept]);
  const { on, text, editing } = draft;
  const write = (now: Draft) => keep(JSON.stringify(now));
  const days = useQuery({
    queryKey: [...keys.athletes, athleteId, "strength"],
    queryFn: async () =>
      orProblem(await api.GET("/api/athletes/{id}/strength", { params: { path: { id: athleteId } } })),
  });
  const put = useMutation({
    mutationFn: async ({ on: day, ...body }: { on: string; text: string; was?: string }) => {
      const where = { params: { path: { id: athleteId, day } }, body };
      return orProblem(
        body.was === undefined
          ? await api.POST("/api/athletes/{id}/strength/{day}", where)
          : await api.PUT("/api/athletes/{id}/strength/{day}", where),
      );
    },
    onSuccess: (now, day) => {
      const before = day.was ?? textOf(days.data, day.on);
      say(`Strength work of ${dayWords(day.on)} ${day.text === "" ? "deleted" : "saved"}.`, {
        words: "Undo",
        act: () => put.mutate({ on: day.on, text: before, was: textOf(now, day.on) }),
      });
      return queryClient.invalidateQueries({ queryKey: [...keys.athletes, athleteId] });
    },
    onError: (error) => say(message(error)),
  });
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    put.mutate({ on, text, ...(editing && { was: draft.was }) }, { onSuccess: drop });
  };
  const shown = all ? days.data : days.data?.slice(0, SHOWN);
  return (
    <Columns>
      <div>
        {days.data?.length === 0 && <Quiet>Sets that are not for time go here: lifts, holds, accessories.</Quiet>}
        {shown?.map((one) => (
          <Day key={one.doneOn}>
            <header>
              <strong>{dayWords(one.doneOn)}</strong>
              <SmallButton
                aria-label={`Edit ${dayWords(one.doneOn)}`}
                onPress={() => write({ on: one.doneOn, text: one.text, was: one.text, editing: true })}
              >
                Edit
              </SmallButton>
              <SmallButton
                aria-label={`Delete ${dayWords(one.doneOn)}`}
                isDisabled={put.isPending}
                onPress={() => put.mutate({ on: one.doneOn, text: "", was: one.text })}
              >
                Delete
              </SmallButton>
            </header>
            <Said read={one.read} />
          </Day>
        ))}
        {(days.data?.length ?? 0) > SHOWN && (
          <p style={{ marginTop: 8 }}>
            <SmallButton onPress={() => setAll(!all)}>
              {all ? "Show less" : `All ${days.data?.length} days`}
            </SmallButton>
          </p>
        )}
        {(days.data?.length ?? 0) > 0 && (
          <p style={{ marginTop: 8 }}>
            <ButtonLink to={`/api/athletes/${athleteId}/strength/strength.csv`} reloadDocument download>
              Sets as CSV
            </ButtonLink>
          </p>
        )}
      </div>
      <Entry onSubmit={submit} aria-label={editing ? "Edit strength work" : "Add strength work"}>
        <TextField value={on} onChange={(now) => write({ ...draft, on: now })} type="date" isDisabled={editing}>
          <Label>Day</Label>
          <Input style={{ width: "auto" }} />
        </TextField>
        <TextField value={text} onChange={(now) => write({ ...draft, text: now })}>
          <Label>Lift and what was asked, then the sets</Label>
          <TextArea rows={6} placeholder={EXAMPLE} />
        </TextField>
        <Preview athleteId={athleteId} text={text} />
        {put.isError && <Problem>{message(put.error)}</Problem>}
        <div style={{ display: "flex", gap: 8 }}>
          <PrimaryButton type="submit" isDisabled={put.isPending || !days.isSuccess || text.trim() === "" || on === ""}>
            {editing ? "Save" : "Add"}
          </PrimaryButton>
          {editing && <Button onPress={drop}>Cancel</Button>}
        </div>
        <Small as="p">
          3 @ 100 kg · 100 kg x 3 · 2/3 @ 105 (one missed) · 20 s · 12 reps · effort 8 · a note behind a semicolon. Stop
          a set when the position goes; pain goes to a licensed professional.
        </Small>
      </Entry>
    </Columns>
  );
}

/** What is being written: for which day, and whether in the place of what was there. */
interface Draft {
  on: string;
  text: string;
  was: string;
  editing: boolean;
}

function textOf(days: StrengthDayView[] | undefined, day: string): string {
  return days?.find((one) => one.doneOn === day)?.text ?? "";
}

function read(kept: string): Draft {
  return kept === "" ? { on: today(), text: "", was: "", editing: false } : (JSON.parse(kept) as Draft);
}

/** What the text says so far, and what cannot be read. */
function Preview({ athleteId, text }: { athleteId: string; text: string }) {
  const read = useQuery({
    queryKey: [...keys.athletes, athleteId, "strength", "read", text],
    enabled: text.trim() !== "",
    placeholderData: (previous) => previous,
    queryFn: async () =>
      orProblem(
        await api.POST("/api/athletes/{id}/strength/read", { params: { path: { id: athleteId } }, body: { text } }),
      ),
  });
  return text.trim() !== "" && read.data ? <Said read={read.data} /> : null;
}

function Said({ read }: { read: StrengthReadView }) {
  return (
    <>
      <Lifts>
        {read.works.map((work, at) => (
          <li key={`${at} ${work.movement}`}>
            <strong>{work.movement}</strong> {work.asked && <span>{work.asked}</span>}{" "}
            {work.note && <Small>{work.note}</Small>}
            {work.sets.length > 0 && <div>{work.sets.join(" · ")}</div>}
            <Small>{work.says}</Small>
          </li>
        ))}
      </Lifts>
      {read.problems.map((problem) => (
        <Problem key={problem}>{problem}</Problem>
      ))}
    </>
  );
}
