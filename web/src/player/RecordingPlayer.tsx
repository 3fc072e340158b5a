import { useQuery } from "@tanstack/react-query";
import type { Ref } from "react";
import styled from "styled-components";
import { api, message, orProblem, type RecordingView } from "../api/client";
import { Problem } from "../ui/primitives";
import type { Player } from "./player";
import { SimulatedPlayer } from "./SimulatedPlayer";
import { VideoPlayer } from "./VideoPlayer";

/** As large as the frame it is put into: no picture makes its frame grow, however it was held. */
const Fit = styled.div`
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  background: #0c161b;
  overflow: hidden;
  video,
  canvas {
    position: absolute;
    inset: 0;
    display: block;
    width: 100%;
    height: 100%;
    object-fit: contain;
  }
`;

interface Props {
  recording: RecordingView;
  ref: Ref<Player>;
}

/** Plays a recording of either kind. */
export function RecordingPlayer({ recording, ref }: Props) {
  return (
    <Fit>{recording.kind === "VIDEO" ? <Video {...{ recording, ref }} /> : <Script {...{ recording, ref }} />}</Fit>
  );
}

function Video({ recording, ref }: Props) {
  return <VideoPlayer key={recording.id} recording={recording} ref={ref} />;
}

function Script({ recording, ref }: Props) {
  const script = useQuery({
    queryKey: ["script", recording.id],
    staleTime: Infinity,
    queryFn: async () =>
      orProblem(await api.GET("/api/recordings/{id}/script", { params: { path: { id: recording.id } } })),
  });
  if (script.isError) return <Problem>{message(script.error)}</Problem>;
  return script.data ? <SimulatedPlayer key={recording.id} script={script.data} ref={ref} /> : null;
}
