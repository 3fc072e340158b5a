import type { RecordingScript } from "../api/client";

/** The countdown's sound: three short beeps and a long one at "go". Silent where the browser has no sound. */
export class Beeper {
  private readonly script: RecordingScript;
  private context: AudioContext | undefined;
  private lastMs = 0;

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
      if (beepMs > this.lastMs && beepMs <= nowMs && rate <= 2) this.sound(beepMs === this.script.goMs);
    }
    this.lastMs = nowMs;
  }

  private sound(go: boolean): void {
    const context = this.context;
    if (context?.state !== "running") return;
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = go ? 1175 : 784;
    volume.gain.value = 0.08;
    tone.connect(volume).connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + (go ? 0.7 : 0.15));
  }
}
