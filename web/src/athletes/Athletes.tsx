import { useMutation } from "@tanstack/react-query";
import { type SyntheticEvent, useMemo, useRef } from "react";
import { TextField } from "react-aria-components";
import { Link } from "react-router";
import styled from "styled-components";
import { api, type Athlete, message, orProblem } from "../api/client";
import { keys, queryClient, useAthletes, useProjectionRecord, useLatest } from "../api/queries";
import { DeleteButton } from "../data/DeleteButton";
import { Input, Label } from "../ui/fields";
import {
  Button,
  Caution,
  Heading,
  Page,
  PrimaryButton,
  Problem,
  Quiet,
  Sentence,
  Small,
  SmallButton,
} from "../ui/primitives";
import { stepOf } from "../attempts/stepOf";
import { say } from "../ui/notices";
import { day } from "../ui/time";
import { useDraft } from "../ui/useDraft";
import { FiguresField } from "./FiguresField";
import { LiftHistory } from "./LiftHistory";

const Columns = styled.div`
  display: grid;
  grid-template-columns: 1.6fr 1fr;
  gap: 48px;
  margin-top: 28px;
  @media (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Entry = styled.article`
  border-top: 1px solid var(--line);
  padding: 14px 0;
`;

const Fields = styled.form`
  display: grid;
  gap: 14px;
  align-content: start;
`;

const Attempts = styled.ul`
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  font-stretch: 88%;
`;

const Figures = styled.p`
  font-stretch: 84%;
  color: var(--ink-2);
  font-size: 14px;
  margin-top: 4px;
  span + span::before {
    content: " · ";
  }
`;

const Advice = styled.ul`
  margin: 6px 0 0;
  padding-left: 18px;
  font-size: 14px;
