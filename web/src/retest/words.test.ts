import { describe, expect, it } from "vitest";
import type { CallView, ProjectionView } from "../api/client";
import { call, gainWords } from "./words";

const score = (words: string) => ({ words, clockMs: 582_000, done: 0, missing: 0 });
const change = (on: boolean): CallView => ({
  kind: "CAP_RESTS",
  movement: "",
  unit: "",
  words: "",
  fromMs: 9000,
  targetMs: 5000,
  on,
  gain: { ms: 4000, reps: 0 },
  touched: 1,
  evidence: "SHOWN",
  evidenceWords: "shown",
  credit: 0.75,
});
const view = (calls: CallView[], ms: number): ProjectionView => ({
  before: score("9:42.0"),
  together: score("9:38.0"),
  onEvidence: score("9:39.0"),
  gain: { ms, reps: 0 },
  calls,
  cadences: [],
  cautions: [],
});

describe("the call in words", () => {
  it("names both totals", () => {
    expect(call(view([change(true)], 4000))).toBe("The call: 9:38.0 if the change lands, 9:39.0 on evidence.");
    expect(call(view([change(true), change(true)], 4000))).toContain("if all 2 changes land");
  });

  it("says when nothing is chosen or won", () => {
    expect(call(view([change(false)], 0))).toContain("this attempt again");
    expect(call(view([change(true)], 0))).toContain("win nothing");
  });

  it("tells seconds from reps", () => {
    expect(gainWords({ ms: 4210, reps: 0 })).toBe("4.2 s");
    expect(gainWords({ ms: 0, reps: 1 })).toBe("1 rep");
    expect(gainWords({ ms: 0, reps: 0 })).toBe("nothing");
  });
});
