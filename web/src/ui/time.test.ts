import { describe, expect, it } from "vitest";
import { clock, lost, told, wallClock } from "./time";

describe("times on screen", () => {
  it("shows tenths, and hours only when needed", () => {
    expect(clock(582_349)).toBe("9:42.3");
    expect(clock(59_960)).toBe("1:00.0");
    expect(clock(3_723_000)).toBe("1:02:03.0");
  });

  it("lets the wall clock run without rounding up", () => {
    expect(wallClock(59_499)).toBe("0:59");
    expect(wallClock(-400)).toBe("0:00");
  });

  it("gives losses a sign and nothing none", () => {
    expect(lost(4210)).toBe("+4.2");
    expect(lost(-1000)).toBe("−1.0");
    expect(lost(-20)).toBe("0.0");
  });

  it("shows no tenths of what was told in whole seconds", () => {
    const whole = told("WHOLE");
    expect(whole.clock(582_500)).toBe("9:43");
    expect([whole.span(4400), whole.span(59_600)]).toEqual(["4 s", "1:00"]);
    expect([whole.lost(4600), whole.lost(-400), whole.savedWords(300)]).toEqual(["+5", "0", "no change"]);
  });
});
