import type { LineView, PacingJson } from "../api/client";
import { seconds } from "../ui/time";
import { restsWritten } from "./written";

export const FIGURES = ["sets", "pace", "rest", "transition", "pick-up", "failed reps"] as const;

export type Figure = (typeof FIGURES)[number];

interface Box {
  name: string;
  /** Above its column on the board. */
  heading: string;
  label: (movement: string) => string;
  hint: string;
  width: number;
  /** As the server calls it. */
  touched: LineView["touched"][number];
  /** What stands behind it in a sentence. */
  unit: string;
  /** What of a pacing it is. */
  keys: (keyof PacingJson)[];
  has: (about: LineView) => boolean;
  typed: (text: string) => Partial<PacingJson>;
  isNumber?: boolean;
}

const inSeconds = (text: string) => Math.round(Number(text) * 1000);

/** How each figure of a round is typed. */
export const BOX: Record<Figure, Box> = {
  sets: {
    name: "Sets",
    heading: "Sets",
    label: (movement) => `Sets of ${movement}`,
    width: 86,
    touched: "SETS",
    unit: "",
    hint: "e.g. unbroken, 8-7, 5s",
    keys: ["sets"],
    has: (about) => about.counted,
    typed: (text) => ({ sets: text }),
  },
  pace: {
    name: "Pace",
    heading: "Pace",
    label: (movement) => `Pace of ${movement}`,
    width: 96,
    touched: "PACE",
    unit: "",
    hint: "in the unit shown or another, like 25/min, 1:53/500m, 4:40/km",
    keys: ["secondsPerUnit", "effort", "paceIn", "pace"],
    has: () => true,
    typed: (text) => ({ pace: text }),
  },
  rest: {
    name: "Rest",
    heading: "Rest, s",
    label: (movement) => `Rest between sets of ${movement}, seconds, e.g. 5 or 5-20-8`,
    width: 76,
    touched: "REST",
    unit: " s",
    hint: "seconds after each set, e.g. 5 or 5-20-8",
    keys: ["restMs", "rests", "longerRest"],
    has: () => true,
    typed: (text) => ({ rests: text }),
  },
  transition: {
    name: "Transition",
    heading: "Transition, s",
    label: (movement) => `Transition to ${movement}, seconds`,
    width: 54,
    touched: "WAY",
    unit: " s",
    hint: "seconds on the way to it",
    keys: ["transitionMs"],
    has: () => true,
    typed: (text) => ({ transitionMs: inSeconds(text) }),
    isNumber: true,
  },
  "pick-up": {
    name: "Pick-up",
    heading: "Pick-up, s",
    label: (movement) => `Pick-up of ${movement}, seconds`,
    width: 54,
    touched: "PICK_UP",
    unit: " s",
    hint: "seconds to bring the load up for a set",
    keys: ["pickUpMs"],
    has: (about) => about.raised,
    typed: (text) => ({ pickUpMs: inSeconds(text) }),
    isNumber: true,
  },
  "failed reps": {
    name: "Failed reps",
    heading: "Failed reps, s",
    label: (movement) => `Failed reps of ${movement}, seconds`,
    width: 54,
    touched: "MISSES",
    unit: " s",
    hint: "seconds allowed for them",
    keys: ["missesMs"],
    has: () => true,
    typed: (text) => ({ missesMs: inSeconds(text) }),
    isNumber: true,
  },
};

/** A figure of a pacing as its box shows it; a pace as the server words it. */
export function boxValue(figure: Figure, pacing: PacingJson, pace: string): string {
  switch (figure) {
    case "sets":
      return pacing.sets;
    case "pace":
      return pace;
    case "rest":
      return restsWritten(pacing);
    case "transition":
      return seconds(pacing.transitionMs);
    case "pick-up":
      return seconds(pacing.pickUpMs ?? 0);
    case "failed reps":
      return seconds(pacing.missesMs ?? 0);
  }
}

/** A pacing with one figure as it is in another. */
export function withFigureOf(figure: Figure, pacing: PacingJson, other: PacingJson): PacingJson {
  const isOfIt = ([key]: [string, unknown]) => (BOX[figure].keys as string[]).includes(key);
  return Object.fromEntries([
    ...Object.entries(pacing).filter((entry) => !isOfIt(entry)),
    ...Object.entries(other).filter(isOfIt),
  ]) as unknown as PacingJson;
}
