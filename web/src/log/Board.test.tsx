import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { attempt, log, segment, split } from "../testing/sample";
import { Board } from "./Board";
import { Tally } from "./Tally";

afterEach(cleanup);

const nothing = () => undefined;

describe("the whiteboard that fills itself", () => {
  it("pencils the split at the end of a line that is done, and leads to its moment", () => {
    const onSeek = vi.fn();
    render(<Board attempt={attempt()} onSeek={onSeek} />);
    fireEvent.click(screen.getByText("0:21.0"));
    expect(onSeek).toHaveBeenCalledWith(0);
    expect(screen.getByText("3.33 s a rep, 18 a minute")).toBeTruthy();
  });

  it("lights the line that is being done and tallies its reps", () => {
    const now = log({ counted: 3, segments: [segment(0, { split: split() }), segment(1)] });
    render(<Board attempt={attempt({ log: now })} onSeek={nothing} />);
    expect(document.querySelector("[aria-current=step]")?.textContent).toContain("6 burpee");
    expect(screen.getByLabelText("3 of 6")).toBeTruthy();
  });

  it("says sets, rests, faults and what is not told apart", () => {
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
    expect(text).toContain("to it 3.1 (inferred)");
    expect(text).toContain("rest 5.2");
    expect(text).toContain("1 fault 2.8");
    expect(text).toContain("1.5 not told apart");
  });

  it("numbers the rounds where there are several", () => {
    const rounds = [segment(0, { opensRound: "round 1" }), segment(1), segment(2, { opensRound: "round 2" })];
    render(<Board attempt={attempt({ log: log({ segments: rounds }) })} onSeek={nothing} />);
    expect(screen.getAllByText(/^Round \d$/).map((round) => round.textContent)).toEqual(["Round 1", "Round 2"]);
  });

  it("shows how long a round took where only its end was noted, and no split inside it", () => {
    const inside = split({ told: false });
    const segments = [
      segment(0, { opensRound: "round 1", roundMs: 94_000, split: inside }),
      segment(1, { split: inside }),
    ];
    render(<Board attempt={attempt({ log: log({ segments, currentIndex: 2 }) })} onSeek={nothing} />);
    expect(screen.getByText("1:34.0")).toBeTruthy();
    expect(screen.getAllByTitle("only the end of the round was noted").map((one) => one.textContent)).toEqual([
      "–",
      "–",
    ]);
  });

  it("lists the lifts of a lift window with the rest before each", () => {
    const lifts = [
      { atMs: 60_000, load: "80 kg", made: true },
      { atMs: 140_000, load: "85 kg", made: false, restBeforeMs: 80_000 },
    ];
    render(<Board attempt={attempt({ log: log({ liftWindow: true, lifts }) })} onSeek={nothing} />);
    expect(screen.getByText("85 kg").parentElement?.textContent).toBe("85 kg2:20.01:20.0missed");
  });

  it("chalks tally marks in fives", () => {
    const { container } = render(<Tally count={12} of={15} />);
    expect(container.querySelectorAll("path")).toHaveLength(12);
    expect(container.querySelectorAll("path[d*='L']")).toHaveLength(2);
  });
});
