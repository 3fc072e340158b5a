import { act, fireEvent, render, screen, within } from "@testing-library/react";
import { type Ref, useImperativeHandle } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { RecordingView } from "../api/client";
import * as players from "../player/RecordingPlayer";
import type { Player } from "../player/player";
import { versus } from "../testing/sample";
import { renderInApp } from "../testing/app";
import { Columns } from "./Columns";
import { InStep, type Start } from "./InStep";
import { LeadChart, repsAhead } from "./LeadChart";
import { LeadTable } from "./LeadTable";
import { StartAt } from "./StartAt";
import { StripsByWork } from "./StripsByWork";

interface Video extends Player {
  sought: number[];
  silent: boolean;
}

const videos: Video[] = [];

function video(): Video {
  const state = { atMs: 0, paused: true, rate: 1 };
  const made: Video = {
    sought: [],
    silent: false,
    timeMs: () => state.atMs,
    nowMs: () => state.atMs,
    ready: () => true,
    durationMs: () => 90_000,
    frameMs: () => 40,
    paused: () => state.paused,
    play: () => (state.paused = false),
    pause: () => (state.paused = true),
    seek: (ms) => {
      state.atMs = ms;
      made.sought.push(ms);
    },
    step: () => undefined,
    rate: () => state.rate,
    setRate: (rate) => (state.rate = rate),
    mute: (silent) => (made.silent = silent),
    loop: () => undefined,
    looping: () => false,
    follow: () => () => undefined,
  };
  return made;
}

function Fake({ ref, recording }: { ref?: Ref<Player>; recording: RecordingView }) {
  useImperativeHandle(ref, () => {
    const made = video();
    videos.push(made);
    return made;
  }, []);
  return <div>video {recording.id}</div>;
}

beforeEach(() => {
  vi.spyOn(players, "RecordingPlayer").mockImplementation(Fake);
});

const [PAIR] = versus().pairs;
const NAMES: [string, string] = ["Ina", "Odo"];

describe("two attempts beside each other", () => {
  if (!PAIR) throw new Error("no pair");

  it("walks the lead by arrow keys, and starts both before an end by Enter", () => {
    const onStart = vi.fn();
    render(<LeadChart pair={PAIR} names={NAMES} clockMs={42_000} onStart={onStart} />);
    const chart = screen.getByRole("application");
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    expect(screen.getByRole("status").textContent).toBe(
      "round 1, 6 burpee: Ina at 0:18.0, Odo at 0:20.0; Ina ahead by 2.0 s.",
    );
    fireEvent.keyDown(chart, { key: "Enter" });
    expect(onStart).toHaveBeenCalledWith([18_000, 20_000], "the end of round 1, 6 burpee");
    fireEvent.keyDown(chart, { key: "ArrowLeft" });
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    expect(screen.getByRole("status").textContent).toContain("Odo ahead by 4.0 s");
  });

  it("has every figure of the picture in a table too", () => {
    render(<LeadTable pair={PAIR} names={NAMES} />);
    const rows = screen.getAllByRole("row").map((row) => row.textContent);
    expect(rows).toContain("round 1, 6 burpee0:18.00:20.0Ina ahead by 2.0 s");
    expect(rows).toContain("0:38−2");
  });

  it("says reps with their sign, and a dash where nobody told", () => {
    expect([repsAhead(3), repsAhead(-2), repsAhead(0), repsAhead(undefined)]).toEqual(["+3", "−2", "0", "–"]);
  });

  it("starts each at their own time first rep of a place", () => {
    const onStart = vi.fn();
    render(<StartAt versus={versus()} onStart={onStart} />);
    fireEvent.click(screen.getByText("Play side by side from"));
    expect(onStart).toHaveBeenLastCalledWith([0, 0], "go");
    fireEvent.change(screen.getByLabelText("Start all at"), { target: { value: "1" } });
    fireEvent.click(screen.getByText("Play side by side from"));
    expect(onStart).toHaveBeenLastCalledWith([20_000, 21_000], "round 1, 8 swing");
    fireEvent.change(screen.getByLabelText("Line up by movement or by clock"), { target: { value: "clock" } });
    fireEvent.click(screen.getByText("Play side by side from"));
    expect(onStart).toHaveBeenLastCalledWith([20_000, 20_000], "round 1, 8 swing");
  });

  it("lays the strips by the clock or by the work", () => {
    const onByWork = vi.fn();
    const onStart = vi.fn();
    const { rerender, container } = render(
      <StripsByWork versus={versus()} byWork={false} onByWork={onByWork} onStart={onStart} />,
    );
    expect(screen.getByRole("img").getAttribute("aria-label")).toBe("Strips of Ina and Odo, lined up by clock");
    fireEvent.click(screen.getByText("Line up by movement"));
    expect(onByWork).toHaveBeenCalledWith(true);
    const places = () => [...container.querySelectorAll("rect[fill=transparent]")];
    fireEvent.click(places()[1] as Element);
    expect(onStart).toHaveBeenLastCalledWith([18_000, 18_000], "round 1, 8 swing");
    rerender(<StripsByWork versus={versus()} byWork onByWork={onByWork} onStart={onStart} />);
    fireEvent.click(places()[1] as Element);
    expect(onStart).toHaveBeenLastCalledWith([20_000, 21_000], "round 1, 8 swing");
  });

  it("keeps the sums as the core gave them, and pales what the reading error hides", () => {
    render(<Columns pair={PAIR} names={NAMES} onStart={undefined} />);
    const table = within(screen.getByRole("region", { name: "What made it" }));
    const rows = table.getAllByRole("row").map((row) => row.textContent);
    expect(rows.at(-1)).toBe("Total42.038.0+4.00.00.0+4.0");
    expect(table.getAllByText("+6.0")[0]?.closest("td")?.dataset.within).toBe("true");
    expect(table.getAllByText("−2.0")[0]?.closest("td")?.dataset.within).toBeUndefined();
  });

  it("puts sets and rests of every place side by side", () => {
    render(<Columns pair={{ ...PAIR, rounds: [] }} names={NAMES} onStart={undefined} />);
    const rows = screen.getAllByRole("row").map((row) => row.textContent);
    expect(rows).toContain("round 1, 6 burpee18.0 / 20.06 / 4-22.0 / 2.00.0 / 3.0Ina, 2.0 s");
  });
});

