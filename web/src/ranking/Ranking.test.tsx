import { fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api, type RankingView } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import { Ranking } from "./Ranking";

const place = (athlete: string, at: number, best: boolean): RankingView["divisions"][number]["places"][number] => ({
  attemptId: `${athlete} ${at}`,
  athleteId: athlete,
  athlete,
  doneOn: "2026-11-20",
  ...(best && { place: at }),
  score: `1:1${at}.0`,
  ...(at > 1 && { behindFirst: `${at - 1}.0 s` }),
  bars: [
    { label: "round 1", ms: 30_000, told: true },
    { label: "round 2", ms: 40_000, told: true },
  ],
});

const RANKING: RankingView = {
  workoutId: "w",
  title: "Weir Race",
  part: 0,
  parts: [""],
  longestMs: 80_000,
  divisions: [{ division: "", places: [place("Ina", 1, true), place("Odo", 2, true), place("Ina", 3, false)] }],
  unfinished: [{ attemptId: "u", athlete: "Per", doneOn: "2026-11-21", says: "Logged to round 1, 6 burpee." }],
  waiting: 0,
};

describe("a ranking", () => {
  beforeEach(() => {
    queryClient.clear();
    vi.spyOn(api, "GET").mockImplementation(((path: string) =>
      Promise.resolve({
        data: path.endsWith("next-place")
          ? {
              says: "Level with Ina's 1:11.0 on evidence, with one change:",
              reached: true,
              steps: [{ change: "Shorter rests", after: "1:10", reason: "shown" }],
            }
          : RANKING,
        response: new Response(),
      })) as never);
  });
  it("puts all in the order of the scores, those without an end apart", async () => {
    renderInApp(<Ranking />);
    await waitFor(() => expect(screen.getByText("Weir Race. Ina leads, 1:11.0.")).toBeTruthy());
    const rows = screen.getAllByRole("row").map((row) => row.textContent);
    expect(rows[1]).toContain("1Ina");
    expect(rows[2]).toContain("2Odo");
    expect(screen.getByText("Logged to round 1", { exact: false })).toBeTruthy();
    expect(screen.getAllByLabelText("round 1 0:30, round 2 0:40")).toHaveLength(2);
    expect(rows[2]).toContain("1.0 s");
  });

  it("shows what is not the best of an athlete when asked to, without a place", async () => {
    renderInApp(<Ranking />);
    await waitFor(() => expect(screen.getAllByRole("row")).toHaveLength(3));
    fireEvent.click(screen.getByText("All attempts"));
    const rows = screen.getAllByRole("row");
    expect(rows).toHaveLength(4);
    expect(rows[3]?.textContent).toMatch(/^–Ina/);
  });

  it("says what would move one up", async () => {
    renderInApp(<Ranking />);
    await waitFor(() => expect(screen.getByLabelText("Move up: Odo")).toBeTruthy());
    fireEvent.click(screen.getByLabelText("Move up: Odo"));
    await waitFor(() => expect(screen.getByText(/Level with Ina/)).toBeTruthy());
    expect(screen.getByText(/Shorter rests/)).toBeTruthy();
  });
});
