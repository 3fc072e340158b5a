import { Followers } from "./followers";

/** Something that was done, said for a while; with the way back where there is one. */
export interface Notice {
  words: string;
  way?: { words: string; act: () => void };
}

const SAID_MS = 12_000;
const followers = new Followers();
let now: Notice | undefined;
let over: ReturnType<typeof setTimeout> | undefined;

export const notices = { subscribe: followers.add, now: (): Notice | undefined => now };

/** Says what was done; the next thing said takes its place. */
export function say(words: string, way?: Notice["way"]): void {
  now = way ? { words, way } : { words };
  clearTimeout(over);
  over = setTimeout(unsay, SAID_MS);
  followers.tell();
}

export function unsay(): void {
  now = undefined;
  followers.tell();
}