describe("films in step", () => {
  const sides = versus().sides;
  const start = (same: boolean): Start => ({
    id: 1,
    label: "go",
    tracks: sides.map((side, index) => ({
      side: same ? { ...side, video: { ...sides[0]?.video, goMs: 5000 } as RecordingView } : side,
      clockMs: same ? 0 : 1000 * index,
    })),
  });
  const onClose = vi.fn();

  beforeEach(() => {
    videos.length = 0;
    vi.useFakeTimers();
    vi.stubGlobal("requestAnimationFrame", () => 1);
    vi.stubGlobal("cancelAnimationFrame", () => undefined);
    Element.prototype.scrollIntoView = () => undefined;
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  const open = (same: boolean) => {
    renderInApp(<InStep start={start(same)} onClose={onClose} />);
    act(() => {
      vi.advanceTimersByTime(200);
    });
  };

  it("shows a picture each, sent to its own place", () => {
    open(false);
    expect(videos).toHaveLength(2);
    const go = sides[0]?.video?.goMs ?? 0;
    expect(videos.map((one) => one.sought.at(-1))).toEqual([go - 2500, go - 1500]);
  });

  it("shows one picture where both run on one video, and lets each be outlined", () => {
    open(true);
    expect(videos).toHaveLength(1);
    expect(screen.getByText("Outline Ina")).toBeTruthy();
    expect(screen.getByText("Outline Odo")).toBeTruthy();
    expect(screen.queryByText(/^Sound/)).toBeNull();
  });

  it("is worked by keys: pause, a second on, the other sound, a loop, the end", () => {
    open(false);
    fireEvent.keyDown(window, { key: "m" });
    expect(videos.map((one) => one.silent)).toEqual([true, false]);
    fireEvent.keyDown(window, { key: " " });
    expect(screen.getByText("Play (Space)")).toBeTruthy();
    fireEvent.keyDown(window, { key: "ArrowRight" });
    const go = sides[0]?.video?.goMs ?? 0;
    expect(videos[0]?.sought.at(-1)).toBe(go - 1500);
    fireEvent.keyDown(window, { key: "b" });
    expect(videos[0]?.sought.at(-1)).toBe(Math.max(0, go - 4000));
    expect(screen.getByText("Stop the loop (B)")).toBeTruthy();
    fireEvent.keyDown(window, { key: "Escape" });
    expect(onClose).toHaveBeenCalledOnce();
  });
});
