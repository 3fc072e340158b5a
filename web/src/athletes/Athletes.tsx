import { useMutation } from "@tanstack/react-query";
import { type SyntheticEvent, useMemo, useRef, useState } from "react";
import { TextField } from "react-aria-components";
import { Link } from "react-router";
import styled from "styled-components";
import { api, type Athlete, message, orProblem, type RosterRow } from "../api/client";
import { keys, queryClient, useAthletes, useProjectionRecord, useRoster, useSquadTechniques } from "../api/queries";
import { DeleteButton } from "../data/DeleteButton";
import { Input, Label } from "../ui/fields";
import {
  Actions,
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
  stacked,
  Table,
} from "../ui/primitives";
import { stepOf } from "../attempts/stepOf";
import { say } from "../ui/notices";
import { day } from "../ui/time";
import { useDraft } from "../ui/useDraft";
import { FiguresField } from "./FiguresField";
import { LiftHistory } from "./LiftHistory";

const Columns = styled.div<{ $form: boolean }>`
  display: grid;
  grid-template-columns: ${({ $form }) => ($form ? "minmax(0, 1.7fr) minmax(280px, 1fr)" : "minmax(0, 1fr)")};
  gap: 40px;
  margin-top: 14px;
  @media (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
    form {
      order: -1;
    }
  }
`;

const Rows = styled(Table)`
  th,
  td {
    text-align: left;
  }
  td {
    vertical-align: top;
  }
  td:first-child {
    min-width: 150px;
  }
  td.more {
    white-space: nowrap;
    text-align: right;
  }
  ${stacked}
`;

