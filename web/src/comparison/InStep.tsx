import { useEffect, useEffectEvent, useRef, useState } from "react";
import styled from "styled-components";
import type { HeadToHeadSideView } from "../api/client";
import { Lockstep } from "../player/Lockstep";
import { nextRate, type Player } from "../player/player";
import { RecordingPlayer } from "../player/RecordingPlayer";
import { Button } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { Outlines } from "./Outlines";

/** What is played, and from which clock of each. */
export interface Start {
  /** Tells one request from the next. */
  id: number;
  label: string;
  tracks: { side: HeadToHeadSideView; clockMs: number }[];
}

/** It starts so much before the place asked for. */
const LEAD_MS = 2500;
/** A loop goes from so much before the place to so much after it. */
const AROUND_MS = 4000;
const TENTH_MS = 100;
const STEP_MS = 1000;
const LEAP_MS = 5000;

const Frame = styled.section`
  margin-top: 20px;
  background: var(--ground);
  color: var(--ink);
  border-radius: 6px;
  overflow: hidden;
  scroll-margin-top: 8px;
`;

const Pictures = styled.div<{ $count: number }>`
  display: grid;
  grid-template-columns: repeat(${({ $count }) => Math.min(2, $count)}, minmax(0, 1fr));
  gap: 2px;
  max-width: ${({ $count }) => ($count === 1 ? "820px" : "none")};
  margin: 0 auto;
  @media (max-width: 620px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Picture = styled.div`
  position: relative;
  aspect-ratio: 16 / 9;
  max-height: 52vh;
  width: 100%;
`;

const Under = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 16px;
  padding: 4px 12px 6px;
  font-size: 13.5px;
  min-height: 30px;
`;

const Transport = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  padding: 8px 12px;
  border-top: 1px solid var(--line);
  font-size: 13.5px;
  > span:first-child {
    flex: 1 1 200px;
  }
