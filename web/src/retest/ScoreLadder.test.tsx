import { render, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { ProjectionView } from "../api/client";
import { ScoreLadder } from "./ScoreLadder";

const score = (words: string, clockMs: number) => ({ words, clockMs, done: 60 });

const view = (best: number, middle: number, proven: number) =>
  ({
    bestCase: score(`at ${best}`, best),
    middle: score(`at ${middle}`, middle),
    proven: score(`at ${proven}`, proven),
    before: score("at 600", 600),
    noRange: "No range.",
  }) as unknown as ProjectionView;

describe("the score ladder", () => {
  it("draws a score that several stand for once, with all their names", () => {
    render(<ScoreLadder view={view(600, 600, 600)} goal={undefined} />);
    const rungs = screen.getAllByRole("listitem").map((rung) => rung.textContent);
    expect(rungs).toEqual(["at 600best case = projected = proven = this attempt"]);
  });

  it("draws what differs apart, the best on top", () => {
    render(<ScoreLadder view={view(500, 520, 600)} goal={undefined} />);
    const rungs = screen.getAllByRole("listitem").map((rung) => rung.textContent);
    expect(rungs).toEqual(["at 500best case", "at 520projected", "at 600proven = this attempt"]);
  });
});
