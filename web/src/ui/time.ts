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

/** From here on, with rounding, a span is written as on a clock. */
const MINUTE_MS = 59_950;

/** A span in a table whose head says seconds: "4.2", from a minute on "1:28.8". */
export function figure(ms: number): string {
  return ms < MINUTE_MS ? seconds(ms) : clock(ms);
}

/** A span lost with its sign, in such a table: "+4.2" lost, "−1.0" won, "0.0" neither, "+1:28.8". */
export function lost(ms: number): string {
  const text = figure(Math.abs(ms));
  if (text === "0.0") return text;
  return `${ms > 0 ? "+" : "−"}${text}`;
}

/** The same where nothing else says that it is seconds: "+4.2 s", "+1:28.8". */
export function lostSpan(ms: number): string {
  return Math.abs(ms) < MINUTE_MS ? `${lost(ms)} s` : lost(ms);
}

/** "won 4.2 s", "lost 1:28.8", "nothing". */
export function wonWords(ms: number): string {
  if (Math.abs(ms) < 50) return "nothing";
  return `${ms > 0 ? "won" : "lost"} ${span(Math.abs(ms))}`;
}

/** A day as people write it. */
export function day(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });
}

/** A sentence's first letter. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A span, the one way it is said in every sentence: "29.3 s", from a minute on "3:39.2". */
export function span(ms: number): string {
  return ms < MINUTE_MS ? `${seconds(ms)} s` : clock(ms);
}
