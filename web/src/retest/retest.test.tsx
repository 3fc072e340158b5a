import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { PlanField } from "../plan/PlanField";
import { call } from "../testing/sample";
import { ChangeRow } from "./ChangeRow";
import { ScoreLadder } from "./ScoreLadder";

afterEach(cleanup);

const nothing = () => undefined;

describe("a change of the retest call", () => {
  it("says where it applies and how far it is backed", () => {
    render(<ChangeRow change={call()} onTarget={nothing} onSwitch={nothing} />);
    expect(screen.getByText("2 places, the slowest 9.0 s · shown")).toBeTruthy();
    expect(screen.getByTitle("alone").textContent).toBe("4.0 s");
  });

  it("says so when the attempt is quicker already", () => {
    render(<ChangeRow change={call({ touched: 0, gain: { ms: 0, reps: 0 } })} onTarget={nothing} onSwitch={nothing} />);
    expect(screen.getByText(/nothing in this attempt is slower/)).toBeTruthy();
    expect(screen.getByTitle("alone").textContent).toBe("nothing");
  });

  it("takes a typed target in seconds", () => {
    const onTarget = vi.fn();
    render(<ChangeRow change={call()} onTarget={onTarget} onSwitch={nothing} />);
    const field = screen.getByLabelText(/Target in seconds/);
    fireEvent.change(field, { target: { value: "4.5" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(onTarget).toHaveBeenCalledWith(4500);
  });

  it("is switched on and off", () => {
    const onSwitch = vi.fn();
    render(<ChangeRow change={call()} onTarget={nothing} onSwitch={onSwitch} />);
    fireEvent.click(screen.getByRole("checkbox"));
    expect(onSwitch).toHaveBeenCalledWith(false);
  });

  it("stands on a ladder with the best score on top", () => {
    const score = (words: string) => ({ words, clockMs: 0, done: 0, missing: 0 });
    render(
      <ScoreLadder
        view={{
          before: score("9:42.0"),
          together: score("9:20.0"),
          onEvidence: score("9:28.0"),
          gain: { ms: 22_000, reps: 0 },
          calls: [],
          cadences: [],
          cautions: [],
        }}
      />,
    );
    expect(screen.getAllByRole("listitem").map((item) => item.textContent.slice(0, 6))).toEqual([
      "9:20.0",
      "9:28.0",
      "9:42.0",
    ]);
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
