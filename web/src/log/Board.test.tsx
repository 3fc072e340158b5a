import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { SegmentView } from "../api/client";
import { attempt, log, segment, split } from "../testing/sample";
import { Told } from "../ui/useTimes";
import { Board } from "./Board";
import { Tally } from "./Tally";

const nothing = () => undefined;

type Opens = NonNullable<SegmentView["opens"]>;

/** The first segment of a round. */
function round(index: number, number: number, opens: Partial<Opens> = {}, done?: SegmentView["split"]): SegmentView {
  return segment(index, {
    inRound: true,
    opens: { words: `round ${number}`, onlyEnd: false, ...opens },
    ...(done ? { split: done } : {}),
  });
}

describe("the whiteboard that fills itself", () => {
  it("pencils the split at the end of a line that is done, and leads to its moment", () => {
    const onSeek = vi.fn();
    render(<Board attempt={attempt()} onSeek={onSeek} />);
    fireEvent.click(screen.getByText("0:21.0"));
    expect(onSeek).toHaveBeenCalledWith(0);
    expect(screen.getByText("18 reps/min (3.33 s/rep)")).toBeTruthy();
  });

  it("lights the line that is being done and tallies its reps", () => {
    const now = log({ counted: 3, segments: [segment(0, { split: split() }), segment(1)] });
    render(<Board attempt={attempt({ log: now })} onSeek={nothing} />);
    expect(document.querySelector("[aria-current=step]")?.textContent).toContain("6 burpee");
    expect(screen.getByLabelText("3 of 6")).toBeTruthy();
  });

  it("says sets, rests, faults and what is unassigned", () => {
    const broken = split({
      arrivalMs: 21_000,
      sets: "4-2",
      restMs: 5200,
      transitionMs: 3100,
      beginInferred: true,
      faults: [{ kind: "NO_REP", atMs: 25_000, costMs: 2800 }],
      faultMs: 2800,
      unseparatedMs: 1500,
    });
    render(<Board attempt={attempt({ log: log({ segments: [segment(0, { split: broken })] }) })} onSeek={nothing} />);
    const text = screen.getByText(/4-2/).textContent;
    expect(text).toContain("transition 3.1 s (estimated)");
    expect(text).toContain("rest 5.2 s");
    expect(text).toContain("1 fault 2.8 s");
    expect(text).toContain("1.5 s unassigned");
  });

  it("numbers the rounds where there are several", () => {
    const rounds = [round(0, 1), segment(1, { inRound: true }), round(2, 2)];
    render(<Board attempt={attempt({ log: log({ segments: rounds }) })} onSeek={nothing} />);
    expect(screen.getAllByText(/^Round \d$/).map((round) => round.textContent)).toEqual(["Round 1", "Round 2"]);
  });

  it("shows how long a round took where only its end was noted, and no split inside it", () => {
    const inside = split({ known: false });
    const segments = [
      round(0, 1, { elapsedMs: 94_000, onlyEnd: true }, inside),
      segment(1, { inRound: true, split: inside }),
    ];
    render(<Board attempt={attempt({ log: log({ segments, currentIndex: 2 }) })} onSeek={nothing} />);
    expect(screen.getByText("1:34.0")).toBeTruthy();
    expect(screen.getAllByTitle("estimated: only the round split was logged").map((one) => one.textContent)).toEqual([
      "–",
      "–",
    ]);
  });

  it("folds rounds that are done to a line, but for the last one, and opens them again", () => {
    const segments = [1, 2, 3].map((number) => round(number - 1, number, { elapsedMs: 60_000 + number }, split()));
    const after = [round(3, 4), segment(4)];
    render(
      <Board
        attempt={attempt({ log: log({ segments: [...segments, ...after], currentIndex: 3 }) })}
        onSeek={nothing}
      />,
    );
    const open = () =>
      screen.getAllByRole("button", { name: /^Round/ }).map((one) => one.getAttribute("aria-expanded"));
    expect(open()).toEqual(["false", "false", "true"]);
    expect(screen.getAllByText("1:00.0")).toHaveLength(2);
    expect(screen.getAllByText(/burpee/)).toHaveLength(3);
    fireEvent.click(screen.getByRole("button", { name: "Round 1" }));
    expect(open()).toEqual(["true", "false", "true"]);
    expect(screen.getAllByText(/burpee/)).toHaveLength(4);
  });

  it("shows no tenths where times were typed in whole seconds", () => {
    render(
      <Told value="WHOLE">
        <Board attempt={attempt({ log: log({ segments: [segment(0, { split: split() })] }) })} onSeek={nothing} />
      </Told>,
    );
    expect(screen.getByText("0:21")).toBeTruthy();
  });

  it("fills the planned lifts of a window in as they are done, with the rest before each", () => {
    const made = { counted: 0, reps: 3, sinceMs: 60_000, outcome: "MADE" as const };
    const lifts = [
      { ...made, atMs: 60_000, load: "80 kg", lengthMs: 20_000, endMs: 80_000, restMs: 60_000 },
      {
        ...made,
        atMs: 140_000,
        load: "85 kg",
        outcome: "MISSED" as const,
        missedOn: 3,
        missedPiece: "push jerk",
        sinceMs: 80_000,
        restMs: 60_000,
      },
    ];
    const planned = { side: "20", role: "WISH", startMs: 300_000, load: "87 kg" };
    const plannedLifts = [planned, planned, planned];
    render(<Board attempt={attempt({ log: log({ liftWindow: true, lifts, plannedLifts }) })} onSeek={nothing} />);
    const rows = screen.getAllByRole("listitem").map((row) => row.textContent);
    expect(rows[1]).toBe("285 kg missed on rep 3, the push jerk2:20.0rest 1:00 · planned 87 kg at 5:00");
    expect(rows[2]).toBe("387 kg5:00reach20 per side");
    expect(screen.getAllByRole("listitem")[2]?.getAttribute("aria-current")).toBe("step");
  });

  it("chalks tally marks in fives", () => {
    const { container } = render(<Tally count={12} of={15} />);
    expect(container.querySelectorAll("path")).toHaveLength(12);
    expect(container.querySelectorAll("path[d*='L']")).toHaveLength(2);
  });
});
