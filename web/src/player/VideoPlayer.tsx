import { useQuery } from "@tanstack/react-query";
import { type Ref, useEffect, useImperativeHandle, useRef, useState } from "react";
import { api, orProblem, type RecordingView } from "../api/client";
import { Followers } from "../ui/followers";
import { MissingVideo } from "./MissingVideo";
import { Problem } from "../ui/primitives";
import { Frames } from "./frames";
import { looped, type Player, type Stretch } from "./player";

const NOT_FOUND = 404;

interface Props {
  recording: RecordingView;
  ref: Ref<Player>;
}

/** A video file; a video that was missing is opened anew once it is here. */
export function VideoPlayer({ recording, ref }: Props) {
  const [broken, setBroken] = useState(false);
  if (broken) return <Broken recording={recording} onHere={() => setBroken(false)} />;
  return <Video recording={recording} ref={ref} onBroken={() => setBroken(true)} />;
}

/** A video that is here. Its time is the media time of the frame on screen. */
function Video({ recording, ref, onBroken }: Props & { onBroken: () => void }) {
  const element = useRef<HTMLVideoElement>(null);
  const shown = useRef<Shown>({ atMs: 0, sought: false, loop: undefined, followers: new Followers() });
  const frames = useRef(new Frames([]));
  const times = useFrameTimes(recording.id);

  useEffect(() => {
    if (times) frames.current = new Frames(times);
  }, [times]);

  useEffect(() => {
    const video = element.current;
    if (!video) return;
    const { tell } = shown.current.followers;
    let handle = 0;
    const presented = (_now: number, { mediaTime }: VideoFrameCallbackMetadata) => {
      const atMs = mediaTime * 1000;
      if (!video.paused) frames.current.saw(atMs - shown.current.atMs);
      // Standing after a seek, its target counts: frames of seeks before it may still come in.
      if (!(video.paused && shown.current.sought)) shown.current.atMs = atMs;
      const back = video.paused ? undefined : looped(atMs, shown.current.loop);
      if (back !== undefined) video.currentTime = back / 1000;
      tell();
      handle = video.requestVideoFrameCallback(presented);
    };
    handle = video.requestVideoFrameCallback(presented);
    const changes = ["play", "pause", "ended", "ratechange", "loadedmetadata"];
    for (const change of changes) video.addEventListener(change, tell);
    return () => {
      video.cancelVideoFrameCallback(handle);
      for (const change of changes) video.removeEventListener(change, tell);
    };
  }, []);

  useImperativeHandle(ref, () => videoPlayer(element, shown, frames), []);

  const loaded = () => {
    const durationMs = Math.round((element.current?.duration ?? 0) * 1000);
    if (durationMs > 0 && Number.isFinite(durationMs) && durationMs !== recording.durationMs) {
      void api.PUT("/api/recordings/{id}/duration", { params: { path: { id: recording.id } }, body: { durationMs } });
    }
  };

  return (
    <video
      ref={element}
      src={`/api/recordings/${recording.id}/media`}
      preload="auto"
      playsInline
      onLoadedMetadata={loaded}
      onError={onBroken}
      aria-label={recording.label}
    />
  );
}

/** A video that is not here can be brought after; one that is here and does not play cannot be helped. */
function Broken({ recording, onHere }: { recording: RecordingView; onHere: () => void }) {
  const place = `/api/recordings/${recording.id}/media`;
  const missing = useQuery({
    queryKey: ["missing", recording.id],
    queryFn: async () => (await fetch(place, { method: "HEAD" })).status === NOT_FOUND,
  });
  if (missing.data) return <MissingVideo recording={recording} onHere={onHere} />;
  return (
    <Problem style={{ padding: 24 }}>
      This browser cannot play {recording.label}. Save it as WebM (VP9) or MP4 (H.264) and add it again.
    </Problem>
  );
}

/** The times of the video's frames, once they are known; none where the server cannot tell them. */
function useFrameTimes(recordingId: string): number[] | undefined {
  return useQuery({
    queryKey: ["frames", recordingId],
    staleTime: Infinity,
    queryFn: async () =>
      orProblem(await api.GET("/api/recordings/{id}/frames", { params: { path: { id: recordingId } } })),
  }).data?.timesMs;
}

interface Shown {
  /** Media time of the frame on screen. */
  atMs: number;
  /** Whether the last move was a seek rather than playing. */
  sought: boolean;
  loop: Stretch | undefined;
  followers: Followers;
}

function videoPlayer(
  element: { current: HTMLVideoElement | null },
  shown: { current: Shown },
  frames: { current: Frames },
): Player {
  const video = () => element.current;
  const durationMs = () => {
    const duration = video()?.duration ?? 0;
    return Number.isFinite(duration) ? duration * 1000 : 0;
  };
  /** Into the middle of a frame, so that rounding never lands on the one before; the frame's own time counts. */
  const show = ({ atMs, lengthMs }: { atMs: number; lengthMs: number }) => {
    const target = video();
    if (!target) return;
    target.currentTime = Math.min(atMs + lengthMs / 2, durationMs()) / 1000;
    shown.current.atMs = atMs;
    shown.current.sought = true;
    shown.current.followers.tell();
  };
  return {
    timeMs: () => shown.current.atMs,
    nowMs: () => (video()?.currentTime ?? 0) * 1000,
    durationMs,
    frameMs: () => frames.current.at(shown.current.atMs).lengthMs,
    paused: () => video()?.paused ?? true,
    play: () => {
      shown.current.sought = false;
      void video()?.play();
    },
    pause: () => video()?.pause(),
    seek: (ms) => show(frames.current.at(Math.min(Math.max(0, ms), durationMs()))),
    step: (count) => {
      video()?.pause();
      show(frames.current.from(shown.current.atMs, count));
    },
    ready: () => {
      const target = video();
      return !!target && !target.seeking && target.readyState >= target.HAVE_FUTURE_DATA;
    },
    mute: (silent) => {
      const target = video();
      if (target) target.muted = silent;
    },
    loop: (stretch) => {
      shown.current.loop = stretch;
    },
    looping: () => shown.current.loop !== undefined,
    follow: shown.current.followers.add,
    rate: () => video()?.playbackRate ?? 1,
    setRate: (rate) => {
      const target = video();
      if (target) target.playbackRate = rate;
    },
  };
}
