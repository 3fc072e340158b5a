import type { ProjectionView } from "../api/client";
import { seconds } from "../ui/time";

type Gain = ProjectionView["gain"];

/** A gain as coaches say it. */
export function gainWords({ ms, reps }: Gain): string {
  const parts: string[] = [];
  if (ms > 0) parts.push(`${seconds(ms)} s`);
  if (reps > 0) parts.push(`${reps} ${reps === 1 ? "rep" : "reps"}`);
  return parts.length === 0 ? "nothing" : parts.join(" and ");
}

/** The call in one sentence. */
export function call(view: ProjectionView): string {
  const on = view.calls.filter((one) => one.on).length;
  if (on === 0) return `Unchanged, a retest is this attempt again: ${view.before.words}.`;
  const all = `${view.together.words} if ${on === 1 ? "the change lands" : `all ${on} changes land`}`;
  return view.gain.ms === 0 && view.gain.reps === 0
    ? `These changes win nothing: still ${view.before.words}.`
    : `The call: ${all}, ${view.onEvidence.words} on evidence.`;
}
