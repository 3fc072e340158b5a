import { useMutation } from "@tanstack/react-query";
import { type SyntheticEvent, useState } from "react";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { api, type AttemptView, message, orProblem, type RecordingView } from "../api/client";
import { keys, queryClient, useAthletes, useLatest, useWorkouts } from "../api/queries";
import { DeleteButton } from "../data/DeleteButton";
import { say } from "../ui/notices";
import { Input } from "../ui/fields";
import { Button, Heading, Page, PrimaryButton, Problem, Quiet, Select, Sentence } from "../ui/primitives";
import { day } from "../ui/time";
import { useOpenAttempt } from "./AttemptPage";
import { type Entry, EntryFields, EntryForm, settled } from "./EntryFields";

/** A recording is moved to an attempt of late. */
const MOST_LISTED = 50;

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 48px;
  align-items: start;
  @media (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Recording = styled.li`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  input {
    flex: 1;
    min-width: 160px;
  }
`;

const List = styled.ul`
  list-style: none;
  margin: 20px 0 0;
  padding: 0;
`;

const of = (attempt: AttemptView): Entry => ({
  athleteId: attempt.athleteId,
  workoutId: attempt.workoutId,
  division: attempt.division,
  part: attempt.part,
  cutInto: `${attempt.cutInto}`,
  doneOn: attempt.doneOn,
});

/** Who did what and when, put right; and the recordings of the attempt. */
export function EntryStep() {
  const attempt = useOpenAttempt();
  const athletes = useAthletes();
  const workouts = useWorkouts();
  const navigate = useNavigate();
  const [entry, setEntry] = useState<Entry>(() => of(attempt));
  const [asItIs, setAsItIs] = useState(false);
  const path = { id: attempt.id };
  const { request } = settled(entry, workouts.data ?? []);
  const put = async (body: typeof request & { workoutAsItIs: boolean }) => {
    const view = orProblem(await api.PUT("/api/attempts/{id}/entry", { params: { path }, body }));
    queryClient.setQueryData(keys.attempt(attempt.id), view);
    await queryClient.invalidateQueries({ queryKey: keys.attempt(attempt.id), refetchType: "none" });
    await queryClient.invalidateQueries({ queryKey: keys.today });
    return view;
  };
  const correct = useMutation({
    mutationFn: () => put({ ...request, workoutAsItIs: asItIs }),
    onSuccess: () => {
      const before = settled(of(attempt), workouts.data ?? []).request;
      setAsItIs(false);
      say("Saved.", {
        words: "Undo",
        act: () => void put({ ...before, workoutAsItIs: false }).then((view) => setEntry(of(view))),
      });
    },
  });
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    correct.mutate();
  };
  return (
    <Page>
      <Sentence>Edit attempt</Sentence>
      <Two>
        <section aria-label="Entry">
          <EntryForm onSubmit={submit}>
            <EntryFields
              entry={entry}
              onEntry={setEntry}
              athletes={athletes.data ?? []}
              workouts={workouts.data ?? []}
            />
            <label className="beside">
              <input type="checkbox" checked={asItIs} onChange={(event) => setAsItIs(event.target.checked)} />
              Use the current version of the workout
            </label>
            <Quiet style={{ fontSize: 13.5 }}>
              Attempts keep the version they were added with. Marks stay; any that no longer fit are flagged in the log.
              A plan that no longer fits becomes a draft; the old one stays under Versions.
            </Quiet>
            {correct.isError && <Problem>{message(correct.error)}</Problem>}
            <div style={{ display: "flex", flexWrap: "wrap", gap: 8 }}>
              <PrimaryButton type="submit" isDisabled={correct.isPending || !workouts.isSuccess}>
                Save changes
              </PrimaryButton>
              <DeleteButton
                kind="ATTEMPT"
                id={attempt.id}
                what={`${attempt.athlete}, ${attempt.title}`}
                onDeleted={() => void navigate("/")}
              >
                Delete attempt
              </DeleteButton>
            </div>
          </EntryForm>
        </section>
        <section aria-label="Videos">
          <Heading style={{ marginTop: 24 }}>Videos</Heading>
          {attempt.recordings.length === 0 && <Quiet>None yet. Add one on the Log step.</Quiet>}
          <List>
            {attempt.recordings.map((one) =>
              one.own ? (
                <OneRecording
                  key={one.id}
                  recording={one}
                  attemptId={attempt.id}
                  others={attempt.onVideo.filter((other) => other.recordingId === one.id).map((other) => other.athlete)}
                />
              ) : (
                <OthersVideo key={one.id} recording={one} attemptId={attempt.id} />
              ),
            )}
          </List>
        </section>
      </Two>
    </Page>
  );
}

