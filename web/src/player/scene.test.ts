import { describe, expect, it } from "vitest";
import type { Scene } from "../api/client";
import { nextRate } from "./player";
import { FIGURES, poseAt, STAND } from "./poses";
import { repShare, sceneAt } from "./scene";

const scene = (fromMs: number, toMs: number, repEndsMs: number[] = []): Scene => ({
  act: "WORK",
  figure: "burpee",
  fromMs,
  toMs,
  repEndsMs,
  faultsMs: [],
  board: "6 burpee",
});

describe("a simulated recording", () => {
  it("finds the scene of a moment, and stays on the last one after the end", () => {
    const scenes = [scene(0, 1000), scene(1000, 3000)];
    expect(sceneAt(scenes, 999)?.fromMs).toBe(0);
    expect(sceneAt(scenes, 1000)?.fromMs).toBe(1000);
    expect(sceneAt(scenes, 9000)?.fromMs).toBe(1000);
  });

  it("runs through a rep between the ends of counted reps", () => {
    const counted = scene(1000, 9000, [3000, 7000]);
    expect(repShare(counted, 2, 2000)).toBeCloseTo(0.5);
    expect(repShare(counted, 2, 4000)).toBeCloseTo(0.25);
  });

  it("turns at its usual pace where reps are not counted", () => {
    expect(repShare(scene(1000, 9000), 2, 2000)).toBeCloseTo(0.5);
  });

  it("starts every loop at its first pose and closes it", () => {
    for (const figure of Object.values(FIGURES)) {
      expect(poseAt(figure.loop, 0)).toEqual(figure.loop[0] ?? STAND);
      expect(poseAt(figure.loop, 1)).toEqual(figure.loop[0] ?? STAND);
    }
  });

  it("steps through the speeds and stops at the ends", () => {
    expect(nextRate(1, true)).toBe(1.5);
    expect(nextRate(1, false)).toBe(0.5);
    expect(nextRate(4, true)).toBe(4);
    expect(nextRate(0.25, false)).toBe(0.1);
  });
});
