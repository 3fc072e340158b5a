import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { RecordingScript } from "../api/client";
import { Deck } from "./deck";
import { Reel } from "./Reel";

const SCRIPT = { durationMs: 10_000, goMs: 3000, beepsMs: [], poses: [] } as unknown as RecordingScript;

describe("the clockwork of a simulated recording", () => {
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ["performance"] });
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it("runs with real time at its speed, and stands when paused", () => {
    const reel = new Reel(SCRIPT);
    reel.setRate(2);
    reel.play();
    vi.advanceTimersByTime(1500);
    expect(reel.timeMs()).toBe(3000);
    reel.pause();
    vi.advanceTimersByTime(1500);
    expect(reel.timeMs()).toBe(3000);
  });

  it("tells of each frame once, however often the screen asks", () => {
    const reel = new Reel(SCRIPT);
    reel.play();
    const told = vi.fn();
    reel.follow(told);
    for (let i = 0; i < 60; i++) {
      vi.advanceTimersByTime(1000 / 60);
      reel.tick();
    }
    expect(told.mock.calls.length).toBeGreaterThanOrEqual(29);
    expect(told.mock.calls.length).toBeLessThanOrEqual(31);
  });

  it("keeps its place when the speed changes", () => {
    const reel = new Reel(SCRIPT);
    reel.play();
    vi.advanceTimersByTime(1000);
    reel.setRate(0.5);
    vi.advanceTimersByTime(1000);
    expect(reel.timeMs()).toBe(1500);
  });

  it("steps by whole frames and never before the start", () => {
    const reel = new Reel(SCRIPT);
    reel.seek(1010);
    reel.step(1);
    expect(reel.timeMs()).toBeCloseTo((31 * 1000) / 30);
    reel.step(-40);
    expect(reel.timeMs()).toBe(0);
  });

  it("goes back to the start of its loop, and stops at the end of the media", () => {
    const reel = new Reel(SCRIPT);
    reel.loop({ fromMs: 1000, toMs: 2000 });
    reel.seek(1900);
    reel.play();
    vi.advanceTimersByTime(200);
    reel.tick();
    expect(reel.timeMs()).toBe(1000);
    reel.loop(undefined);
    vi.advanceTimersByTime(20_000);
    reel.tick();
    expect(reel.paused()).toBe(true);
    expect(reel.timeMs()).toBe(10_000);
  });
});

describe("the deck", () => {
  it("tells of the player's coming and of its changes, until it is let go", () => {
    const deck = new Deck();
    const heard = vi.fn();
    const unfollow = deck.follow(heard);
    const reel = new Reel(SCRIPT);
    deck.attach(reel);
    expect(heard).toHaveBeenCalledTimes(1);
    reel.seek(500);
    expect(heard).toHaveBeenCalledTimes(2);
    deck.attach(null);
    heard.mockClear();
    reel.seek(700);
    expect(heard).not.toHaveBeenCalled();
    unfollow();
    deck.attach(reel);
    expect(heard).not.toHaveBeenCalled();
  });
});
