import type { GainView, ProjectionView } from "../api/client";

/** The projection in two short sentences: the score with the gain, then the likely range and the best case. */
export function headline(view: ProjectionView): string {
  if (view.changes.every((one) => !one.on))
    return `No changes chosen: the projection is this attempt’s ${view.before.words}.`;
  if (view.gain.ms === 0 && view.gain.reps === 0) {
    return `These changes ${view.before.words.includes(":") ? "save no time" : "add no reps"}: still ${view.before.words}.`;
  }
  const likely = view.range ? ` Likely ${view.range.words};` : "";
  const best = `${likely === "" ? " Best" : " best"} case ${view.bestCase.words}.`;
  return `Projected retest: ${view.middle.words}, ${change(view.expected)}.${likely}${best}`;
}

/** A gain beside a score: "38 s faster", "3 reps more". */
export function change({ ms, reps, words }: GainView): string {
  const costs = ms < 0 || reps < 0;
  if (ms === 0 && reps === 0) return words;
  const much = words.replace("−", "");
  if (reps === 0) return `${much} ${costs ? "slower" : "faster"}`;
  return `${much} ${costs ? "fewer" : "more"}`;
}
