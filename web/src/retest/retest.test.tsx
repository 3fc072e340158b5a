import { fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { describe, expect, it, vi } from "vitest";
import { PlanField } from "../plan/PlanField";
import { projectedChange, projection } from "../testing/sample";
import { ProjectedVsActual } from "./ProjectedVsActual";
import { ChangeRow } from "./ChangeRow";
import { Credits } from "./Credits";
import { GoalBox } from "./GoalBox";
import { ScoreLadder } from "./ScoreLadder";

const nothing = () => undefined;

function row(fields: Parameters<typeof projectedChange>[0] = {}, onChange: (part: object) => void = nothing) {
  render(
    <ChangeRow
      projected={projectedChange(fields)}
      solved={undefined}
      onSolve={nothing}
      onChange={onChange}
      onDrag={nothing}
      onRemove={nothing}
    />,
  );
}

describe("a change of the retest call", () => {
  it("says where it applies, how far it is backed and what it wins", () => {
    row({ low: { ms: 3000, reps: 0, words: "3.0 s" }, high: { ms: 5000, reps: 0, words: "5.0 s" } });
    expect(screen.getByText("2 places, longest 9.0 s · shown")).toBeTruthy();
    expect(screen.getByText("2.0 s")).toBeTruthy();
    expect(screen.getByText("4.0 s before fatigue")).toBeTruthy();
    expect(screen.getByText("3.0 s to 5.0 s")).toBeTruthy();
  });

  it("says why it has nothing to work on", () => {
    row({ place: "No rests were logged.", reason: "No rests were logged." });
    expect(screen.getByText("No rests were logged.")).toBeTruthy();
  });

  it("shows what it would have to bring where that is not arithmetic", () => {
    row({ breakEven: ["They pay when the reps get 0.20 s quicker."] });
    expect(screen.getByText(/They pay when/)).toBeTruthy();
  });

  it("takes a typed target", () => {
    const onChange = vi.fn();
    row({}, onChange);
    const field = screen.getByLabelText(/Target in s/);
    fireEvent.change(field, { target: { value: "4.5" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(onChange).toHaveBeenCalledWith({ target: 4.5, targets: [] });
  });

  it("takes a target for each place", () => {
    const onChange = vi.fn();
    row({}, onChange);
    const field = screen.getByLabelText(/Target in s/);
    fireEvent.change(field, { target: { value: "20, 24, 24, 25" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(onChange).toHaveBeenCalledWith({ target: 20, targets: [20, 24, 24, 25] });
  });

  it("is meant for a place", () => {
    const onChange = vi.fn();
    const where = { from: 2, to: 0, section: "", load: "", set: 0 };
    const places = [
      { words: "everywhere", chosen: true },
      { words: "from round 2", where, chosen: false },
    ];
    row({ places }, onChange);
    fireEvent.change(screen.getByLabelText("Where: Cap rests"), { target: { value: "1" } });
    expect(onChange).toHaveBeenCalledWith({ where });
  });

  it("takes sets as they are written", () => {
    const onChange = vi.fn();
    row({ change: { kind: "CHANGE_SETS", movement: "thruster", target: 0, sets: "5s", on: true } }, onChange);
    const field = screen.getByLabelText(/Sets/);
    fireEvent.change(field, { target: { value: "6-5-4" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(onChange).toHaveBeenCalledWith({ sets: "6-5-4" });
  });

  it("is switched on and off", () => {
    const onChange = vi.fn();
    row({}, onChange);
    fireEvent.click(screen.getByRole("checkbox"));
    expect(onChange).toHaveBeenCalledWith({ on: false });
  });
});

describe("the score ladder", () => {
  it("has the best score on top", () => {
    render(<ScoreLadder view={projection()} goal={undefined} />);
    expect(screen.getAllByRole("listitem").map((item) => item.textContent.slice(0, 4))).toEqual([
      "9:38",
      "9:39",
      "9:40",
      "9:42",
    ]);
    expect(screen.getByText(/Too little/)).toBeTruthy();
  });

  it("says the range in words", () => {
    const score = (words: string, clockMs: number) => ({ words, clockMs, done: 30, missing: 0 });
    const range = {
      p10: score("9:44.0", 584_000),
      p50: score("9:38.5", 578_500),
      p90: score("9:33.0", 573_000),
      replays: 1000,
      words: "9:33–9:44",
    };
    render(<ScoreLadder view={projection({ range })} goal={score("9:30.0", 570_000)} />);
    expect(screen.getByText("goal")).toBeTruthy();
    expect(screen.getByText(/8 in 10 of 1,000 simulated retests score 9:33–9:44/)).toBeTruthy();
  });
});

describe("the way to a goal", () => {
  const goal = {
    goal: { words: "9:35.0", clockMs: 575_000, done: 30, missing: 0 },
    reached: true,
    reachedIfAllLand: true,
    says: "9:35.0 on evidence, with one change.",
    steps: [
      {
        change: 2,
        target: 4.5,
        words: "Cap rests",
        gain: { ms: 7000, reps: 0, words: "7.0 s" },
        after: "9:35.0",
        evidence: "SHOWN_LATE" as const,
        reason: "shown late in this attempt",
      },
    ],
  };

  it("is found, shown with its reasons and taken", () => {
    const onGoal = vi.fn();
    const onChoose = vi.fn();
    render(<GoalBox chosen={{ changes: [] }} goal={goal} example="8:45" onGoal={onGoal} onChoose={onChoose} />);
    fireEvent.change(screen.getByLabelText("Score"), { target: { value: "9:35" } });
    fireEvent.click(screen.getByText("Find what it takes"));
    expect(onGoal).toHaveBeenCalledWith({ goal: "9:35", others: "" });
    expect(screen.getByText(/shown late in this attempt/)).toBeTruthy();
    fireEvent.click(screen.getByText("Use this change"));
    expect(onChoose).toHaveBeenCalledWith(goal.steps);
  });

  it("can be a place among others", () => {
    const onGoal = vi.fn();
    render(<GoalBox chosen={{ changes: [] }} goal={undefined} example="8:45" onGoal={onGoal} onChoose={nothing} />);
    fireEvent.click(screen.getByText("Aim for a place"));
    fireEvent.change(screen.getByLabelText("Place"), { target: { value: "2" } });
    fireEvent.change(screen.getByLabelText(/Scores of the others/), { target: { value: "9:10\n9:20" } });
    fireEvent.click(screen.getByText("Find what it takes"));
    expect(onGoal).toHaveBeenCalledWith({ goal: "", others: "9:10\n9:20", place: 2 });
  });
});

describe("credits", () => {
  it("are set in percent and kept as shares", () => {
    const onKeep = vi.fn();
    const credits = [
      { evidence: "SHOWN_LATE" as const, words: "done late in this attempt", percent: 100 },
      { evidence: "SHOWN" as const, words: "done in this attempt", percent: 75 },
    ];
    render(<Credits credits={credits} onKeep={onKeep} />);
    const field = screen.getByLabelText("Counts as proven, percent: done in this attempt");
    fireEvent.change(field, { target: { value: "60" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(onKeep).toHaveBeenCalledWith({ SHOWN_LATE: 1, SHOWN: 0.6 });
  });
});

describe("projected vs actual", () => {
  it("puts both beside each other and names what came from elsewhere", () => {
    const score = (words: string) => ({ words, clockMs: 0, done: 30, missing: 0 });
    render(
      <MemoryRouter>
        <ProjectedVsActual
          actual={{
            firstId: "a",
            firstOn: "2026-03-01",
            answer: "Retest 9:30, 12.0 s faster. Projected 9:31, inside the likely range.",
            before: score("9:42.0"),
            actual: score("9:30.0"),
            inRange: true,
            wonMs: 12_000,
            segments: 8,
            changes: [{ words: "Cap rests", projectedMs: 9000, actualMs: 8000, says: "as projected" }],
            elsewhere: [{ what: "pace of burpee", wonMs: 4000 }],
          }}
        />
      </MemoryRouter>,
    );
    expect(screen.getByRole("row", { name: /Cap rests saved 9.0 s saved 8.0 s as projected/ })).toBeTruthy();
    expect(screen.getByText(/pace of burpee saved 4.0 s/)).toBeTruthy();
    expect(screen.getByText(/until three retests/)).toBeTruthy();
  });
});

describe("a figure of the plan", () => {
  it("keeps what was typed on Enter, and takes it back on Escape", () => {
    const onKeep = vi.fn();
    render(<PlanField label="Rest" value="5.0" onKeep={onKeep} isNumber />);
    const field = screen.getByLabelText<HTMLInputElement>("Rest");
    fireEvent.change(field, { target: { value: "7" } });
    fireEvent.keyDown(field, { key: "Escape" });
    expect(field.value).toBe("5.0");
    fireEvent.change(field, { target: { value: "6.5" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(onKeep).toHaveBeenCalledExactlyOnceWith("6.5");
  });

  it("marks what is no number and keeps it out", () => {
    const onKeep = vi.fn();
    render(<PlanField label="Rest" value="5.0" onKeep={onKeep} isNumber />);
    const field = screen.getByLabelText<HTMLInputElement>("Rest");
    fireEvent.change(field, { target: { value: "soon" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(field.getAttribute("aria-invalid")).toBe("true");
    expect(onKeep).not.toHaveBeenCalled();
  });
});
