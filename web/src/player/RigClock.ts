import { Followers } from "../ui/followers";
import type { Player } from "./player";

/** How often the clock on screen moves on. */
const TICK_MS = 100;

/** Wall time, milliseconds: it goes on evenly while the page is open, and a reload does not lose it. */
export function wallMs(): number {
  return performance.timeOrigin + performance.now();
}

/**
 * The clock at the rig: what happens is marked as it happens, without a recording. It cannot be wound, paused or played faster. Where it
 * started is kept in the browser, so that a reload, or a phone put into the pocket, changes nothing.
 */
export class RigClock implements Player {
  private readonly place: string;
  private readonly storage: Storage;
  private readonly followers = new Followers();
  private going: number | undefined;
  private ticking: ReturnType<typeof setInterval> | undefined;
  private following = 0;

  constructor(attemptId: string, storage: Storage) {
    this.place = `wake rig ${attemptId}`;
    this.storage = storage;
    const kept = Number(storage.getItem(this.place) ?? Number.NaN);
    this.going = Number.isFinite(kept) ? kept : undefined;
  }

  started(): boolean {
    return this.going !== undefined;
  }

  /** Starts after a countdown; before its end the clock shows how long it is still. */
  start(countdownMs: number): void {
    this.going = wallMs() + countdownMs;
    this.storage.setItem(this.place, `${this.going}`);
    this.followers.tell();
  }

  /** Back to before the start: nothing was marked yet, or all of it is kept. */
  forget(): void {
    this.going = undefined;
    this.storage.removeItem(this.place);
    this.followers.tell();
  }

  timeMs(): number {
    return this.going === undefined ? 0 : wallMs() - this.going;
  }

  follow(changed: () => void): () => void {
    const leave = this.followers.add(changed);
    this.following++;
    this.ticking ??= setInterval(this.followers.tell, TICK_MS);
    return () => {
      leave();
      this.following--;
      if (this.following === 0) {
        clearInterval(this.ticking);
        this.ticking = undefined;
      }
    };
  }

  nowMs = (): number => this.timeMs();
  ready = (): boolean => true;
  durationMs = (): number => 0;
  frameMs = (): number => TICK_MS;
  paused = (): boolean => false;
  rate = (): number => 1;
  looping = (): boolean => false;
  play(): void {}
  pause(): void {}
  seek(): void {}
  step(): void {}
  setRate(): void {}
  loop(): void {}
  mute(): void {}
}
