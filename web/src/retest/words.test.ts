import { describe, expect, it } from "vitest";
import { call as change, projection } from "../testing/sample";
import { call } from "./words";

describe("the call in words", () => {
  it("names both totals", () => {
    expect(call(projection())).toBe("The call: 9:38.0 if the change lands, 9:39.0 on evidence.");
    expect(call(projection({ calls: [change(), change()] }))).toContain("if all 2 changes land");
  });

  it("says when nothing is chosen or won", () => {
    expect(call(projection({ calls: [change({ on: false })] }))).toContain("this attempt again");
    expect(call(projection({ gain: { ms: 0, reps: 0, words: "nothing" } }))).toContain("win nothing");
  });

  it("never promises", () => {
    expect(call(projection())).not.toMatch(/will|guarantee|can be/);
  });
});
