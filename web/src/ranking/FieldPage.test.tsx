import { fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api, type FieldView } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import { FieldPage } from "./FieldPage";

const spread = (p50: number, own?: number) => ({
  count: 9,
  p10: p50 - 2000,
  p25: p50 - 1000,
  p50,
  p75: p50 + 1000,
  p90: p50 + 3000,
  ...(own !== undefined && { own, ownPercentile: 75 }),
});

const FIELD: FieldView = {
  workoutId: "w",
  title: "Weir Race",
  division: "women",
  divisions: ["men", "women"],
  entries: 11,
  logged: 9,
  says: "Top quarter 12.0 s faster than the middle half.",
  largest: "Largest part: burpee, rests, 13 s.",
  spans: [
    { place: "round 1", line: "whole rounds", gap: spread(0, -500), split: spread(40_000, 39_500) },
    { place: "30 burpee", line: "burpee", gap: spread(0), split: spread(90_000), rest: spread(4000) },
  ],
  separation: {
    top: 2,
    middle: 5,
    through: "",
    ms: 12_000,
    parts: [
      { words: "burpee, rests", ms: 13_000 },
      { words: "burpee, pace", ms: -1000 },
    ],
  },
  entriesToChoose: [{ attemptId: "a", athlete: "Ina Sandbar", doneOn: "2026-11-20", score: "2:10", place: 1 }],
  chosen: "a",
  waiting: 0,
};

describe("a field", () => {
  const asked: unknown[] = [];
  beforeEach(() => {
    queryClient.clear();
    asked.length = 0;
    vi.spyOn(api, "GET").mockImplementation(((_: string, { params }: { params: { query: unknown } }) => {
      asked.push(params.query);
      return Promise.resolve({ data: FIELD, response: new Response() });
    }) as never);
  });

  it("shows where one attempt stands in each split, and what the others have", async () => {
    renderInApp(<FieldPage />);
    await waitFor(() => expect(screen.getByText(/Top quarter 12.0 s faster/)).toBeTruthy());
    const rows = screen.getAllByRole("row").map((row) => row.textContent);
    expect(rows[1]).toBe("Round 140.0 s39.0 s – 41.0 s39.5 s75%9");
    expect(rows[2]).toContain("1:30");
    expect(rows[2]).toContain("––9");
    expect(screen.getByText("−1.0 s")).toBeTruthy();
    fireEvent.click(screen.getByText("Rests"));
    expect(screen.getAllByRole("row")).toHaveLength(2);
    expect(screen.queryByText("Pace")).toBeNull();
  });

  it("walks the chart by keys, and asks for another athlete and division", async () => {
    renderInApp(<FieldPage />);
    const chart = await waitFor(() => screen.getByRole("img", { name: /Gap to the median after 2 splits/ }));
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    fireEvent.keyDown(chart, { key: "ArrowRight" });
    expect(screen.getByText(/Round 1: middle half .* ahead of 75%/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Athlete"), { target: { value: "a" } });
    await waitFor(() => expect(asked).toContainEqual({ part: 0, attempt: "a" }));
    fireEvent.change(screen.getByLabelText("Division"), { target: { value: "men" } });
    await waitFor(() => expect(asked).toContainEqual({ part: 0, division: "men" }));
  });
});
