import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { reading } from "../testing/sample";
import { Findings } from "./Findings";
import { LedgerTable } from "./LedgerTable";
import { Rounds } from "./Rounds";
import { WakeChart } from "./WakeChart";
import { WakeTable } from "./WakeTable";

afterEach(cleanup);

const nothing = () => undefined;

describe("a reading on screen", () => {
  it("plays the moment of a finding", () => {
    const onPlay = vi.fn();
    render(<Findings findings={reading().findings} onPlay={onPlay} />);
    fireEvent.click(screen.getByLabelText("Play 6 burpee at 0:09.0"));
    expect(onPlay).toHaveBeenCalledWith(9000, 13_000, "6 burpee");
    expect(screen.getByText("± 0.3 s reading error")).toBeTruthy();
  });

  it("says so when nothing stands out", () => {
    render(<Findings findings={[]} onPlay={nothing} />);
    expect(screen.getByText(/Nothing cost more/)).toBeTruthy();
  });

  it("keeps the ledger's margins as the core gave them", () => {
    render(<LedgerTable reading={reading()} />);
    const rows = screen.getAllByRole("row").map((row) => row.textContent);
    expect(rows[1]).toBe("burpee0.0+4.00.00.0+4.0");
    expect(rows.at(-1)).toBe("All movements+2.0+4.00.00.0+6.0");
  });

  it("shows unseparated time and interval rest only where there is some", () => {
    const { rerender } = render(<LedgerTable reading={reading()} />);
    expect(screen.queryByText("Unseparated")).toBeNull();
    const ledger = [{ movement: "burpee", byCause: { INTERVAL_REST: -2000 }, totalMs: -2000 }];
    rerender(<LedgerTable reading={reading({ unseparatedMs: 900, ledger })} />);
    expect(screen.getByText("Unseparated")).toBeTruthy();
    expect(screen.getByText("Interval rest")).toBeTruthy();
  });

  it("walks the wake by arrow keys and plays by Enter", () => {
    const onPlay = vi.fn();
    render(<WakeChart reading={reading()} onPlay={onPlay} />);
    const chart = screen.getByRole("application");
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    expect(screen.getByRole("status").textContent).toContain("round 1 · 6 burpee: 0:00.0 to 0:22.0");
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    fireEvent.keyDown(chart, { key: "Enter" });
    expect(onPlay).toHaveBeenCalledWith(22_000, 42_000, "round 2 · 6 burpee");
  });

  it("names what a segment lost, and greys what is within reading error", () => {
    const [first] = reading().borders;
    const borders = first ? [{ ...first, lostMs: 100, withinReadingError: true }] : [];
    render(<WakeTable reading={reading({ borders })} onPlay={nothing} />);
    expect(screen.getByText(/within reading error/)).toBeTruthy();
  });

  it("compares rounds of the same work only", () => {
    const rounds = [
      { number: 1, elapsedMs: 60_000, endMs: 60_000 },
      { number: 2, elapsedMs: 66_000, endMs: 126_000 },
    ];
    const { rerender } = render(<Rounds reading={reading({ rounds })} />);
    expect(screen.getByText(/Rounds of different work/)).toBeTruthy();
    const consistency = { rangeMs: 6000, variationPercent: 6.7, decrementPercent: 5, slopeMsPerRound: 6000 };
    rerender(<Rounds reading={reading({ rounds, consistency })} />);
    expect(screen.getByText(/Slowest 6.0 s over fastest/).textContent).toContain("drifting +6.0 s a round");
  });
});
