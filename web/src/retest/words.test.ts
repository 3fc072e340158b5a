import { describe, expect, it } from "vitest";
import { projectedChange as row, projection } from "../testing/sample";
import { change, headline } from "./words";

describe("the projection in words", () => {
  it("opens with the score and the gain, then the likely range and the best case", () => {
    const { before, middle, bestCase } = projection();
    const range = { p10: before, p50: middle, p90: bestCase, replays: 1000, words: "9:38–9:42" };
    expect(headline(projection())).toBe("Projected retest: 9:40, 2.0 s faster. Best case 9:38.");
    expect(headline(projection({ range }))).toBe(
      "Projected retest: 9:40, 2.0 s faster. Likely 9:38–9:42; best case 9:38.",
    );
  });

  it("says when nothing is chosen or saved", () => {
    expect(headline(projection({ changes: [row({ on: false })] }))).toContain("No changes chosen");
    expect(headline(projection({ gain: { ms: 0, reps: 0, words: "no change" } }))).toContain("save no time");
  });

  it("says a gain by what is scored", () => {
    expect(change({ ms: 4000, reps: 0, words: "4.0 s" })).toBe("4.0 s faster");
    expect(change({ ms: -4000, reps: 0, words: "−4.0 s" })).toBe("4.0 s slower");
    expect(change({ ms: 0, reps: 3, words: "3 reps" })).toBe("3 reps more");
    expect(change({ ms: 0, reps: -1, words: "−1 rep" })).toBe("1 rep fewer");
  });

  it("never promises", () => {
    expect(headline(projection())).not.toMatch(/will|guarantee|can be/);
  });
});
