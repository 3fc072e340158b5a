import type { RecordingScript } from "../api/client";
import { Followers } from "../ui/followers";
import { Beeper } from "./beeps";
import { looped, type Player, type Stretch } from "./player";

const FRAME_MS = 1000 / 30;

/** The clockwork of a simulated recording: media time runs with real time at some rate. */
export class Reel implements Player {
  private readonly script: RecordingScript;
  private readonly beeper: Beeper;
  private readonly followers = new Followers();
  private startedAt = 0;
  private fromMs = 0;
  private running = false;
  private speed = 1;
  private stretch: Stretch | undefined;
  private told = -1;

  constructor(script: RecordingScript) {
    this.script = script;
    this.beeper = new Beeper(script);
  }

  readonly follow = this.followers.add;

  /** Media time of the frame to show now; stops at the end. */
  tick(): number {
    const back = this.running ? looped(this.now(), this.stretch) : undefined;
    if (back !== undefined) this.seek(back);
    const now = this.now();
    const frame = onFrame(now);
    if (this.running) {
      this.beeper.at(now, this.speed);
      if (now >= this.script.durationMs) this.pause();
      // A screen shows twice as many pictures as there are frames: what follows has nothing new to show between them.
      else if (frame !== this.told) this.followers.tell();
    }
    this.told = frame;
    return frame;
  }

  nowMs(): number {
    return this.now();
  }

  ready(): boolean {
    return true;
  }

  mute(silent: boolean): void {
    this.beeper.silent = silent;
  }

  private now(): number {
    const played = this.running ? (performance.now() - this.startedAt) * this.speed : 0;
    return Math.min(this.script.durationMs, this.fromMs + played);
  }

  timeMs(): number {
    return this.running ? this.now() : onFrame(this.fromMs);
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
    this.followers.tell();
  }

  pause(): void {
    this.fromMs = this.now();
    this.running = false;
    this.followers.tell();
  }

  seek(ms: number): void {
    this.fromMs = Math.min(Math.max(0, ms), this.script.durationMs);
    this.startedAt = performance.now();
    this.beeper.wake(this.fromMs);
    this.followers.tell();
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
    this.followers.tell();
  }
}

/** The start of the frame a time falls in. */
function onFrame(ms: number): number {
  return Math.floor(ms / FRAME_MS + 1e-6) * FRAME_MS;
}
