import type { RecordingScript } from "../api/client";
import { tone } from "./tone";

/** The countdown's sound: three short beeps and a long one at "go". Silent where the browser has no sound. */
export class Beeper {
  private readonly script: RecordingScript;
  private context: AudioContext | undefined;
  private lastMs = 0;
  silent = false;

  constructor(script: RecordingScript) {
    this.script = script;
  }

  /** Beeps before this time are over. */
  wake(fromMs: number): void {
    this.lastMs = fromMs;
    if (this.context === undefined && typeof AudioContext !== "undefined") this.context = new AudioContext();
  }

  at(nowMs: number, rate: number): void {
    for (const beepMs of this.script.beepsMs) {
      if (beepMs > this.lastMs && beepMs <= nowMs && rate <= 2 && !this.silent)
        tone(this.context, beepMs === this.script.goMs);
    }
    this.lastMs = nowMs;
  }
}
