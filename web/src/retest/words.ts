import type { ProjectionView } from "../api/client";

/** The call in one sentence: one middle, its range, and the most there is; it never promises. */
export function call(view: ProjectionView): string {
  const on = view.calls.filter((one) => one.on).length;
  if (on === 0) return `Unchanged, a retest is this attempt again: ${view.before.words}.`;
  if (view.gain.ms === 0 && view.gain.reps === 0) return `These changes win nothing: still ${view.before.words}.`;
  const range = view.range ? `, most likely between ${view.range.p10.words} and ${view.range.p90.words}` : "";
  const free = `${view.together.words} if ${on === 1 ? "the change lands" : `all ${on} changes land`} and the body asks nothing for it`;
  return `The call: ${view.middle.words}${range}; ${free}.`;
}