`;

/** A video, and who is watched on it. */
interface Shown {
  video: NonNullable<HeadToHeadSideView["video"]>;
  baseMs: number;
  on: { side: HeadToHeadSideView; clockMs: number }[];
}

/** Who runs on one video at one moment is watched on one picture. */
function pictures(start: Start): Shown[] {
  const shown: Shown[] = [];
  for (const track of start.tracks) {
    const { video } = track.side;
    if (!video) continue;
    const baseMs = (video.goMs ?? 0) + track.clockMs;
    const same = shown.find((one) => one.video.id === video.id && Math.abs(one.baseMs - baseMs) < 1);
    if (same) same.on.push(track);
    else shown.push({ video, baseMs, on: [track] });
  }
  // Named under the picture from left to right, as they are seen on it.
  for (const one of shown) one.on.sort((a, b) => (a.side.outline?.x ?? 0) - (b.side.outline?.x ?? 0));
  return shown;
}

/** Recordings played in step: side by side, or one video with who is to be watched outlined on it. */
export function InStep({ start, onClose }: { start: Start; onClose: () => void }) {
  const { clock } = useTimes();
  const [shown] = useState(() => pictures(start));
  const players = useRef<(Player | null)[]>([]);
  const [attach] = useState(() =>
    shown.map((_, index) => (player: Player | null) => {
      players.current[index] = player;
    }),
  );
  const [step, setStep] = useState<Lockstep>();
  const [at, setAt] = useState(0);
  const [sound, setSound] = useState(0);
  const frame = useRef<HTMLElement>(null);
  const [, redraw] = useState(0);

  const attached = useEffectEvent(() => {
    const all = players.current.slice(0, shown.length);
    // Before its length is known a video cannot be sent anywhere.
    if (step || all.length < shown.length || all.some((player) => !player || player.durationMs() === 0)) return;
    const made = new Lockstep(shown.map(({ baseMs }, index) => ({ player: all[index] as Player, baseMs })));
    setStep(made);
    made.hear(0);
    made.seek(-LEAD_MS);
    made.play();
  });
  useEffect(() => {
    // Pictures come in as their videos are fetched.
    const look = setInterval(() => attached(), 50);
    return () => clearInterval(look);
  }, []);
  useEffect(() => {
    if (!step) return undefined;
    let drawn = "";
    const unfollow = step.follow(() => {
      // The pictures have the machine to themselves: the words under them change ten times a second at most.
      setAt(Math.round(step.timeMs() / TENTH_MS) * TENTH_MS);
      const state = `${step.playing()} ${step.rate()} ${step.looping()}`;
      if (state !== drawn) redraw((count) => count + 1);
      drawn = state;
    });
    return () => {
      unfollow();
      step.end();
    };
  }, [step]);
  useEffect(() => frame.current?.scrollIntoView({ block: "nearest" }), []);

  const swap = () => {
    const next = (sound + 1) % shown.length;
    setSound(next);
    step?.hear(next);
  };
  const loop = () => step?.loop(step.looping() ? undefined : { fromMs: -AROUND_MS, toMs: AROUND_MS });
  const toggle = () => (step?.playing() ? step.pause() : step?.play());
  const act = (key: string, shift: boolean): boolean => {
    switch (key) {
      case " ":
        toggle();
        return true;
      case "ArrowLeft":
      case "ArrowRight":
        step?.seek(step.timeMs() + (key === "ArrowLeft" ? -1 : 1) * (shift ? LEAP_MS : STEP_MS));
        return true;
      case "ArrowUp":
      case "ArrowDown":
        step?.setRate(nextRate(step.rate(), key === "ArrowUp"));
        return true;
      case "b":
        loop();
        return true;
      case "m":
        if (shown.length > 1) swap();
        return true;
      case "Escape":
        onClose();
        return true;
      default:
        return false;
    }
  };
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    const target = event.target instanceof Element ? event.target : document.body;
    const taken =
      target.closest("input, textarea, select, [data-keys]") || (event.key === " " && target.closest("button"));
    if (!taken && act(event.key.length === 1 ? event.key.toLowerCase() : event.key, event.shiftKey))
      event.preventDefault();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => press(event);
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);

  const playing = step?.playing() ?? false;
  return (
    <Frame
      ref={frame}
      aria-label="Side-by-side video"
      className="stage-dark not-on-paper"
      data-at={Math.round(at)}
      data-bases={JSON.stringify(shown.map((one) => one.baseMs))}
    >
      <Pictures $count={shown.length}>
        {shown.map((one, index) => (
          <div key={`${one.video.id} ${index}`}>
            <Picture>
              <RecordingPlayer recording={one.video} ref={attach[index] ?? null} />
              <Outlines
                recordingId={one.video.id}
                sides={one.on.map(({ side }) => side)}
                shared={one.on.length > 1 || shown.some((other) => other !== one && other.video.id === one.video.id)}
              />
            </Picture>
            <Under>
              {one.on.map(({ side, clockMs }) => (
                <span key={side.attemptId}>
                  <strong>{side.name}</strong> {clock(clockMs + at)} {placeAt(side, clockMs + at)}
                </span>
              ))}
            </Under>
          </div>
        ))}
      </Pictures>
      <Transport>
        <span>
          From {start.label}
          {at < 0 ? `, in ${clock(-at)}` : ""}
        </span>
        <Button onPress={toggle}>{playing ? "Pause" : "Play"} (Space)</Button>
        <Button onPress={() => step?.setRate(nextRate(step.rate(), false))} aria-label="Slower">
          Slower (↓)
        </Button>
        <span aria-live="polite">{step?.rate() ?? 1}×</span>
        <Button onPress={() => step?.setRate(nextRate(step.rate(), true))}>Faster (↑)</Button>
        <Button onPress={loop}>{step?.looping() ? "Stop the loop (B)" : "Loop here (B)"}</Button>
        {shown.length > 1 && <Button onPress={swap}>Sound: {shown[sound]?.on[0]?.side.name} (M)</Button>}
        <Button onPress={onClose}>Close (Esc)</Button>
      </Transport>
    </Frame>
  );
}

/** What a side does at a clock. */
function placeAt(side: HeadToHeadSideView, clockMs: number): string {
  if (clockMs < 0) return "before the start";
  const band = side.bands.find((one) => clockMs < one.toMs);
  return band ? band.place : side.over ? side.score : "";
}
