import type {
  MarkView,
  AttemptView,
  ProjectedChangeView,
  ProjectionView,
  LogView,
  ReadingView,
  SegmentView,
  RecordingView,
  HeadToHeadSideView,
  HeadToHeadView,
} from "../api/client";
import type { Op, Waits } from "../outbox/queue";

/** Made-up answers of the server, for tests of single components. */
export function split(fields: Partial<NonNullable<SegmentView["split"]>> = {}): NonNullable<SegmentView["split"]> {
  return {
    arrivalMs: 0,
    beginMs: 1000,
    beginInferred: false,
    endMs: 21_000,
    complete: true,
    counted: 6,
    elapsedMs: 21_000,
    waitMs: 0,
    transitionMs: 1000,
    workMs: 20_000,
    restMs: 0,
    faultMs: 0,
    unseparatedMs: 0,
    sets: "6",
    pace: "18 reps/min (3.33 s/rep)",
    known: true,
    uncertaintyS: 0.1,
    pieces: [
      { kind: "transition", fromMs: 0, toMs: 1000 },
      { kind: "work", fromMs: 1000, toMs: 21_000, reps: 6 },
    ],
    faults: [],
    ...fields,
  };
}

export function segment(index: number, fields: Partial<SegmentView> = {}): SegmentView {
  return {
    index,
    inRound: false,
    lineIndex: index,
    label: "6 burpee",
    movement: "burpee",
    countable: 6,
    tappable: true,
    plannedMs: 18_000,
    plannedEndMs: 18_000 * (index + 1),
    ...fields,
  };
}

export function log(fields: Partial<LogView> = {}): LogView {
  return {
    phase: "MOVING_TO",
    digits: "TENTHS",
    clockMs: 21_000,
    score: "6 done at 0:21.0",
    currentIndex: 1,
    counted: 0,
    blind: false,
    keys: [
      { kind: "REP", meaning: "rep 1 of 6" },
      { kind: "OFF", meaning: "break" },
      { kind: "ON", meaning: "back on", refusal: "Nobody is resting; S marks a break first." },
    ],
    segments: [segment(0, { split: split() }), segment(1, { label: "8 kettlebell swing @ 16 kg" })],
    marks: [],
    blindSpans: [],
    unseparatedMs: 0,
    waitingForGo: 0,
    open: false,
    liftWindow: false,
    lifts: [],
    plannedLifts: [],
    tieBreaks: [],
    ...fields,
  };
}

export function attempt(fields: Partial<AttemptView> = {}): AttemptView {
  return {
    id: "a",
    athleteId: "b",
    athlete: "Ina Sandbar",
    workoutId: "c",
    title: "Skiff Sprint",
    division: "",
    part: 0,
    cutInto: 1,
    parts: [],
    format: "for time",
    intervals: false,
    goalExample: "8:45",
    scoreExample: "8:45",
    doneOn: "2026-11-20",
    planned: false,
    note: "",
    lines: [],
    recordings: [],
    onVideo: [],
    log: log(),
    ...fields,
  };
}

export function reading(fields: Partial<ReadingView> = {}): ReadingView {
  return {
    baseline: "PLAN",
    baselineWords: "plan",
    baselines: ["PLAN", "BEST_SPLITS"],
    others: [],
    planAssumed: false,
    answer: "6.0 s behind plan; 4.0 s of it is rest in the burpee.",
    score: "0:42.0",
    over: true,
    digits: "TENTHS",
    clockMs: 42_000,
    expectedMs: 36_000,
    unseparatedMs: 0,
    borders: [border(0, 4000), border(1, 2000)],
    bands: [],
    wake: [
      { workMs: 0, clockMs: 0, aheadMs: 0, segmentIndex: 0, border: true },
      { workMs: 18_000, clockMs: 22_000, aheadMs: -4000, segmentIndex: 0, border: true },
      { workMs: 36_000, clockMs: 42_000, aheadMs: -6000, segmentIndex: 1, border: true },
    ],
    findings: [
      {
        kind: "CAUSE",
        movement: "burpee",
        cause: "REST",
        lostMs: 4000,
        readingErrorMs: 300,
        sentence: "Rests in the burpee cost 4.0 s more than planned, once.",
        moments: [{ fromMs: 9000, toMs: 13_000, label: "6 burpee", lostMs: 4000 }],
        working: ["Lost in rests = rests taken − rests allowed", "6 burpee: 9.0 s − 5.0 s = +4.0 s"],
      },
    ],
    ledger: [
      {
        movement: "burpee",
        byCause: { PACE: 0, REST: 4000 },
        totalMs: 4000,
        moments: {
          REST: [
            { fromMs: 9000, toMs: 13_000, label: "round 1, 6 burpee", lostMs: 3000 },
            { fromMs: 30_000, toMs: 34_000, label: "round 2, 6 burpee", lostMs: 1000 },
          ],
        },
      },
      { movement: "kettlebell swing", byCause: { PACE: 2000, REST: 0 }, totalMs: 2000, moments: {} },
    ],
    totals: { PACE: 2000, REST: 4000 },
    totalMs: 6000,
    silence: "Nothing cost more than a second that the reading error could not explain.",
    compared: { ms: 42_000, ofMs: 42_000, nothing: false, words: "0:42 of 0:42" },
    clock: { byLine: [], byRound: [], total: entry("all", 42_000) },
    sections: [],
    blocks: [],
    techniques: [],
    cueEffects: [],
    movements: [],
    outliers: [],
    efforts: [],
    observed: [],
    notes: [],
    cutOffs: [],
    outOfReach: [],
    intervals: [],
    tieBreaks: [],
    ...fields,
  };
}

