import { describe, expect, it } from "vitest";
import { call as change, projection } from "../testing/sample";
import { call } from "./words";

describe("the call in words", () => {
  it("names the middle and the most there is", () => {
    expect(call(projection())).toBe("The call: 9:40; 9:38 if the change lands and the body asks nothing for it.");
    expect(call(projection({ calls: [change(), change()] }))).toContain("if all 2 changes land");
  });

  it("says the range where there is one", () => {
    const { before, middle, together } = projection();
    const range = { p10: before, p50: middle, p90: together, replays: 1000 };
    expect(call(projection({ range }))).toContain("9:40, most likely between 9:42.0 and 9:38;");
  });

  it("says when nothing is chosen or won", () => {
    expect(call(projection({ calls: [change({ on: false })] }))).toContain("this attempt again");
    expect(call(projection({ gain: { ms: 0, reps: 0, words: "nothing" } }))).toContain("win nothing");
  });

  it("never promises", () => {
    expect(call(projection())).not.toMatch(/will|guarantee|can be/);
  });
});
