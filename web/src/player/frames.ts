/** When each frame of a video is shown: as the file says, or, as long as that is not known, at a steady rate. Milliseconds. */
export class Frames {
  private readonly timesMs: readonly number[];
  /** Length of a frame where the times are not known: the shortest gap seen so far. */
  private steadyMs: number;

  constructor(timesMs: readonly number[], steadyMs = 1000 / 30) {
    this.timesMs = timesMs;
    this.steadyMs = steadyMs;
  }

  /** Learns from the gap between two frames shown one after the other. */
  saw(gapMs: number): void {
    if (gapMs > LEAST_MS) this.steadyMs = Math.min(this.steadyMs, gapMs);
  }

  private get known(): boolean {
    return this.timesMs.length > 1;
  }

  /** Place in the video of the frame that is on screen at a time. */
  private indexAt(ms: number): number {
    if (!this.known) return Math.max(0, Math.floor(ms / this.steadyMs + ROUNDING));
    let low = 0;
    let high = this.timesMs.length - 1;
    while (low < high) {
      const middle = Math.ceil((low + high) / 2);
      if ((this.timesMs[middle] ?? 0) <= ms + LEAST_MS / 2) low = middle;
      else high = middle - 1;
    }
    return low;
  }

  private startOf(index: number): number {
    return this.known ? (this.timesMs[index] ?? 0) : index * this.steadyMs;
  }

  /** The frame on screen at a time: its own time, and how long it stays. */
  at(ms: number): { atMs: number; lengthMs: number } {
    const index = this.indexAt(ms);
    return { atMs: this.startOf(index), lengthMs: this.lengthOf(index) };
  }

  /** The frame so many after the one on screen at a time, before it when negative; the first or last at the ends. */
  from(ms: number, frames: number): { atMs: number; lengthMs: number } {
    const last = this.known ? this.timesMs.length - 1 : Infinity;
    const index = Math.min(Math.max(0, this.indexAt(ms) + frames), last);
    return { atMs: this.startOf(index), lengthMs: this.lengthOf(index) };
  }

  private lengthOf(index: number): number {
    if (!this.known) return this.steadyMs;
    const here = index < this.timesMs.length - 1 ? index : index - 1;
    return this.startOf(here + 1) - this.startOf(here);
  }
}

/** Frames do not come closer than this: 200 a second. */
const LEAST_MS = 5;
const ROUNDING = 1e-3;
