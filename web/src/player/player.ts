/** What every recording can do, whether it is a video file or drawn from a script. Times are media times. */
export interface Player {
  /** Media time of the picture on screen, milliseconds. */
  timeMs(): number;
  /** Media time as it runs on between two pictures, milliseconds. */
  nowMs(): number;
  durationMs(): number;
  /** Length of a frame, milliseconds. */
  frameMs(): number;
  paused(): boolean;
  play(): void;
  pause(): void;
  seek(ms: number): void;
  /** Steps so many frames, back when negative; pauses. */
  step(frames: number): void;
  rate(): number;
  setRate(rate: number): void;
  /** Whether it could go on playing at once: it is not looking for a place it was sent to. */
  ready(): boolean;
  /** Takes the sound away, or gives it back. */
  mute(silent: boolean): void;
  /** Plays a stretch of the media again and again; undefined ends it. */
  loop(stretch: Stretch | undefined): void;
  looping(): boolean;
  /** Tells of every change of the picture and of how it plays; what comes back ends that. */
  follow(changed: () => void): () => void;
}

/** A stretch of media time. */
export interface Stretch {
  fromMs: number;
  toMs: number;
}

/** Where to go on playing, with a loop: back to its start once its end is passed. */
export function looped(atMs: number, stretch: Stretch | undefined): number | undefined {
  return stretch && (atMs >= stretch.toMs || atMs < stretch.fromMs - 50) ? stretch.fromMs : undefined;
}

export const RATES = [0.1, 0.25, 0.5, 1, 1.5, 2, 3, 4];

/** The speed after or before the one a player has. */
export function nextRate(rate: number, up: boolean): number {
  const faster = RATES.find((one) => one > rate);
  const slower = RATES.findLast((one) => one < rate);
  return (up ? faster : slower) ?? rate;
}
