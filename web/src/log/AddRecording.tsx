import { useMutation, useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { FileTrigger, ProgressBar } from "react-aria-components";
import styled from "styled-components";
import { api, message, orProblem, type AttemptView } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { say } from "../ui/notices";
import { type Going, upload as send } from "./upload";
import { Button, PrimaryButton, Problem, Quiet, Sentence } from "../ui/primitives";

const Box = styled.section`
  margin: auto;
  max-width: 560px;
  padding: 32px;
  display: grid;
  gap: 14px;
`;

const Buttons = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
`;

const Track = styled.div`
  height: 6px;
  background: var(--line);
  border-radius: 3px;
  div {
    height: 100%;
    background: var(--ink);
    border-radius: 3px;
  }
`;

interface Props {
  attemptId: string;
  /** Given when there is a recording already that one can go back to. */
  onBack?: () => void;
  /** To typing times instead. */
  onTimes: () => void;
  /** To the clock at the rig, where there is no recording. */
  onRig?: () => void;
  /** With the recording that came in, where it is a new one. */
  onAdded: (id: string | undefined) => void;
}

/** Takes in a video file, or makes a simulated recording. */
export function AddRecording({ attemptId, onBack, onTimes, onRig, onAdded }: Props) {
  const [going, setGoing] = useState<Going>();
  const transfer = useRef<AbortController>(undefined);
  const there = () =>
    queryClient.getQueryData<AttemptView>(keys.attempt(attemptId))?.recordings.map((one) => one.id) ?? [];
  const done = async (words: string) => {
    const before = there();
    await queryClient.invalidateQueries({ queryKey: keys.attempt(attemptId) });
    await queryClient.invalidateQueries({ queryKey: keys.today });
    say(words);
    onAdded(there().find((id) => !before.includes(id)));
  };
  const upload = useMutation({
    mutationFn: (file: File) => {
      const control = new AbortController();
      transfer.current = control;
      setGoing({ share: 0, doing: "sending" });
      return send({ attemptId, file, storage: localStorage, signal: control.signal, onGoing: setGoing });
    },
    onSuccess: () => done("Video added. Press G at 3-2-1-go to start the clock."),
    onSettled: () => setGoing(undefined),
  });
  const simulate = useMutation({
    mutationFn: async () => {
      const path = { attemptId, id: crypto.randomUUID() };
      const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
      return orProblem(
        await api.PUT("/api/attempts/{attemptId}/recordings/{id}/simulated", { params: { path }, body: { seed } }),
      );
    },
    onSuccess: () => done("Practice video made. Press G at 3-2-1-go to start the clock."),
  });
  const offered = useQuery({
    queryKey: [...keys.attempt(attemptId), "films"],
    queryFn: async () =>
      orProblem(await api.GET("/api/attempts/{attemptId}/recordings/offered", { params: { path: { attemptId } } })),
  });
  const use = useMutation({
    mutationFn: async (id: string) =>
      orProblem(
        await api.PUT("/api/attempts/{attemptId}/recordings/{id}/use", { params: { path: { attemptId, id } } }),
      ),
    onSuccess: () => done("This video now belongs to both attempts. Press O to switch."),
  });
  const failure = upload.error ?? simulate.error ?? use.error;
  return (
    <Box aria-label="Add a video">
      <Sentence as="h2">Add the video.</Sentence>
      <Quiet>
        Use the file straight from the phone. It stays on this machine. If the upload stops, choose the same file to
        resume. No video? Type in the times, or log live at the rig.
      </Quiet>
      {going === undefined ? (
        <Buttons>
          <FileTrigger
            acceptedFileTypes={["video/*"]}
            onSelect={(files) => {
              const file = files?.item(0);
              if (file) upload.mutate(file);
            }}
          >
            <PrimaryButton>Choose a video file</PrimaryButton>
          </FileTrigger>
          <Button onPress={onTimes}>Type in the times</Button>
          {onRig && <Button onPress={onRig}>Log live</Button>}
          <Button onPress={() => simulate.mutate()} isDisabled={simulate.isPending}>
            Make a practice video
          </Button>
          {onBack && <Button onPress={onBack}>Back</Button>}
        </Buttons>
      ) : (
        <>
          <p role="status">{words(going)}</p>
          <ProgressBar value={100 * going.share} aria-label="Upload">
            <Track>
              <div style={{ width: `${100 * going.share}%` }} />
            </Track>
          </ProgressBar>
          <Buttons>
            <Button onPress={() => transfer.current?.abort()}>Cancel</Button>
          </Buttons>
        </>
      )}
      {going === undefined && (offered.data ?? []).length > 0 && (
        <div>
          <Quiet>Or use a video already here from this workout and day:</Quiet>
          <Buttons style={{ marginTop: 8 }}>
            {offered.data?.map((video) => (
              <Button key={video.id} isDisabled={use.isPending} onPress={() => use.mutate(video.id)}>
                {video.athlete}: {video.label}
              </Button>
            ))}
          </Buttons>
        </div>
      )}
      {failure && <Problem>{message(failure)}</Problem>}
    </Box>
  );
}

function words({ doing, share }: Going): string {
  const percent = `${Math.floor(100 * share)}%`;
  if (doing === "converting") return `Converting for the browser: ${percent}.`;
  return doing === "sending" ? `Uploading: ${percent}.` : `Connection lost. Resumes at ${percent}.`;
}
