import { describe, expect, it } from "vitest";
import { clock, lost, seconds, wallClock } from "./time";

describe("times on screen", () => {
  it("shows tenths, and hours only when needed", () => {
    expect(clock(582_349)).toBe("9:42.3");
    expect(clock(59_960)).toBe("1:00.0");
    expect(clock(3_723_000)).toBe("1:02:03.0");
  });

  it("lets the wall clock run without rounding up", () => {
    expect(wallClock(59_999)).toBe("0:59");
    expect(wallClock(-400)).toBe("0:00");
  });

  it("gives losses a sign and nothing none", () => {
    expect(lost(4210)).toBe("+4.2");
    expect(lost(-1000)).toBe("−1.0");
    expect(lost(-20)).toBe("0.0");
    expect(seconds(2345, 2)).toBe("2.35");
  });
});
