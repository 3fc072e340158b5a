import { beforeEach, describe, expect, it, vi } from "vitest";
import { RigClock } from "./RigClock";

beforeEach(() => localStorage.clear());

describe("the clock at the rig", () => {
  it("counts down, and runs from go on", () => {
    const clock = new RigClock("a", localStorage);
    expect(clock.started()).toBe(false);
    expect(clock.timeMs()).toBe(0);
    clock.start(10_000);
    expect(clock.timeMs()).toBeGreaterThan(-10_001);
    expect(clock.timeMs()).toBeLessThan(-9_900);
  });

  it("goes on after a reload, each attempt by itself, and can be started again", () => {
    new RigClock("a", localStorage).start(-5000);
    const again = new RigClock("a", localStorage);
    expect(again.started()).toBe(true);
    expect(again.timeMs()).toBeGreaterThanOrEqual(5000);
    expect(new RigClock("b", localStorage).started()).toBe(false);
    again.forget();
    expect(new RigClock("a", localStorage).started()).toBe(false);
  });

  it("tells its followers as long as there are any", () => {
    vi.useFakeTimers();
    const clock = new RigClock("a", localStorage);
    const looked = vi.fn();
    const leave = clock.follow(looked);
    vi.advanceTimersByTime(1000);
    expect(looked.mock.calls.length).toBeGreaterThanOrEqual(9);
    leave();
    looked.mockClear();
    vi.advanceTimersByTime(1000);
    expect(looked).not.toHaveBeenCalled();
    vi.useRealTimers();
  });
});
