/**
 * Side views of an athlete, in metres: x along the floor, y up. One arm and one leg stand for both.
 * A movement is a loop of poses; a rep runs through it once.
 */
export interface Pose {
  head: Point;
  shoulder: Point;
  elbow: Point;
  hand: Point;
  hip: Point;
  knee: Point;
  foot: Point;
}

export type Point = readonly [number, number];

/** What the athlete holds or stands at. */
export type Kit = "none" | "bar" | "bell" | "box" | "rig" | "rower" | "bike" | "ski" | "wall" | "rope" | "ball";

export interface Figure {
  kit: Kit;
  loop: Pose[];
  /** Seconds for one turn of the loop where no reps are counted. */
  turnS?: number;
}

function pose(head: Point, shoulder: Point, elbow: Point, hand: Point, hip: Point, knee: Point, foot: Point): Pose {
  return { head, shoulder, elbow, hand, hip, knee, foot };
}

export const STAND = pose([0.02, 1.66], [0, 1.42], [0.04, 1.16], [0.08, 0.92], [0, 0.92], [0.04, 0.48], [0, 0.04]);
export const BENT = pose([0.42, 1.3], [0.26, 1.16], [0.3, 0.88], [0.1, 0.62], [-0.14, 0.9], [0.06, 0.48], [0, 0.04]);
const DIP = pose([0.1, 1.52], [0.06, 1.3], [0.24, 1.1], [0.2, 1.3], [-0.1, 0.84], [0.16, 0.48], [0, 0.04]);
const RACK = pose([0, 1.66], [0, 1.42], [0.26, 1.3], [0.14, 1.44], [-0.02, 0.92], [0.04, 0.48], [0, 0.04]);
const FRONT = pose([0.08, 1.14], [0.06, 0.92], [0.34, 0.86], [0.2, 0.96], [-0.24, 0.44], [0.24, 0.5], [0, 0.04]);
const OVERHEAD = pose([0.04, 1.64], [0, 1.42], [0.02, 1.72], [0, 2.0], [0, 0.92], [0.03, 0.48], [0, 0.04]);
const PULL = pose([0.44, 1.12], [0.34, 0.94], [0.32, 0.62], [0.26, 0.3], [-0.24, 0.66], [0.14, 0.5], [0, 0.04]);
const HIP = pose([0.02, 1.66], [-0.02, 1.42], [0.04, 1.14], [0.12, 0.86], [0, 0.92], [0.04, 0.48], [0, 0.04]);
const PRONE = pose([0.9, 0.22], [0.66, 0.16], [0.5, 0.34], [0.7, 0.04], [0.04, 0.14], [-0.4, 0.1], [-0.82, 0.06]);
const PLANK = pose([0.86, 0.62], [0.64, 0.54], [0.66, 0.3], [0.68, 0.04], [0.02, 0.44], [-0.4, 0.26], [-0.82, 0.06]);
const LEAP = pose([0.02, 1.92], [0, 1.68], [0.02, 1.98], [0, 2.24], [0, 1.16], [0.03, 0.72], [-0.04, 0.28]);
const SQUAT = pose([0.14, 1.14], [0.12, 0.92], [0.36, 0.88], [0.6, 0.9], [-0.24, 0.44], [0.24, 0.5], [0, 0.04]);
const ON_BOX = pose([0.62, 2.16], [0.6, 1.92], [0.64, 1.66], [0.66, 1.42], [0.6, 1.42], [0.64, 0.98], [0.6, 0.54]);
const CROUCH = pose([0.3, 1.24], [0.2, 1.06], [-0.04, 0.92], [-0.26, 0.8], [-0.16, 0.68], [0.14, 0.46], [0, 0.04]);
const HANG = pose([0.06, 1.92], [0.02, 1.7], [0.02, 2.0], [0, 2.3], [0, 1.2], [-0.08, 0.78], [-0.16, 0.36]);
const TOES = pose([-0.18, 1.86], [-0.16, 1.66], [-0.08, 1.98], [0, 2.3], [-0.2, 1.24], [0.1, 1.66], [0.06, 2.22]);
const CHIN = pose([0.02, 2.42], [-0.04, 2.2], [0.2, 2.0], [0, 2.3], [-0.06, 1.7], [-0.12, 1.26], [-0.2, 0.86]);
const CATCH = pose([0.26, 1.06], [0.2, 0.86], [0.46, 0.8], [0.72, 0.76], [-0.04, 0.46], [0.34, 0.78], [0.6, 0.36]);
const FINISH = pose([-0.76, 1.14], [-0.66, 0.92], [-0.6, 0.68], [-0.36, 0.74], [-0.46, 0.46], [0.08, 0.5], [0.6, 0.36]);
const SKI_UP = pose([0.06, 1.66], [0.02, 1.42], [0.26, 1.62], [0.4, 1.9], [-0.04, 0.92], [0.04, 0.48], [0, 0.04]);
const SKI_DOWN = pose([0.36, 1.2], [0.24, 1.04], [0.12, 0.8], [-0.02, 0.66], [-0.2, 0.8], [0.12, 0.48], [0, 0.04]);
const PEDAL_A = pose([0.2, 1.72], [0.08, 1.5], [0.34, 1.36], [0.58, 1.4], [-0.2, 0.98], [0.16, 0.86], [0.1, 0.44]);
const PEDAL_B = pose([0.2, 1.72], [0.08, 1.5], [0.22, 1.28], [0.4, 1.36], [-0.2, 0.98], [0.1, 0.66], [-0.02, 0.26]);
const STRIDE_A = pose([0.1, 1.65], [0.05, 1.41], [-0.16, 1.22], [0.02, 1.04], [0, 0.91], [0.22, 0.5], [0.3, 0.06]);
const STRIDE_B = pose([0.1, 1.65], [0.05, 1.41], [0.22, 1.18], [0.42, 1.28], [0, 0.91], [-0.02, 0.47], [-0.34, 0.16]);
const WALL_UP = pose([0.5, 0.34], [0.52, 0.56], [0.5, 0.3], [0.5, 0.04], [0.58, 1.06], [0.62, 1.48], [0.68, 1.9]);
const WALL_LOW = pose([0.46, 0.1], [0.52, 0.34], [0.34, 0.24], [0.44, 0.04], [0.58, 0.84], [0.64, 1.26], [0.68, 1.68]);
const SWING_LOW = pose([0.4, 1.22], [0.28, 1.06], [0.1, 0.84], [-0.1, 0.62], [-0.26, 0.8], [0.04, 0.48], [0, 0.04]);
const SWING_UP = pose([0.02, 1.66], [0, 1.42], [0.26, 1.5], [0.56, 1.62], [0.02, 0.92], [0.04, 0.48], [0, 0.04]);
const LUNGE = pose([0.1, 1.3], [0.08, 1.06], [0.3, 1.0], [0.22, 1.14], [0.06, 0.56], [-0.24, 0.12], [-0.6, 0.1]);
const HOP = pose([0.02, 1.76], [0, 1.52], [-0.1, 1.24], [0.14, 1.06], [0, 1.02], [0.04, 0.6], [-0.04, 0.18]);

