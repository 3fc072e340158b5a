import type { RecordingScript, Scene } from "../api/client";
import { runningClock } from "../ui/time";
import { drawFigure, drawKit, METRE, type Pen } from "./drawing";
import { BENT, blend, FIGURES, type Pose, poseAt, STAND } from "./poses";

const FLOOR_Y = 470;
const HOME_X = 430;
const FAULT_SHOWN_MS = 900;
const STRIDING = ["run", "bike"];
const FAR_SIDE = "#a9b4b9";

/** Draws the frame of a simulated recording at a media time. */
export function draw(context: CanvasRenderingContext2D, script: RecordingScript, atMs: number): void {
  const scene = sceneAt(script.scenes, atMs);
  room(context, script, scene, atMs);
  if (!scene) return;
  const figure = FIGURES[scene.figure] ?? FIGURES.stand;
  if (!figure) return;
  const pen: Pen = { context, x: HOME_X, y: FLOOR_Y };
  const pose = poseIn(scene, figure.loop, figure.turnS, atMs);
  const atKit = scene.act === "WORK";
  drawKit({ ...pen, x: HOME_X }, figure.kit, pose, atKit);
  const place: Pen = { ...pen, x: HOME_X + walkOffset(scene, atMs) };
  const strides = scene.act === "WALK" || (scene.act === "WORK" && STRIDING.includes(scene.figure));
  if (strides) drawFigure({ ...place, ink: FAR_SIDE }, poseIn(scene, figure.loop, figure.turnS, atMs, 0.5));
  drawFigure(place, pose);
  judge(context, scene, atMs);
}

/** The scene a media time lies in. */
export function sceneAt(scenes: Scene[], atMs: number): Scene | undefined {
  return scenes.find((scene) => atMs < scene.toMs) ?? scenes.at(-1);
}

/** The pose at a time; the far side of a striding athlete is half a turn ahead. */
function poseIn(scene: Scene, loop: Pose[], turnS: number | undefined, atMs: number, ahead = 0): Pose {
  const since = (atMs - scene.fromMs) / 1000;
  switch (scene.act) {
    case "READY":
      return blend(STAND, BENT, 0.15 + 0.05 * Math.sin(since * 2));
    case "WALK":
      return poseAt(FIGURES.run?.loop ?? [STAND], since / 0.9 + ahead);
    case "REST":
    case "OVER":
      return blend(BENT, STAND, 0.12 + 0.1 * Math.sin(since * 3.4));
    case "WORK":
      return poseAt(loop, repShare(scene, turnS ?? 2, atMs) + ahead);
  }
}

/** How far through its rep the figure is: by the counted reps where there are some, else by the usual turn. */
export function repShare(scene: Scene, turnS: number, atMs: number): number {
  const ends = scene.repEndsMs;
  if (ends.length === 0) return (atMs - scene.fromMs) / 1000 / turnS;
  const next = ends.findIndex((end) => end > atMs);
  const index = next < 0 ? ends.length - 1 : next;
  const from = index === 0 ? scene.fromMs : (ends[index - 1] ?? scene.fromMs);
  const to = ends[index] ?? scene.toMs;
  return Math.min(0.999, (atMs - from) / Math.max(1, to - from));
}

function walkOffset(scene: Scene, atMs: number): number {
  if (scene.act !== "WALK") return 0;
  const share = (atMs - scene.fromMs) / Math.max(1, scene.toMs - scene.fromMs);
  return Math.sin(Math.PI * share) * -1.1 * METRE;
}

function room(context: CanvasRenderingContext2D, script: RecordingScript, scene: Scene | undefined, atMs: number) {
  const { width, height } = context.canvas;
  context.fillStyle = "#2b3940";
  context.fillRect(0, 0, width, height);
  context.fillStyle = "#34444c";
  for (let x = 0; x < width; x += 120) context.fillRect(x, 0, 2, FLOOR_Y + 6);
  context.fillStyle = "#1a242a";
  context.fillRect(0, FLOOR_Y + 6, width, height);
  context.fillStyle = "#202c33";
  context.fillRect(0, FLOOR_Y + 6, width, 3);
  sign(context, 36, 34, 330, 66, "#efebe2");
  context.fillStyle = "#15242c";
  context.textBaseline = "middle";
  context.textAlign = "left";
  context.font = "600 26px 'Archivo Variable', sans-serif";
  context.fillText(scene?.board ?? "", 54, 68, 296);
  timer(context, script, atMs);
}

function timer(context: CanvasRenderingContext2D, script: RecordingScript, atMs: number) {
  const toGo = script.goMs - atMs;
  const over = script.scenes.at(-1)?.fromMs ?? script.durationMs;
  const shown = Math.min(atMs, over) - script.goMs;
  sign(context, 700, 30, 224, 84, "#0b1216");
  context.fillStyle = toGo > 0 ? "#e5b15a" : "#f7f5f0";
  context.font = "600 58px 'Archivo Variable', monospace";
  context.textAlign = "right";
  const text = toGo > 0 ? `0:0${Math.ceil(toGo / 1000)}` : runningClock(shown);
  context.fillText(text, toGo > 0 ? 904 : 862, 74);
  if (toGo <= 0) {
    context.font = "600 30px 'Archivo Variable', monospace";
    context.textAlign = "left";
    context.fillText(`.${Math.floor((shown % 1000) / 100)}`, 863, 83);
  }
}

function judge(context: CanvasRenderingContext2D, scene: Scene, atMs: number) {
  const calls = scene.faultsMs.some((fault) => atMs >= fault && atMs < fault + FAULT_SHOWN_MS);
  const pen: Pen = { context, x: 770, y: FLOOR_Y, ink: "#8fa0a8" };
  const arm: Pose = calls ? { ...STAND, elbow: [-0.16, 1.66], hand: [-0.2, 1.98] } : STAND;
  drawFigure(pen, arm);
  if (calls) {
    sign(context, 690, 176, 160, 44, "#efebe2");
    context.fillStyle = "#15242c";
    context.font = "700 24px 'Archivo Variable', sans-serif";
    context.textAlign = "center";
    context.fillText("NO REP", 770, 199);
  }
}

function sign(context: CanvasRenderingContext2D, x: number, y: number, w: number, h: number, colour: string) {
  context.fillStyle = colour;
  context.beginPath();
  context.roundRect(x, y, w, h, 6);
  context.fill();
}