`;

/** So many attempts of an athlete are listed here; the rest stands among all attempts. */
const SHOWN = 6;

interface Draft {
  id: string;
  name: string;
  note: string;
  figures: string;
  pain: string;
  recoversSlowly: boolean;
}

const blank = (): Draft => ({
  id: crypto.randomUUID(),
  name: "",
  note: "",
  figures: "",
  pain: "",
  recoversSlowly: false,
});

export function Athletes() {
  const athletes = useAthletes();
  const calls = useProjectionRecord();
  const [kept, keep, drop] = useDraft("athlete", "");
  const { draft, opened } = useMemo(() => readForm(kept), [kept]);
  const write = (now: Draft, was: Draft | undefined) => keep(JSON.stringify({ draft: now, opened: was }));
  const setDraft = (now: Draft) => write(now, opened);
  const known = athletes.data?.some((one) => one.id === draft.id) ?? false;
  const nameField = useRef<HTMLInputElement>(null);
  const save = useMutation({
    mutationFn: async (now: Draft) =>
      orProblem(await api.PUT("/api/athletes/{id}", { params: { path: { id: now.id } }, body: changes(now, opened) })),
    onSuccess: async (_, now) => {
      say(opened ? `${now.name} saved.` : `${now.name} added.`);
      clear();
      nameField.current?.focus();
      await queryClient.invalidateQueries({ queryKey: keys.athletes });
      await queryClient.invalidateQueries({ queryKey: keys.today });
      await queryClient.invalidateQueries({ queryKey: ["attempt"], refetchType: "none" });
    },
  });
  const open = (athlete: Draft) => write(athlete, athlete);
  const clear = drop;
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    save.mutate(draft);
  };
  return (
    <Page>
      <title>Athletes · Wake</title>
      <Sentence>{athletes.data ? roster(athletes.data.length) : "Athletes."}</Sentence>
      <Columns>
        <section aria-label="Athletes">
          {calls.data?.overall && <Quiet>Projections so far: {calls.data.overall.says}</Quiet>}
          {athletes.isError && <Problem>{message(athletes.error)}</Problem>}
          {athletes.data?.length === 0 && <Quiet>Add your first athlete.</Quiet>}
          {athletes.data?.map((athlete) => (
            <Profile key={athlete.id} athlete={athlete} onEdit={() => open(athlete)} />
          ))}
        </section>
        <Fields onSubmit={submit} aria-label={known ? "Edit athlete" : "Add athlete"}>
          <Heading>{known ? "Edit athlete" : "Add an athlete"}</Heading>
          <TextField value={draft.name} onChange={(name) => setDraft({ ...draft, name })} isRequired>
            <Label>Name</Label>
            <Input ref={nameField} />
          </TextField>
          <TextField value={draft.note} onChange={(note) => setDraft({ ...draft, note })}>
            <Label>Coach’s notes</Label>
            <Input />
          </TextField>
          <TextField value={draft.pain} onChange={(pain) => setDraft({ ...draft, pain })}>
            <Label>Current pain or injury (blocks scheduling a retest until cleared)</Label>
            <Input />
          </TextField>
          <label>
            <input
              type="checkbox"
              checked={draft.recoversSlowly}
              onChange={(event) => setDraft({ ...draft, recoversSlowly: event.target.checked })}
            />{" "}
            Slow to recover (adds a day before a retest)
          </label>
          <FiguresField value={draft.figures} onChange={(figures) => setDraft({ ...draft, figures })} />
          {save.isError && <Problem>{message(save.error)}</Problem>}
          <div>
            <PrimaryButton type="submit" isDisabled={save.isPending}>
              {known ? "Save changes" : "Add"}
            </PrimaryButton>{" "}
            {(known || kept !== "") && <Button onPress={clear}>Cancel</Button>}{" "}
            {known && (
              <DeleteButton kind="ATHLETE" id={draft.id} what={draft.name} onDeleted={clear}>
                Delete
              </DeleteButton>
            )}
          </div>
        </Fields>
      </Columns>
    </Page>
  );
}

function Profile({ athlete, onEdit }: { athlete: Athlete; onEdit: () => void }) {
  const latest = useLatest(SHOWN, athlete.id).data;
  const calls = useProjectionRecord().data?.athletes.find((one) => one.athleteId === athlete.id);
  const attempts = latest?.rows ?? [];
  return (
    <Entry>
      <Link to={`/athletes/${athlete.id}`}>
        <strong>{athlete.name}</strong>
      </Link>{" "}
      <SmallButton onPress={onEdit} aria-label={`Edit ${athlete.name}`}>
        Edit
      </SmallButton>
      {athlete.note && <Quiet>{athlete.note}</Quiet>}
      {athlete.pain && (
        <Caution style={{ marginTop: 6 }}>
          Pain on file: {athlete.pain}. No retest until a licensed professional clears it and you remove the note.
        </Caution>
      )}
      {athlete.recoversSlowly && <Small as="p">Slow to recover.</Small>}
      {calls && <Small as="p">{calls.record.says}</Small>}
      {calls && calls.kinds.length > 0 && (
        <Advice aria-label={`Projection record of ${athlete.name}, by kind of change`}>
          {calls.kinds.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </Advice>
      )}
      {athlete.figures && <Figures>{athlete.figures.split("\n").map(fact)}</Figures>}
      <LiftHistory athleteId={athlete.id} name={athlete.name} />
      {athlete.advice.length > 0 && (
        <Advice aria-label={`Planning tips from the bests of ${athlete.name}`}>
          {athlete.advice.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </Advice>
      )}
      <Attempts>
        {attempts.map((row) => (
          <li key={row.id}>
            <Link to={`/attempts/${row.id}/${stepOf(row)}`}>{row.title}</Link>{" "}
            <Small>
              {day(row.doneOn)} · {row.score || (row.stage === "NO_RECORDING" ? "upcoming" : "to review")}
            </Small>
          </li>
        ))}
      </Attempts>
      {latest?.total === 0 && <Small>No attempts yet.</Small>}
      {latest && latest.total > attempts.length && (
        <Link to={`/attempts?athlete=${athlete.id}`}>All {latest.total} attempts</Link>
      )}
    </Entry>
  );
}

interface Form {
  draft: Draft;
  /** The athlete as this window last saw them, when the change was begun. */
  opened: Draft | undefined;
}

/** The form as it was left. */
function readForm(kept: string): Form {
  try {
    return JSON.parse(kept) as Form;
  } catch {
    return { draft: blank(), opened: undefined };
  }
}

/** Only what was changed here: what another window has noted meanwhile, as a pain, stays. */
function changes({ name, note, figures, pain, recoversSlowly }: Draft, opened: Draft | undefined) {
  const all = { name, note, figures, pain, recoversSlowly };
  if (!opened) return all;
  return Object.fromEntries(
    Object.entries(all).filter(([key, value]) => value !== opened[key as keyof typeof all]),
  ) as Partial<typeof all>;
}

function fact(line: string, index: number) {
  return line.trim() && <span key={index}>{line.trim()}</span>;
}

function roster(count: number): string {
  if (count === 0) return "No athletes yet.";
  return count === 1 ? "1 athlete." : `${count} athletes.`;
}