/** The figures by the names the movement catalogue gives them. */
export const FIGURES: Record<string, Figure> = {
  stand: { kit: "none", loop: [STAND, BENT], turnS: 3 },
  burpee: { kit: "none", loop: [STAND, BENT, PLANK, PRONE, PLANK, BENT, LEAP] },
  squat: { kit: "none", loop: [STAND, SQUAT] },
  deadlift: { kit: "bar", loop: [PULL, HIP] },
  clean: { kit: "bar", loop: [PULL, HIP, DIP, RACK, RACK, HIP] },
  snatch: { kit: "bar", loop: [PULL, HIP, OVERHEAD, OVERHEAD, HIP] },
  press: { kit: "bar", loop: [RACK, FRONT, RACK, OVERHEAD] },
  swing: { kit: "bell", loop: [SWING_LOW, SWING_UP] },
  jump: { kit: "box", loop: [STAND, CROUCH, ON_BOX, ON_BOX, STAND] },
  hang: { kit: "rig", loop: [HANG, TOES] },
  wall: { kit: "wall", loop: [WALL_UP, WALL_LOW] },
  lunge: { kit: "bar", loop: [RACK, LUNGE] },
  rope: { kit: "rope", loop: [STAND, HOP] },
  row: { kit: "rower", loop: [CATCH, FINISH, FINISH], turnS: 2.1 },
  ski: { kit: "ski", loop: [SKI_UP, SKI_DOWN], turnS: 1.7 },
  bike: { kit: "bike", loop: [PEDAL_A, PEDAL_B], turnS: 1.1 },
  run: { kit: "none", loop: [STRIDE_A, STRIDE_B], turnS: 0.72 },
  pull: { kit: "rig", loop: [HANG, CHIN] },
};

/** The pose of a loop at a share of its turn, 0 to 1, moving softly from pose to pose. */
export function poseAt(loop: Pose[], share: number): Pose {
  const at = (((share % 1) + 1) % 1) * loop.length;
  const from = Math.floor(at) % loop.length;
  const soft = 0.5 - 0.5 * Math.cos(Math.PI * (at - Math.floor(at)));
  return blend(loop[from] ?? STAND, loop[(from + 1) % loop.length] ?? STAND, soft);
}

/** A pose between two. */
export function blend(a: Pose, b: Pose, share: number): Pose {
  const mix = (p: Point, q: Point): Point => [p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share];
  return {
    head: mix(a.head, b.head),
    shoulder: mix(a.shoulder, b.shoulder),
    elbow: mix(a.elbow, b.elbow),
    hand: mix(a.hand, b.hand),
    hip: mix(a.hip, b.hip),
    knee: mix(a.knee, b.knee),
    foot: mix(a.foot, b.foot),
  };
}
