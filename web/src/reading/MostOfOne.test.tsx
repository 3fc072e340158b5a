import { QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { api } from "../api/client";
import { queryClient } from "../api/queries";
import { MostOfOne } from "./MostOfOne";

const most = {
  movement: "wall walk",
  fromMs: 60_000,
  untilMs: 160_000,
  done: 8,
  minutes: [
    { fromMs: 60_000, toMs: 120_000, done: 5 },
    { fromMs: 120_000, toMs: 160_000, done: 3 },
  ],
  cycleMs: 12_500,
  usualMs: 11_000,
  pauses: [{ fromMs: 90_000, toMs: 108_000, overMs: 7000 }],
  runs: "3-5",
  pausedMs: 7000,
  withoutPauses: 9,
  target: { reps: 10, cycleMs: 10_000, quickerMs: 2500, withinUsual: false },
};

function shown(onPlay = vi.fn()) {
  render(
    <QueryClientProvider client={queryClient}>
      <MostOfOne attemptId="some" most={most} onPlay={onPlay} />
    </QueryClientProvider>,
  );
}

describe("the most of one movement", () => {
  it("is told by minute, with its cycle and its long ones", () => {
    shown();
    expect(screen.getByRole("img").getAttribute("aria-label")).toBe("wall walk by minute: 5, 3");
    expect(screen.getByText("3 in 0:40.0")).toBeTruthy();
    expect(screen.getByText(/One every 12.5 s with rests, 11.0 s typically/)).toBeTruthy();
    expect(screen.getByText(/Sets between them: 3-5/)).toBeTruthy();
    expect(screen.getByText(/With no gaps: 9 reps at most/)).toBeTruthy();
    expect(screen.getByRole("status").textContent).toContain("one every 10.0 s, 2.5 s faster");
  });

  it("asks what a target takes, and refuses what is no number", async () => {
    const get = vi.spyOn(api, "GET").mockResolvedValue({
      data: { ...most, target: { reps: 30, cycleMs: 3333, quickerMs: 9167, withinUsual: false } },
      response: new Response(),
    });
    shown();
    fireEvent.change(screen.getByLabelText("For"), { target: { value: "30" } });
    expect(await screen.findByText(/one every 3.3 s/)).toBeTruthy();
    expect(get.mock.calls[0]?.[1]).toMatchObject({ params: { query: { target: 30 } } });
    fireEvent.change(screen.getByLabelText("For"), { target: { value: "many" } });
    expect(screen.getByText("Enter a number of reps.")).toBeTruthy();
  });
});
