import { useMutation, useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { FileTrigger, ProgressBar } from "react-aria-components";
import styled from "styled-components";
import { api, message, orProblem } from "../api/client";
import type { components } from "../api/schema";
import { say } from "../ui/notices";
import { Button, Caution, Heading, PrimaryButton, Problem, Quiet, SmallButton, Table } from "../ui/primitives";
import { everythingAnew } from "./DeleteButton";
import { sendBackup } from "./sendBackup";
import { bytes, many } from "./words";

type Contents = components["schemas"]["ContentsView"];
type Copy = components["schemas"]["CopyView"];

const Track = styled.div`
  height: 6px;
  max-width: 360px;
  margin: 8px 0;
  background: var(--line);
  border-radius: 3px;
  div {
    height: 100%;
    background: var(--ink);
    border-radius: 3px;
  }
`;

/** Puts a backup back: it is taken in and looked at first, and replaces everything only when that is said. */
export function RestoreBox({ copies }: { copies: Copy[] }) {
  const [share, setShare] = useState<number>();
  const [offer, setOffer] = useState<Contents>();
  const control = useRef<AbortController>(undefined);
  const take = useMutation({
    mutationFn: (file: File) => {
      control.current = new AbortController();
      setShare(0);
      return sendBackup(file, control.current.signal, setShare);
    },
    onSuccess: setOffer,
    onSettled: () => setShare(undefined),
  });
  const takeCopy = useMutation({
    mutationFn: async (name: string) =>
      orProblem(await api.POST("/api/data/copies/{name}/restore", { params: { path: { name } } })),
    onSuccess: setOffer,
  });
  const restore = useMutation({
    mutationFn: async (id: string) => orProblem(await api.POST("/api/data/restore/{id}", { params: { path: { id } } })),
    onSuccess: async () => {
      setOffer(undefined);
      say("Restored. A copy of what was there before is among the copies.");
      await everythingAnew();
    },
  });
  const leave = () => {
    if (offer) void api.DELETE("/api/data/restore/{id}", { params: { path: { id: offer.id } } });
    setOffer(undefined);
  };
  const problem = take.error ?? takeCopy.error ?? restore.error;
  return (
    <section aria-label="Restore" style={{ marginTop: 32 }}>
      <Heading>Restore a backup</Heading>
      {offer ? (
        <>
          <p>
            This backup of {new Date(offer.madeAt).toLocaleString()} holds {many(offer.athletes, "athlete")},{" "}
            {many(offer.workouts, "workout")}, {many(offer.attempts, "attempt")} with {many(offer.marks, "mark")} and{" "}
            {many(offer.recordings, "recording")}
            {offer.withFiles ? ` (${bytes(offer.recordingsBytes)})` : ", without their files"}.
          </p>
          <Caution style={{ margin: "10px 0" }}>Replaces everything now in Wake (a copy is made first).</Caution>
          {restore.isPending ? (
            <Progress />
          ) : (
            <>
              <PrimaryButton onPress={() => restore.mutate(offer.id)}>Replace everything</PrimaryButton>{" "}
              <Button onPress={leave}>Cancel</Button>
            </>
          )}
        </>
      ) : share !== undefined ? (
        <>
          <p role="status">Uploading: {Math.floor(100 * share)}%.</p>
          <Bar share={share} />
          <Button onPress={() => control.current?.abort()}>Cancel</Button>
        </>
      ) : (
        <>
          <Quiet style={{ marginBottom: 10 }}>You see what is in it before anything changes.</Quiet>
          <FileTrigger
            acceptedFileTypes={[".zip"]}
            onSelect={(files) => {
              const file = files?.item(0);
              if (file) take.mutate(file);
            }}
          >
            <Button>Choose a backup</Button>
          </FileTrigger>
          {copies.length > 0 && (
            <Table style={{ marginTop: 16 }}>
              <thead>
                <tr>
                  <th>Automatic copies</th>
                  <th>Size</th>
                  <th>Action</th>
                </tr>
              </thead>
              <tbody>
                {copies.map((copy) => (
                  <tr key={copy.name}>
                    <td>{copy.name.replace(/[.]zip$/, "")}</td>
                    <td>{bytes(copy.bytes)}</td>
                    <td>
                      <SmallButton
                        onPress={() => takeCopy.mutate(copy.name)}
                        aria-label={`Preview the copy ${copy.name}`}
                      >
                        Preview
                      </SmallButton>
                    </td>
                  </tr>
                ))}
              </tbody>
            </Table>
          )}
        </>
      )}
      {problem && <Problem style={{ marginTop: 10 }}>{message(problem)}</Problem>}
    </section>
  );
}

function Bar({ share }: { share: number }) {
  return (
    <ProgressBar value={100 * share} aria-label="Progress">
      <Track>
        <div style={{ width: `${100 * share}%` }} />
      </Track>
    </ProgressBar>
  );
}

/** How far putting back is, as the server tells. */
function Progress() {
  const state = useQuery({
    queryKey: ["restoring"],
    refetchInterval: 300,
    queryFn: async () => orProblem(await api.GET("/api/data/restore")),
  });
  const { rowsDone = 0, rows = 0 } = state.data ?? {};
  return (
    <>
      <p role="status">
        Restoring: {rowsDone} of {rows} rows.
      </p>
      <Bar share={rows > 0 ? Math.min(1, rowsDone / rows) : 0} />
    </>
  );
}