/** Some of the clock, all of it work. */
export function entry(name: string, workMs: number): ReadingView["clock"]["total"] {
  return {
    name,
    fromMs: 0,
    toMs: workMs,
    totalMs: workMs,
    sharePercent: 100,
    workMs,
    restMs: 0,
    transitionMs: 0,
    faultMs: 0,
    waitMs: 0,
    unseparatedMs: 0,
    unfinishedMs: 0,
  };
}

type Border = ReadingView["borders"][number];

export function border(index: number, lostMs: number, fields: Partial<Border> = {}): Border {
  return {
    segmentIndex: index,
    label: "6 burpee",
    place: `round ${index + 1}, 6 burpee`,
    movement: "burpee",
    workFromMs: index * 18_000,
    workToMs: (index + 1) * 18_000,
    arrivalMs: index * 22_000,
    endMs: index === 0 ? 22_000 : 42_000,
    lostMs,
    withinReadingError: false,
    byCause: { REST: lostMs },
    ...fields,
  };
}

export function projectedChange(fields: Partial<ProjectedChangeView> = {}): ProjectedChangeView {
  return {
    change: { kind: "CAP_RESTS", movement: "", target: 5, on: true },
    on: true,
    title: "Cap rests",
    words: "No rest over 5.0 s",
    place: "2 places, longest 9.0 s",
    places: [],
    slider: { value: 5, written: "5.0", least: 0, most: 9, step: 0.1, digits: 1, unit: "s", says: "", shown: [] },
    gain: { ms: 4000, reps: 0, words: "4.0 s" },
    expected: { ms: 2000, reps: 0, words: "2.0 s" },
    proven: { ms: 3000, reps: 0, words: "3.0 s" },
    evidence: "SHOWN",
    evidenceWords: "shown",
    breakEven: [],
    ...fields,
  };
}

export function projection(fields: Partial<ProjectionView> = {}): ProjectionView {
  const score = (words: string, clockMs: number) => ({ words, clockMs, done: 30, missing: 0 });
  return {
    before: score("9:42.0", 582_000),
    bestCase: score("9:38", 578_000),
    middle: score("9:40", 580_000),
    promised: "Projected 9:40 (was 9:42): 2 s faster.",
    proven: score("9:39.0", 579_000),
    gain: { ms: 4000, reps: 0, words: "4.0 s" },
    expected: { ms: 2000, reps: 0, words: "2.0 s" },
    back: { ways: 20, rests: 40, pace: 30, form: 1, says: "by assumption" },
    noRange: "Too little.",
    changes: [projectedChange()],
    more: [],
    credits: [],
    cautions: [],
    ...fields,
  };
}

export function mark(id: string, fields: Partial<MarkView> = {}): MarkView {
  return { id, kind: "REP", atMs: 1000, reps: 0, depth: "SET", tag: "", text: "", uncertaintyS: 0.1, ...fields };
}

/** A recording whose "go" is at its fifth second. */
export function camera(fields: Partial<RecordingView> = {}): RecordingView {
  return {
    id: "camera",
    kind: "SIMULATED",
    label: "Camera",
    mediaType: "",
    sizeBytes: 0,
    own: true,
    goMs: 5000,
    ...fields,
  };
}

/** What waits to be sent, standing still. */
export function outbox(...ops: Op[]): Waits {
  return { ops: () => ops, subscribe: () => () => undefined };
}

