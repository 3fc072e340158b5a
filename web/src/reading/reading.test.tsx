import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { entry, reading } from "../testing/sample";
import { Findings } from "./Findings";
import { LedgerTable } from "./LedgerTable";
import { OverTheClock } from "./OverTheClock";
import { Rounds } from "./Rounds";
import { WhereTheClockWent } from "./WhereTheClockWent";
import { Sets } from "./Sets";
import { Standing } from "./Standing";
import { WakeChart } from "./WakeChart";
import { WakeTable } from "./WakeTable";

const nothing = () => undefined;

describe("a reading on screen", () => {
  it("plays the moment of a finding", () => {
    const onPlay = vi.fn();
    render(<Findings findings={reading().findings} silence="" onPlay={onPlay} />);
    fireEvent.click(screen.getByLabelText("Play 6 burpee at 0:09.0"));
    expect(onPlay).toHaveBeenCalledWith(9000, 13_000, "6 burpee");
    expect(screen.getByText("± 0.3 s")).toBeTruthy();
  });

  it("says so when nothing stands out", () => {
    render(<Findings findings={[]} silence="Nothing stands out." onPlay={nothing} />);
    expect(screen.getByText("Nothing stands out.")).toBeTruthy();
  });

  it("keeps the ledger's margins as the core gave them", () => {
    render(<LedgerTable reading={reading()} onPlayAll={nothing} />);
    const rows = screen.getAllByRole("row").map((row) => row.textContent);
    expect(rows[1]).toBe("burpee0.0+4.00.00.0+4.0");
    expect(rows.at(-1)).toBe("All movements+2.0+4.00.00.0+6.0");
  });

  it("shows unseparated time and interval rest only where there is some", () => {
    const { rerender } = render(<LedgerTable reading={reading()} onPlayAll={nothing} />);
    expect(screen.queryByText("Unassigned")).toBeNull();
    const ledger = [
      { movement: "burpee", byCause: { INTERVAL_REST: -2000, UNSEPARATED: 900 }, totalMs: -2000, moments: {} },
    ];
    rerender(<LedgerTable reading={reading({ unseparatedMs: 900, ledger })} onPlayAll={nothing} />);
    expect(screen.getByText("Unassigned")).toBeTruthy();
    expect(screen.getByText("Interval rest")).toBeTruthy();
  });

  it("walks the wake by arrow keys and plays by Enter", () => {
    const onPlay = vi.fn();
    render(<WakeChart reading={reading()} onPlay={onPlay} />);
    const chart = screen.getByRole("application");
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    expect(screen.getByRole("status").textContent).toContain("round 1, 6 burpee: 0:00.0 to 0:22.0");
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    fireEvent.keyDown(chart, { key: "Enter" });
    expect(onPlay).toHaveBeenCalledWith(22_000, 42_000, "round 2, 6 burpee");
  });

  it("names what a segment lost, and greys what is within timing error", () => {
    const [first] = reading().borders;
    const borders = first ? [{ ...first, lostMs: 100, withinReadingError: true }] : [];
    render(<WakeTable reading={reading({ borders })} onPlay={nothing} />);
    expect(screen.getByText(/within timing error/)).toBeTruthy();
  });

  it("compares rounds of the same work only", () => {
    const rounds = [
      { number: "1", words: "round 1", elapsedMs: 60_000, startMs: 0, endMs: 60_000 },
      { number: "2", words: "round 2", elapsedMs: 66_000, startMs: 60_000, endMs: 126_000 },
    ];
    const differentWork = "The load changes from round to round: no fade can be told from it.";
    const { rerender } = render(
      <Rounds reading={reading({ blocks: [{ name: "", rounds, differentWork }] })} onPlay={nothing} />,
    );
    expect(screen.getByText(/The load changes/)).toBeTruthy();
    const consistency = { rangeMs: 6000, variationPercent: 6.7, decrementPercent: 5, slopeMsPerRound: 6000 };
    rerender(<Rounds reading={reading({ blocks: [{ name: "", rounds, consistency }] })} onPlay={nothing} />);
    expect(screen.getByText(/Slowest \(round 2\) 6.0 s over the fastest/).textContent).toContain(
      "Fade: 6.0 s per round",
    );
  });

  it("keeps the rounds of two blocks apart, and plays slowest of each", () => {
    const onPlay = vi.fn();
    const rounds = (of: string, ...ms: number[]) =>
      ms.map((elapsedMs, index) => ({
        number: `${index + 1}`,
        words: `round ${index + 1} of ${of}`,
        elapsedMs,
        startMs: index * 60_000,
        endMs: index * 60_000 + elapsedMs,
      }));
    const blocks = [
      { name: "burpee", rounds: rounds("burpee", 30_000, 40_000) },
      { name: "row", rounds: rounds("row", 50_000, 45_000) },
    ];
    render(<Rounds reading={reading({ blocks })} onPlay={onPlay} />);
    expect(screen.getByRole("img", { name: "Round splits of row: 0:50.0, 0:45.0" })).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Play round 1 of row at 0:00.0" }));
    expect(onPlay).toHaveBeenCalledWith(0, 50_000, "round 1 of row");
  });

  it("says where the clock went, and shows no column of nothing", () => {
    const total = { ...entry("all", 40_000), transitionMs: 2000, totalMs: 42_000 };
    const byLine = [entry("burpee", 30_000), { ...entry("row", 10_000), transitionMs: 2000, totalMs: 12_000 }];
    render(<WhereTheClockWent reading={reading({ clock: { byLine, byRound: [], total } })} onPlay={nothing} />);
    expect(screen.getByText("Work 40.0 s, transitions 2.0 s.")).toBeTruthy();
    expect(screen.queryByText("Faults")).toBeNull();
    expect(screen.getByRole("row", { name: /row 0:12.0/ })).toBeTruthy();
  });

  it("says what is missing where nothing can be compared", () => {
    render(<Findings findings={[]} silence="Nothing here comes twice." onPlay={nothing} />);
    expect(screen.getByText("Nothing here comes twice.")).toBeTruthy();
  });

  it("plays what a figure of the ledger is made of, one moment after the other", () => {
    const onPlayAll = vi.fn();
    render(<LedgerTable reading={reading()} onPlayAll={onPlayAll} />);
    fireEvent.click(screen.getByRole("button", { name: "burpee, rest: +4.0 s, play its 2 moments" }));
    expect(onPlayAll).toHaveBeenCalledWith(reading().ledger[0]?.moments.REST);
  });

  it("shows how a finding was worked out", () => {
    render(<Findings findings={reading().findings} silence="" onPlay={nothing} />);
    fireEvent.click(screen.getByRole("button", { name: "How this is calculated" }));
    expect(screen.getByText("6 burpee: 9.0 s − 5.0 s = +4.0 s")).toBeTruthy();
  });

  it("says the pacing, the limiter, what stood out and what intervals left", () => {
    const onPlay = vi.fn();
    render(
      <Standing
        onPlay={onPlay}
        reading={reading({
          pace: {
            shape: "POSITIVE",
            words: "fast start, fading",
            thirds: [1.08, 1, 0.93],
            finishPercent: -4.2,
            by: [],
          },
          limiter: { movement: "burpee", lostMs: 12_000, signs: ["fades 12% from first to last"] },
          outliers: [{ what: "round 4", fromMs: 90_000, toMs: 120_000, overMs: 9000 }],
          intervals: [
            { number: 1, restMs: 14_000 },
            { number: 2, restMs: 8000 },
          ],
        })}
      />,
    );
    expect(screen.getByText(/Speed by thirds/).textContent).toContain("+8%, 0%, −7%. Finish 4% slower");
    expect(screen.getByText(/Limiter/).textContent).toContain("12.0 s lost. Fades 12%");
    expect(screen.getByText(/Interval rests/).textContent).toContain("shortest in interval 2");
    fireEvent.click(screen.getByRole("button", { name: "Play round 4 at 1:30.0" }));
    expect(onPlay).toHaveBeenCalledWith(90_000, 120_000, "round 4");
  });

  it("puts rates, cues and faults on one clock", () => {
    const row = { place: "6 burpee", fromMs: 0, toMs: 20_000, sets: "6", perMinute: 18, cut: [] };
    const movement = {
      movement: "burpee",
      elapsedMs: 20_000,
      sharePercent: 50,
      transitionMs: 0,
      workMs: 20_000,
      restMs: 0,
      faultMs: 0,
      unseparatedMs: 0,
      fadePercent: 12,
      withRests: false,
      rates: "18 reps/min",
      rows: [row],
    };
    const onPlay = vi.fn();
    render(
      <OverTheClock
        onPlay={onPlay}
        reading={reading({
          movements: [movement],
          notes: [{ atMs: 9000, fault: true, words: "no-rep", tag: "" }],
          efforts: [{ atMs: 12_000, level: 7 }],
        })}
      />,
    );
    expect(screen.getByText("fades 12%")).toBeTruthy();
    expect(screen.getByText("effort, 0–10")).toBeTruthy();
    fireEvent.click(screen.getByText("no-rep at 0:09.0"));
    expect(onPlay).toHaveBeenCalledWith(7500, 10_500, "no-rep");
  });

  it("writes sets as coaches do", () => {
    const cut = [
      { reps: 8, secondsPerUnit: 2, restAfterMs: 4000 },
      { reps: 7, secondsPerUnit: 2.2 },
    ];
    const row = { place: "15 thruster", fromMs: 0, toMs: 40_000, sets: "8-7", pace: "2.10 s a rep", cut };
    const movement = {
      movement: "thruster",
      elapsedMs: 40_000,
      sharePercent: 50,
      transitionMs: 0,
      workMs: 36_000,
      restMs: 4000,
      faultMs: 0,
      unseparatedMs: 0,
      withRests: false,
      rates: "18 reps/min",
      unbroken: "0 of 1",
      rows: [row],
    };
    render(<Sets reading={reading({ movements: [movement] })} onPlay={nothing} />);
    expect(screen.getByText(/unbroken 0 of 1/)).toBeTruthy();
    expect(screen.queryByText("8-7"), "folded, for nothing was lost there").toBeNull();
    fireEvent.click(screen.getByRole("button", { name: /thruster/ }));
    expect(screen.getByText("8-7")).toBeTruthy();
    expect(screen.getByText("2.00 · 2.20")).toBeTruthy();
    expect(screen.getByText("4.0")).toBeTruthy();
  });
});
