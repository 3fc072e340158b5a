import type { Kit, Point, Pose } from "./poses";

/** Pixels for a metre. */
export const METRE = 150;

/** Where and with what to draw: x and y of the athlete's place on the floor. */
export interface Pen {
  context: CanvasRenderingContext2D;
  x: number;
  y: number;
  ink?: string;
}

const KIT_INK = "#c3ccd0";

/** Draws an athlete in a pose. */
export function drawFigure(pen: Pen, pose: Pose): void {
  const ink = pen.ink ?? "#f7f5f0";
  stroke(pen, [pose.hip, pose.knee, pose.foot, [pose.foot[0] + 0.14, pose.foot[1] - 0.02]], 15, ink);
  stroke(pen, [pose.hip, pose.shoulder], 21, ink);
  stroke(pen, [pose.shoulder, pose.elbow, pose.hand], 11, ink);
  const [x, y] = at(pen, pose.head);
  pen.context.fillStyle = ink;
  pen.context.beginPath();
  pen.context.arc(x, y, 19, 0, 2 * Math.PI);
  pen.context.fill();
}

/** Draws what the movement needs; what is held follows the hands while the athlete works. */
export function drawKit(pen: Pen, kit: Kit, pose: Pose, held: boolean): void {
  const hand: Point = held ? pose.hand : [0.34, 0.22];
  switch (kit) {
    case "bar":
      disc(pen, hand, 36, "#56666e");
      disc(pen, hand, 7, KIT_INK);
      break;
    case "bell":
      disc(pen, [hand[0] + 0.03, hand[1] - 0.1], 19, "#56666e");
      break;
    case "ball":
      disc(pen, hand, 24, "#56666e");
      break;
    case "box":
      pen.context.fillStyle = "#7d6a4a";
      pen.context.fillRect(pen.x + 0.36 * METRE, pen.y - 0.5 * METRE, 0.52 * METRE, 0.5 * METRE + 4);
      break;
    case "rig":
      stroke(
        pen,
        [
          [-0.9, 0],
          [-0.9, 2.32],
          [0.9, 2.32],
          [0.9, 0],
        ],
        8,
        "#56666e",
      );
      break;
    case "wall":
      stroke(
        pen,
        [
          [0.76, 0],
          [0.76, 2.5],
        ],
        14,
        "#56666e",
      );
      break;
    case "rower":
      stroke(
        pen,
        [
          [-0.9, 0.02],
          [-0.9, 0.34],
          [0.95, 0.3],
          [0.95, 0.02],
        ],
        8,
        "#56666e",
      );
      disc(pen, [0.95, 0.52], 34, "#56666e");
      if (held) stroke(pen, [pose.hand, [0.9, 0.62]], 2, KIT_INK);
      break;
    case "bike":
      disc(pen, [0.52, 0.36], 52, "#56666e");
      stroke(
        pen,
        [
          [-0.2, 0.92],
          [0.06, 0.36],
          [0.52, 0.36],
          [0.56, 1.4],
        ],
        8,
        "#56666e",
      );
      break;
    case "ski":
      stroke(
        pen,
        [
          [0.72, 0],
          [0.72, 2.1],
        ],
        14,
        "#56666e",
      );
      if (held) stroke(pen, [pose.hand, [0.7, 2.05]], 2, KIT_INK);
      break;
    case "rope":
      if (held) rope(pen, pose);
      break;
    case "none":
      break;
  }
}

function rope(pen: Pen, pose: Pose) {
  const [x, y] = at(pen, [0, 0.95 + (pose.foot[1] - 0.04) * 2]);
  pen.context.strokeStyle = KIT_INK;
  pen.context.lineWidth = 2;
  pen.context.beginPath();
  pen.context.ellipse(x, y, 70, 158, 0, 0, 2 * Math.PI);
  pen.context.stroke();
}

function at(pen: Pen, [x, y]: Point): [number, number] {
  return [pen.x + x * METRE, pen.y - y * METRE];
}

function stroke(pen: Pen, points: Point[], width: number, colour: string) {
  const { context } = pen;
  context.strokeStyle = colour;
  context.lineWidth = width;
  context.lineCap = "round";
  context.lineJoin = "round";
  context.beginPath();
  for (const point of points) context.lineTo(...at(pen, point));
  context.stroke();
}

function disc(pen: Pen, point: Point, radius: number, colour: string) {
  const [x, y] = at(pen, point);
  pen.context.fillStyle = colour;
  pen.context.beginPath();
  pen.context.arc(x, y, radius, 0, 2 * Math.PI);
  pen.context.fill();
}