/** A video that was added to another athlete's attempt: this one can only leave it. */
function OthersVideo({ recording, attemptId }: { recording: RecordingView; attemptId: string }) {
  const leave = useMutation({
    mutationFn: async () =>
      orProblem(
        await api.DELETE("/api/attempts/{attemptId}/recordings/{id}/use", {
          params: { path: { attemptId, id: recording.id } },
        }),
      ),
    onSuccess: async () => {
      say("This attempt is no longer on that video. The video stays with the other.");
      await queryClient.invalidateQueries({ queryKey: ["attempt"] });
      await queryClient.invalidateQueries({ queryKey: keys.today });
    },
  });
  return (
    <Recording>
      <span>{recording.label}, the video of another athlete</span>
      <Button onPress={() => leave.mutate()} isDisabled={leave.isPending}>
        Remove from this attempt
      </Button>
      {leave.isError && <Problem style={{ width: "100%" }}>{message(leave.error)}</Problem>}
    </Recording>
  );
}

interface OneProps {
  recording: RecordingView;
  attemptId: string;
  /** Who else is on it. */
  others: string[];
}

function OneRecording({ recording, attemptId, others }: OneProps) {
  const [label, setLabel] = useState(recording.label);
  const [to, setTo] = useState(attemptId);
  const rows = useLatest(MOST_LISTED).data?.rows ?? [];
  const keep = useMutation({
    mutationFn: async () =>
      orProblem(
        await api.PUT("/api/recordings/{id}", {
          params: { path: { id: recording.id } },
          body: { label, attemptId: to },
        }),
      ),
    onSuccess: async () => {
      say(to === attemptId ? "Renamed." : "Moved to the other attempt.");
      await queryClient.invalidateQueries({ queryKey: ["attempt"] });
      await queryClient.invalidateQueries({ queryKey: keys.today });
    },
  });
  const changed = label !== recording.label || to !== attemptId;
  return (
    <Recording>
      <Input aria-label="Name of the video" value={label} onChange={(event) => setLabel(event.target.value)} />
      <Select aria-label="Attempt the video is of" value={to} onChange={(event) => setTo(event.target.value)}>
        <option value={attemptId}>this attempt</option>
        {rows
          .filter((row) => row.id !== attemptId)
          .map((row) => (
            <option key={row.id} value={row.id}>
              {row.athlete}, {row.title}, {day(row.doneOn)}
            </option>
          ))}
      </Select>
      <Button onPress={() => keep.mutate()} isDisabled={!changed || !label.trim() || keep.isPending}>
        Save
      </Button>
      <DeleteButton kind="RECORDING" id={recording.id} what={recording.label} onDeleted={() => undefined}>
        Remove
      </DeleteButton>
      {others.length > 0 && (
        <Quiet style={{ width: "100%" }}>
          {others.join(" and ")} {others.length === 1 ? "is" : "are"} on this video too and will lose it.
        </Quiet>
      )}
      {keep.isError && <Problem style={{ width: "100%" }}>{message(keep.error)}</Problem>}
    </Recording>
  );
}
