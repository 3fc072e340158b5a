import type { ProjectionView } from "../api/client";

/** The call in one sentence; it never promises. */
export function call(view: ProjectionView): string {
  const on = view.calls.filter((one) => one.on).length;
  if (on === 0) return `Unchanged, a retest is this attempt again: ${view.before.words}.`;
  if (view.gain.ms === 0 && view.gain.reps === 0) return `These changes win nothing: still ${view.before.words}.`;
  const all = `${view.together.words} if ${on === 1 ? "the change lands" : `all ${on} changes land`}`;
  return `The call: ${all}, ${view.onEvidence.words} on evidence.`;
}
