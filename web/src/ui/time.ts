/** Prints times; nothing is worked out here. */
export function clock(ms: number): string {
  const tenths = Math.round(Math.max(0, ms) / 100);
  return `${minutes(Math.floor(tenths / 10))}.${tenths % 10}`;
}

/** Whole seconds, as a wall clock shows them. */
export function wallClock(ms: number): string {
  return minutes(Math.floor(Math.max(0, ms) / 1000));
}

function minutes(seconds: number): string {
  const hours = Math.floor(seconds / 3600);
  const rest = `${Math.floor(seconds / 60) % 60}`;
  const two = `${seconds % 60}`.padStart(2, "0");
  return hours > 0 ? `${hours}:${rest.padStart(2, "0")}:${two}` : `${rest}:${two}`;
}

/** A span in seconds: "4.2", "12.0". */
export function seconds(ms: number, digits = 1): string {
  return (ms / 1000).toFixed(digits);
}

/** Seconds lost with their sign: "+4.2" lost, "−1.0" won, "0.0" neither. */
export function lost(ms: number): string {
  const text = (Math.abs(ms) / 1000).toFixed(1);
  if (text === "0.0") return "0.0";
  return `${ms > 0 ? "+" : "−"}${text}`;
}

/** Seconds won: "4.2", or lost, with their sign: "−1.0". */
export function won(ms: number): string {
  return ms < 0 ? `−${seconds(-ms)}` : seconds(ms);
}

/** A day as people write it. */
export function day(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });
}

/** A sentence's first letter. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A stretch of time in a sentence: "29.3 s", from a minute on "3:39.2". */
export function long(ms: number): string {
  return ms < 60_000 ? `${seconds(ms)} s` : clock(ms);
}