/** Two attempts beside each other: the first leads, is passed, and ends 4.0 s behind. */
export function versus(fields: Partial<HeadToHeadView> = {}): HeadToHeadView {
  const column = { sets: "6", transitionMs: 2000, workMs: 16_000, restMs: 0, faultMs: 0, faults: 0 };
  const side = (name: string, attemptId: string, clockMs: number): HeadToHeadSideView => ({
    attemptId,
    name,
    athlete: `${name} Sandbar`,
    division: "",
    doneOn: "2026-11-20",
    score: "0:42.0",
    over: true,
    clockMs,
    bands: [
      {
        label: "6 burpee",
        place: "round 1, 6 burpee",
        fromMs: 0,
        toMs: 20_000,
        pieces: [{ kind: "work", fromMs: 0, toMs: 20_000 }],
      },
    ],
    video: camera({ id: `video ${attemptId}`, kind: "VIDEO" }),
  });
  return {
    sides: [side("Ina", "a", 42_000), side("Odo", "o", 38_000)],
    pairs: [
      {
        digits: "TENTHS",
        answer: "Ina led first, Odo passed in the swing of round 1 at 0:31.0, and ended 4.0 s ahead.",
        made: "Odo's 4.0 s come first from faster reps in the swing (5.0 s).",
        styles: [],
        techniques: [],
        leadMs: -4000,
        borders: [
          {
            place: "round 1, 6 burpee",
            otherPlace: "round 1, 6 burpee",
            oneClockMs: 18_000,
            otherClockMs: 20_000,
            oneMs: 18_000,
            otherMs: 20_000,
            leadMs: 2000,
            gainMs: 2000,
            one: column,
            other: { ...column, sets: "4-2", restMs: 3000, longestRestMs: 3000 },
            gains: { PACE: 2000 },
            clear: true,
          },
          {
            place: "round 1, 8 swing",
            otherPlace: "round 1, 8 swing",
            oneClockMs: 42_000,
            otherClockMs: 38_000,
            oneMs: 24_000,
            otherMs: 18_000,
            leadMs: -4000,
            gainMs: -6000,
            one: column,
            other: column,
            gains: { PACE: -6000 },
            clear: true,
          },
        ],
        curve: [
          { clockMs: 0, leadMs: 0, border: false, known: true },
          { clockMs: 20_000, leadMs: 2000, border: true, known: true },
          { clockMs: 31_000, leadMs: 0, border: false, known: true },
          { clockMs: 42_000, leadMs: -4000, border: true, known: true },
        ],
        overtakes: [
          {
            one: false,
            atMs: 31_000,
            place: "round 1, 8 swing",
            where: "the swing of round 1",
            known: true,
            fromMs: 30_000,
            toMs: 31_000,
            clear: true,
          },
        ],
        minutes: [{ clockMs: 38_000, reps: -2, ahead: -1 }],
        rounds: [{ words: "round 1", fromMs: 0, otherFromMs: 0, oneMs: 42_000, otherMs: 38_000 }],
        lines: [
          {
            line: "burpee",
            oneMs: 18_000,
            otherMs: 20_000,
            gainMs: 2000,
            gains: { PACE: 2000 },
            readingErrorMs: 100,
            legs: 1,
          },
          {
            line: "swing",
            oneMs: 24_000,
            otherMs: 18_000,
            gainMs: -6000,
            gains: { PACE: -6000 },
            readingErrorMs: 7000,
            legs: 1,
          },
        ],
        gains: { PACE: -4000 },
        differentWork: [],
        unmatched: [],
      },
    ],
    slots: [
      {
        place: "round 1, 6 burpee",
        name: "6 burpee",
        atMs: 0,
        lengthMs: 20_000,
        spans: [
          { fromMs: 0, toMs: 18_000, beginMs: 400 },
          { fromMs: 0, toMs: 20_000, beginMs: 700 },
        ],
      },
      {
        place: "round 1, 8 swing",
        name: "8 swing",
        atMs: 20_000,
        lengthMs: 24_000,
        spans: [
          { fromMs: 18_000, toMs: 42_000, beginMs: 20_000 },
          { fromMs: 20_000, toMs: 38_000, beginMs: 21_000 },
        ],
      },
    ],
    clockMs: 42_000,
    workMs: 44_000,
    others: [
      { id: "o", words: "Odo Sandbar on 20 Nov" },
      { id: "p", words: "Per Sandbar on 20 Nov" },
    ],
    ...fields,
  };
}
