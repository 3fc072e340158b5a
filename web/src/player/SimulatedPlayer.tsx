import { type Ref, useEffect, useImperativeHandle, useRef } from "react";
import type { RecordingScript } from "../api/client";
import { Beeper } from "./beeps";
import { looped, type Player, type Stretch } from "./player";
import { draw } from "./scene";

const FRAME_MS = 1000 / 30;

interface Props {
  script: RecordingScript;
  ref: Ref<Player>;
}

/** A simulated recording, drawn thirty frames a second from its script. */
export function SimulatedPlayer({ script, ref }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const reel = useRef<Reel>(new Reel(script));

  useImperativeHandle(ref, () => reel.current, []);

  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context) return;
    const playing = reel.current;
    let handle = 0;
    let shown = -1;
    const paint = () => {
      const at = playing.tick();
      if (at !== shown) {
        draw(context, script, at);
        shown = at;
      }
      handle = requestAnimationFrame(paint);
    };
    paint();
    return () => {
      cancelAnimationFrame(handle);
      playing.pause();
    };
  }, [script]);

  return <canvas ref={canvas} width={960} height={540} role="img" aria-label="Simulated recording" />;
}

/** The clockwork of a simulated recording: media time runs with real time at some rate. */
export class Reel implements Player {
  private readonly script: RecordingScript;
  private readonly beeper: Beeper;
  private startedAt = 0;
  private fromMs = 0;
  private running = false;
  private speed = 1;
  private stretch: Stretch | undefined;

  constructor(script: RecordingScript) {
    this.script = script;
    this.beeper = new Beeper(script);
  }

  /** Media time of the frame to show now; stops at the end. */
  tick(): number {
    const back = this.running ? looped(this.now(), this.stretch) : undefined;
    if (back !== undefined) this.seek(back);
    const now = this.now();
    if (this.running) {
      this.beeper.at(now, this.speed);
      if (now >= this.script.durationMs) this.pause();
    }
    return Math.floor(now / FRAME_MS + 1e-6) * FRAME_MS;
  }

  private now(): number {
    const played = this.running ? (performance.now() - this.startedAt) * this.speed : 0;
    return Math.min(this.script.durationMs, this.fromMs + played);
  }

  timeMs(): number {
    return this.running ? this.now() : Math.floor(this.fromMs / FRAME_MS + 1e-6) * FRAME_MS;
  }

  durationMs(): number {
    return this.script.durationMs;
  }

  frameMs(): number {
    return FRAME_MS;
  }

  paused(): boolean {
    return !this.running;
  }

  play(): void {
    if (this.now() >= this.script.durationMs) this.fromMs = 0;
    this.startedAt = performance.now();
    this.running = true;
    this.beeper.wake(this.fromMs);
  }

  pause(): void {
    this.fromMs = this.now();
    this.running = false;
  }

  seek(ms: number): void {
    this.fromMs = Math.min(Math.max(0, ms), this.script.durationMs);
    this.startedAt = performance.now();
    this.beeper.wake(this.fromMs);
  }

  step(frames: number): void {
    this.pause();
    const here = Math.floor(this.fromMs / FRAME_MS + 1e-6);
    this.seek((here + frames) * FRAME_MS);
  }

  loop(stretch: Stretch | undefined): void {
    this.stretch = stretch;
  }

  looping(): boolean {
    return this.stretch !== undefined;
  }

  rate(): number {
    return this.speed;
  }

  setRate(rate: number): void {
    this.fromMs = this.now();
    this.startedAt = performance.now();
    this.speed = rate;
  }
}
