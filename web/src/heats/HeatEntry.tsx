import { useMutation, useQuery } from "@tanstack/react-query";
import { type KeyboardEvent, type SyntheticEvent, useDeferredValue, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import styled from "styled-components";
import { api, type HeatReadView, message, orProblem } from "../api/client";
import { keys, queryClient, useWorkouts } from "../api/queries";
import { EntryForm } from "../attempt/EntryFields";
import { TextArea } from "../ui/fields";
import {
  ButtonLink,
  Heading,
  Page,
  PrimaryButton,
  Problem,
  Quiet,
  Select,
  Sentence,
  Small,
  Table,
} from "../ui/primitives";
import { everythingAnew } from "../data/DeleteButton";
import { say } from "../ui/notices";
import { today } from "../ui/time";

const LINES = 10;

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 420px) minmax(0, 1fr);
  gap: 48px;
  align-items: start;
  @media (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
`;

/** Puts the attempts into the bin; athletes stay on the roster. */
async function takeBack(ids: string[]): Promise<void> {
  try {
    for (const id of ids) {
      orProblem(await api.POST("/api/bin/{kind}/{id}", { params: { path: { kind: "ATTEMPT", id } } }));
    }
    say("Undone. The attempts are in the bin for 30 days.");
  } catch (error) {
    say(message(error));
  }
  await everythingAnew();
}

/** A heat entered at once: the workout, the day, and an athlete a line, with the score where it is known. */
export function HeatEntry() {
  const workouts = useWorkouts();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const [id] = useState(() => crypto.randomUUID());
  const [workoutId, setWorkoutId] = useState(search.get("workout") ?? "");
  const [division, setDivision] = useState("");
  const [part, setPart] = useState<number>();
  const [doneOn, setDoneOn] = useState(today);
  const [text, setText] = useState("");
  const workout = workouts.data?.find((one) => one.id === workoutId);
  const divisions = workout?.divisions ?? [];
  const parts = workout?.parts ?? [];
  const usual = divisions.includes(division) ? division : (divisions[0] ?? "");
  const one = part !== undefined && part < parts.length ? part : undefined;
  const asked = one === undefined ? {} : { part: one };
  const written = useDeferredValue(text);
  const read = useQuery({
    queryKey: ["heat", workoutId, usual, one, written],
    enabled: workoutId !== "",
    placeholderData: (previous) => previous,
    queryFn: async () =>
      orProblem(await api.POST("/api/heats/read", { body: { workoutId, division: usual, ...asked, text: written } })),
  });
  const view = text.trim() === "" ? undefined : read.data;
  const example = read.data?.example ?? "8:45";
  const enter = useMutation({
    mutationFn: async () =>
      orProblem(
        await api.PUT("/api/heats/{id}", {
          params: { path: { id } },
          body: { workoutId, division: usual, doneOn, ...asked, text },
        }),
      ),
    onSuccess: async (heat) => {
      await queryClient.invalidateQueries({ queryKey: keys.today });
      await queryClient.invalidateQueries({ queryKey: keys.athletes });
      const entered = heat.rows.flatMap((row) => row.attemptIds);
      const scored = (view?.rows ?? []).every((row) => row.scores[0] !== "");
      const many = `${entered.length} ${entered.length === 1 ? "attempt" : "attempts"} added`;
      say(scored ? `${many}.` : `${many}. Add the video here; all of them share it.`, {
        words: "Undo",
        act: () => void takeBack(entered).then(() => navigate("/")),
      });
      const first = heat.rows[0]?.attemptIds[0];
      if (scored) await navigate(`/workouts/${workoutId}/ranking${one ? `?part=${one}` : ""}`);
      else await navigate(first ? `/attempts/${first}/log` : "/");
    },
  });
  if (workouts.data?.length === 0) {
    return (
      <Page>
        <title>Add a heat · Wake</title>
        <Sentence>A heat needs a workout.</Sentence>
        <ButtonLink to="/workouts">Workouts</ButtonLink>
      </Page>
    );
  }
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    enter.mutate();
  };
  const keyed = (event: KeyboardEvent) => {
    if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) submit(event);
  };
  const ready = workoutId !== "" && view !== undefined && view.errors.length === 0 && view.rows.length > 0;
  return (
    <Page>
      <title>Add a heat · Wake</title>
      <Sentence>New heat</Sentence>
      <Two>
        <EntryForm onSubmit={submit}>
          <label>
            Workout
            <Select required value={workoutId} onChange={(event) => setWorkoutId(event.target.value)}>
              <option value="" disabled>
                Choose a workout
              </option>
              {(workouts.data ?? [])
                .filter((one) => !one.archived || one.id === workoutId)
                .map((each) => (
                  <option key={each.id} value={each.id}>
                    {each.title} ({each.format})
                  </option>
                ))}
            </Select>
          </label>
          {parts.length > 1 && (
            <label>
              Part
              <Select
                value={one ?? ""}
                onChange={(event) => setPart(event.target.value === "" ? undefined : Number(event.target.value))}
              >
                <option value="">All parts</option>
                {parts.map((one, index) => (
                  <option key={one.name} value={index}>
                    {one.name}: {one.format}
                  </option>
                ))}
              </Select>
            </label>
          )}
          {divisions.length > 0 && (
            <label>
              Default division
              <Select value={usual} onChange={(event) => setDivision(event.target.value)}>
                {divisions.map((one) => (
                  <option key={one}>{one}</option>
                ))}
              </Select>
            </label>
          )}
          <label>
            Date
            <input type="date" required value={doneOn} onChange={(event) => setDoneOn(event.target.value)} />
          </label>
          <label>
            Athletes, one per line
            <TextArea
              rows={LINES}
              value={text}
              onChange={(event) => setText(event.target.value)}
              onKeyDown={keyed}
              placeholder={`1 mar\n2 jory k${divisions[1] ? `, ${divisions[1]}` : ""}, ${example}\n+ Somebody New`}
              spellCheck={false}
            />
          </label>
          <Quiet style={{ fontSize: 13.5 }}>
            Lane number (optional), then enough of the name to find the athlete
            {divisions.length > 1 && ", then a comma and the division"}. Put + before a new athlete. A score can follow
            {one === undefined && parts.length > 1 && ", one per part in order, – for none"}: {example}. A table pasted
            from a spreadsheet works too.
          </Quiet>
          {enter.isError && <Problem>{message(enter.error)}</Problem>}
          <div>
            <PrimaryButton type="submit" isDisabled={!ready || enter.isPending}>
              Add heat (Ctrl+Enter)
            </PrimaryButton>
          </div>
        </EntryForm>
        <section aria-label="Preview" style={{ marginTop: 24 }} aria-live="polite">
          <Heading>Preview</Heading>
          {workoutId === "" ? (
            <Quiet>Choose the workout first.</Quiet>
          ) : view ? (
            <Read view={view} divided={divisions.length > 0} />
          ) : (
            <Quiet>No athletes yet.</Quiet>
          )}
          {read.isError && <Problem>{message(read.error)}</Problem>}
        </section>
      </Two>
    </Page>
  );
}

function Read({ view, divided }: { view: HeatReadView; divided: boolean }) {
  const scored = view.rows.some((row) => row.scores.some((score) => score !== ""));
  return (
    <>
      {view.errors.map((error) => (
        <Problem key={error.line}>
          Line {error.line}: {error.message}
        </Problem>
      ))}
      <Table>
        <thead>
          <tr>
            <th>Lane</th>
            <th style={{ textAlign: "left" }}>Athlete</th>
            {divided && <th>Division</th>}
            {scored && <th>Score</th>}
          </tr>
        </thead>
        <tbody>
          {view.rows.map((row) => (
            <tr key={row.line}>
              <td>{row.lane ?? "–"}</td>
              <td style={{ textAlign: "left" }}>
                {row.athlete} {!row.known && <Small>new athlete</Small>}
              </td>
              {divided && <td>{row.division}</td>}
              {scored && <td>{row.scores.map((score) => score || "–").join(" · ")}</td>}
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}
