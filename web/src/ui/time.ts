/** Prints times; nothing is worked out here. */

/** How far times are told: where they were typed in whole seconds, no tenths are shown. */
export type Digits = "WHOLE" | "TENTHS";

/** A clock time to the nearest second. */
export function wallClock(ms: number): string {
  return minutes(Math.round(Math.max(0, ms) / 1000));
}

/** A clock time cut to the second, as a running clock shows it. */
export function runningClock(ms: number): string {
  return minutes(Math.floor(Math.max(0, ms) / 1000));
}

function minutes(seconds: number): string {
  const hours = Math.floor(seconds / 3600);
  const rest = `${Math.floor(seconds / 60) % 60}`;
  const two = `${seconds % 60}`.padStart(2, "0");
  return hours > 0 ? `${hours}:${rest.padStart(2, "0")}:${two}` : `${rest}:${two}`;
}

/** The ways a time is printed. */
export type Times = ReturnType<typeof times>;

/** The same, told so far. */
export function times(digits: Digits) {
  const step = digits === "WHOLE" ? 1000 : 100;
  const minute = 60_000 - step / 2;

  /** A reading of the clock: "1:28.8". */
  function clock(ms: number): string {
    const steps = Math.round(Math.max(0, ms) / step);
    return digits === "WHOLE" ? minutes(steps) : `${minutes(Math.floor(steps / 10))}.${steps % 10}`;
  }

  /** A span in seconds: "4.2", "12.0". */
  function seconds(ms: number): string {
    return digits === "WHOLE" ? `${Math.round(ms / step)}` : (ms / 1000).toFixed(1);
  }

  /** A span in a table whose head says seconds: "4.2", from a minute on "1:28.8". */
  function figure(ms: number): string {
    return ms < minute ? seconds(ms) : clock(ms);
  }

  /** A span lost with its sign, in such a table: "+4.2" lost, "−1.0" saved, "0.0" neither, "+1:28.8". */
  function lost(ms: number): string {
    const text = figure(Math.abs(ms));
    if (Number(text) === 0) return text;
    return `${ms > 0 ? "+" : "−"}${text}`;
  }

  /** The same where nothing else says that it is seconds: "+4.2 s", "+1:29". */
  function lostSpan(ms: number): string {
    return Math.abs(ms) < minute ? `${lost(ms)} s` : `${ms > 0 ? "+" : "−"}${span(Math.abs(ms))}`;
  }

  /** A duration in a sentence: "29.3 s"; from a minute on, where tenths say nothing, "3:39". */
  function span(ms: number): string {
    return ms < minute ? `${seconds(ms)} s` : minutes(Math.round(ms / 1000));
  }

  /** "saved 4.2 s", "lost 1:28", "no change". */
  function savedWords(ms: number): string {
    if (Math.abs(ms) < step / 2) return "no change";
    return `${ms > 0 ? "saved" : "lost"} ${span(Math.abs(ms))}`;
  }

  return { clock, seconds, figure, lost, lostSpan, span, savedWords };
}

const TOLD: Record<Digits, Times> = { WHOLE: times("WHOLE"), TENTHS: times("TENTHS") };

/** The ways to print times told so far. */
export function told(digits: Digits): Times {
  return TOLD[digits];
}

export const { clock, seconds, figure, lost, lostSpan, span, savedWords } = TOLD.TENTHS;

/** A day as people write it. */
export function day(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });
}

/** The day it is here, as fields of days hold it. */
export function today(): string {
  return new Date().toLocaleDateString("en-CA");
}

/** A sentence's first letter. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