const Fields = styled.form`
  display: grid;
  gap: 14px;
  align-content: start;
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

/** From so many athletes on they can be searched. */
const SEARCHED_FROM = 9;

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
  const rows = useRoster();
  const squad = useSquadTechniques();
  const [adding, setAdding] = useState(false);
  const [words, setWords] = useState("");
  const save = useMutation({
    mutationFn: async (now: Draft) =>
      orProblem(await api.PUT("/api/athletes/{id}", { params: { path: { id: now.id } }, body: changes(now, opened) })),
    onSuccess: async (_, now) => {
      say(opened ? `${now.name} saved.` : `${now.name} added.`);
      drop();
      // After one comes the next, until the form is closed.
      setAdding(!opened);
      nameField.current?.focus();
      await queryClient.invalidateQueries({ queryKey: keys.athletes });
      await queryClient.invalidateQueries({ queryKey: keys.today });
      await queryClient.invalidateQueries({ queryKey: ["attempt"], refetchType: "none" });
    },
  });
  const open = (athlete: Draft) => write(athlete, athlete);
  const clear = () => {
    drop();
    setAdding(false);
  };
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    save.mutate(draft);
  };
  const all = athletes.data ?? [];
  const shown = all.filter((one) => one.name.toLowerCase().includes(words.trim().toLowerCase()));
  const form = adding || kept !== "" || athletes.data?.length === 0;
  return (
    <Page>
      <title>Athletes · Wake</title>
      <Sentence>{athletes.data ? roster(athletes.data.length) : "Athletes."}</Sentence>
      {calls.data?.overall && <Quiet>Projections so far: {calls.data.overall.says}</Quiet>}
      <Actions>
        {!form && <Button onPress={() => setAdding(true)}>Add an athlete</Button>}
        {all.length >= SEARCHED_FROM && (
          <TextField aria-label="Search athletes" value={words} onChange={setWords}>
            <Input placeholder="Search" />
          </TextField>
        )}
      </Actions>
      <Columns $form={form}>
        <section aria-label="Athletes">
          {athletes.isError && <Problem>{message(athletes.error)}</Problem>}
          {athletes.data?.length === 0 && <Quiet>Add your first athlete.</Quiet>}
          {all.length > 0 && (
            <Rows>
              <thead>
                <tr>
                  <th>Athlete</th>
                  <th>Last attempt</th>
                  <th>To do</th>
                  <th>Projections</th>
                  <th>
                    <span className="visually-hidden">More</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {shown.map((athlete) => (
                  <Profile
                    key={athlete.id}
                    athlete={athlete}
                    row={rows.data?.find((one) => one.athleteId === athlete.id)}
                    read={rows.isSuccess}
                    onEdit={() => open(athlete)}
                  />
                ))}
              </tbody>
            </Rows>
          )}
          {all.length > 0 && shown.length === 0 && <Quiet>No athlete found.</Quiet>}
          {squad.data && squad.data.length > 0 && (
            <section aria-label="Technique tests" style={{ marginTop: 28 }}>
              <Heading>Technique tests, all athletes</Heading>
              {squad.data.map((line) => (
                <p key={line}>{line}</p>
              ))}
            </section>
          )}
        </section>
        {form && (
          <Fields onSubmit={submit} aria-label={known ? "Edit athlete" : "Add athlete"}>
            <Heading>{known ? "Edit athlete" : "Add an athlete"}</Heading>
            <TextField value={draft.name} onChange={(name) => setDraft({ ...draft, name })} isRequired>
              <Label>Name</Label>
              <Input ref={nameField} autoFocus={adding} />
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
              {all.length > 0 && <Button onPress={clear}>Cancel</Button>}{" "}
              {known && (
                <DeleteButton kind="ATHLETE" id={draft.id} what={draft.name} onDeleted={clear}>
                  Delete
                </DeleteButton>
              )}
            </div>
          </Fields>
        )}
      </Columns>
    </Page>
  );
}

interface Shown {
  athlete: Athlete;
  row: RosterRow | undefined;
  /** Whether it is known what there is of them. */
  read: boolean;
  onEdit: () => void;
}

/** An athlete in a row, with what is noted about them below it when asked for. */
function Profile({ athlete, row, read, onEdit }: Shown) {
  const calls = useProjectionRecord().data?.athletes.find((one) => one.athleteId === athlete.id);
  const [open, setOpen] = useState(false);
  return (
    <>
      <tr>
        <td data-label="Athlete">
          <Link to={`/athletes/${athlete.id}`}>
            <strong>{athlete.name}</strong>
          </Link>
          {athlete.recoversSlowly && <Small> slow to recover</Small>}
          {athlete.pain && (
            <Caution style={{ marginTop: 6 }}>
              Pain on file: {athlete.pain}. No retest until a licensed professional clears it and you remove the note.
            </Caution>
          )}
        </td>
        <td data-label="Last attempt">
          {row?.last ? (
            <>
              <Link to={`/attempts/${row.last.id}/${stepOf(row.last)}`}>{row.last.title}</Link>{" "}
              {row.last.score && <span>{row.last.score} </span>}
              <Small>{day(row.last.doneOn)}</Small>
            </>
          ) : (
            read && <Small>No attempts yet.</Small>
          )}
        </td>
        <td data-label="To do">
          {row && row.toReview > 0 && (
            <Link to={`/attempts?athlete=${athlete.id}&place=TO_REVIEW`}>{row.toReview} to review</Link>
          )}
          {row?.due && (
            <div>
              <Link to={`/attempts/${row.due.id}/${stepOf(row.due)}`}>{row.due.title}</Link>{" "}
              <Small>{day(row.due.doneOn)}</Small>
            </div>
          )}
          {row && row.toReview === 0 && !row.due && "–"}
        </td>
        <td data-label="Projections">{calls ? <Small>{calls.record.says}</Small> : "–"}</td>
        <td className="more">
          <SmallButton
            aria-expanded={open}
            aria-label={`Notes on ${athlete.name}`}
            onPress={() => setOpen((before) => !before)}
          >
            Notes
          </SmallButton>{" "}
          <SmallButton onPress={onEdit} aria-label={`Edit ${athlete.name}`}>
            Edit
          </SmallButton>
        </td>
      </tr>
      {open && (
        <tr>
          <td colSpan={5}>
            <Noted athlete={athlete} kinds={calls?.kinds ?? []} />
            {row && row.attempts > 1 && <Link to={`/attempts?athlete=${athlete.id}`}>All {row.attempts} attempts</Link>}
          </td>
        </tr>
      )}
    </>
  );
}

function Noted({ athlete, kinds }: { athlete: Athlete; kinds: string[] }) {
  return (
    <>
      {athlete.note && <Quiet>{athlete.note}</Quiet>}
      {kinds.length > 0 && (
        <Advice aria-label={`Projection record of ${athlete.name}, by kind of change`}>
          {kinds.map((line) => (
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
      {!athlete.note && !athlete.figures && <Quiet>Nothing noted yet.</Quiet>}
    </>
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
