import { type Ref, useEffect, useImperativeHandle, useRef, useState } from "react";
import { api, type RecordingView } from "../api/client";
import { Followers } from "../ui/followers";
import { Problem } from "../ui/primitives";
import { looped, type Player, type Stretch } from "./player";

/** Until a shorter gap between frames is seen while playing. */
const USUAL_FRAME_MS = 1000 / 30;

interface Props {
  recording: RecordingView;
  ref: Ref<Player>;
}

/** A video file. Its time is the media time of the frame on screen, as the browser presents it. */
export function VideoPlayer({ recording, ref }: Props) {
  const element = useRef<HTMLVideoElement>(null);
  const frame = useRef<Frame>({
    atMs: 0,
    lengthMs: USUAL_FRAME_MS,
    sought: false,
    loop: undefined,
    followers: new Followers(),
  });
  const [broken, setBroken] = useState(false);

  useEffect(() => {
    const video = element.current;
    if (!video) return;
    const { tell } = frame.current.followers;
    let handle = 0;
    const presented = (_now: number, { mediaTime }: VideoFrameCallbackMetadata) => {
      const atMs = mediaTime * 1000;
      const gap = atMs - frame.current.atMs;
      if (!video.paused && gap > 5) frame.current.lengthMs = Math.min(frame.current.lengthMs, gap);
      // Standing after a seek, its target counts: frames of seeks before it may still come in.
      if (!(video.paused && frame.current.sought)) frame.current.atMs = atMs;
      const back = video.paused ? undefined : looped(atMs, frame.current.loop);
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

  useImperativeHandle(ref, () => videoPlayer(element, frame), []);

  const loaded = () => {
    const durationMs = Math.round((element.current?.duration ?? 0) * 1000);
    if (durationMs > 0 && Number.isFinite(durationMs) && durationMs !== recording.durationMs) {
      void api.PUT("/api/recordings/{id}/duration", { params: { path: { id: recording.id } }, body: { durationMs } });
    }
  };

  if (broken) {
    return (
      <Problem style={{ padding: 24 }}>
        This browser cannot play {recording.label}. Save it as WebM (VP9) or MP4 (H.264) and add it again.
      </Problem>
    );
  }
  return (
    <video
      ref={element}
      src={`/api/recordings/${recording.id}/media`}
      preload="auto"
      playsInline
      onLoadedMetadata={loaded}
      onError={() => setBroken(true)}
      aria-label={recording.label}
    />
  );
}

interface Frame {
  atMs: number;
  lengthMs: number;
  /** Whether the last move was a seek rather than playing. */
  sought: boolean;
  loop: Stretch | undefined;
  followers: Followers;
}

function videoPlayer(element: { current: HTMLVideoElement | null }, frame: { current: Frame }): Player {
  const video = () => element.current;
  const seek = (ms: number) => {
    const target = video();
    if (!target) return;
    const end = Number.isFinite(target.duration) ? target.duration : 0;
    target.currentTime = Math.min(Math.max(0, ms / 1000), end);
    frame.current.atMs = target.currentTime * 1000;
    frame.current.sought = true;
    frame.current.followers.tell();
  };
  return {
    timeMs: () => frame.current.atMs,
    durationMs: () => {
      const duration = video()?.duration ?? 0;
      return Number.isFinite(duration) ? duration * 1000 : 0;
    },
    frameMs: () => frame.current.lengthMs,
    paused: () => video()?.paused ?? true,
    play: () => {
      frame.current.sought = false;
      void video()?.play();
    },
    pause: () => video()?.pause(),
    seek,
    step: (frames) => {
      video()?.pause();
      // Half a frame in, so that rounding never lands on the frame before.
      const here = Math.round(frame.current.atMs / frame.current.lengthMs);
      seek((here + frames + 0.5) * frame.current.lengthMs);
      frame.current.atMs = Math.max(0, (here + frames) * frame.current.lengthMs);
      frame.current.followers.tell();
    },
    loop: (stretch) => {
      frame.current.loop = stretch;
    },
    follow: frame.current.followers.add,
    looping: () => frame.current.loop !== undefined,
    rate: () => video()?.playbackRate ?? 1,
    setRate: (rate) => {
      const target = video();
      if (target) target.playbackRate = rate;
    },
  };
}
