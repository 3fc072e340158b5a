import { useMutation } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { FileTrigger, ProgressBar } from "react-aria-components";
import styled from "styled-components";
import { api, message, orProblem, problem } from "../api/client";
import { keys, queryClient } from "../api/queries";
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
}

/** Takes in a video file, or makes a simulated recording. */
export function AddRecording({ attemptId, onBack }: Props) {
  const [share, setShare] = useState<number>();
  const transfer = useRef<XMLHttpRequest>(undefined);
  const done = async () => {
    await queryClient.invalidateQueries({ queryKey: keys.attempt(attemptId) });
    await queryClient.invalidateQueries({ queryKey: keys.today });
    onBack?.();
  };
  const upload = useMutation({
    mutationFn: (file: File) => {
      const request = new XMLHttpRequest();
      transfer.current = request;
      return send(request, attemptId, file, setShare);
    },
    onSuccess: done,
    onSettled: () => setShare(undefined),
  });
  const simulate = useMutation({
    mutationFn: async () => {
      const path = { attemptId, id: crypto.randomUUID() };
      const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
      return orProblem(
        await api.PUT("/api/attempts/{attemptId}/recordings/{id}/simulated", { params: { path }, body: { seed } }),
      );
    },
    onSuccess: done,
  });
  const failure = upload.error ?? simulate.error;
  return (
    <Box aria-label="Add a recording">
      <Sentence as="h2">Add the recording.</Sentence>
      <Quiet>
        A WebM or MP4 file from the phone. It stays on this machine: an athlete’s video is private. Or let a simulated
        athlete do this workout, to try the keys.
      </Quiet>
      {share === undefined ? (
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
          <Button onPress={() => simulate.mutate()} isDisabled={simulate.isPending}>
            Make a simulated recording
          </Button>
          {onBack && <Button onPress={onBack}>Back</Button>}
        </Buttons>
      ) : (
        <>
          <ProgressBar value={100 * share} aria-label="Transfer">
            <Track>
              <div style={{ width: `${100 * share}%` }} />
            </Track>
          </ProgressBar>
          <Buttons>
            <Button onPress={() => transfer.current?.abort()}>Cancel</Button>
          </Buttons>
        </>
      )}
      {failure && <Problem>{message(failure)}</Problem>}
    </Box>
  );
}

function send(
  request: XMLHttpRequest,
  attemptId: string,
  file: File,
  progress: (share: number) => void,
): Promise<void> {
  return new Promise((resolve, reject) => {
    const label = encodeURIComponent(file.name);
    request.open("PUT", `/api/attempts/${attemptId}/recordings/${crypto.randomUUID()}?label=${label}`);
    request.setRequestHeader("content-type", "application/octet-stream");
    request.upload.onprogress = (event) => progress(event.loaded / Math.max(1, event.total));
    request.onload = () => {
      if (request.status < 300) resolve();
      else reject(problem(request.status, parsed(request.responseText)));
    };
    request.onerror = () =>
      reject(problem(0, { detail: "The transfer broke off. Nothing of it was kept; try again." }));
    request.onabort = () => reject(problem(0, { detail: "Cancelled. Nothing of it was kept." }));
    request.send(file);
  });
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
