import { useState } from "react";
import { drafts } from "./drafts";

const PREFIX = "wake draft ";

/**
 * A text that is being written, kept in this browser until it is saved or thrown away: leaving the screen does not lose it. What equals
 * the saved text is no draft.
 *
 * @returns the text, how to change it, and how to throw the draft away
 */
export function useDraft(place: string, saved: string): [string, (text: string) => void, () => void] {
  const key = PREFIX + place;
  const [text, setText] = useState(() => drafts.read(key) ?? saved);
  const change = (now: string) => {
    if (now === saved) drafts.drop(key);
    else drafts.keep(key, now);
    setText(now);
  };
  const drop = () => {
    drafts.drop(key);
    setText(saved);
  };
  return [text, change, drop];
}
