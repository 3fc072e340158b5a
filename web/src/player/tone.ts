/** A beep of a countdown: short ones before, a long high one at "go". Silent where the browser has no sound, or was not touched yet. */
export function tone(context: AudioContext | undefined, go: boolean): void {
  if (context?.state !== "running") return;
  const sound = context.createOscillator();
  const volume = context.createGain();
  sound.frequency.value = go ? 1175 : 784;
  volume.gain.value = 0.08;
  sound.connect(volume).connect(context.destination);
  sound.start();
  sound.stop(context.currentTime + (go ? 0.7 : 0.15));
}
