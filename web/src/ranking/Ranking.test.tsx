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
  place: at,
  percentile: 90 - 20 * at,
  score: `1:1${at}.0`,
  best,
  bars: [
    { label: "round 1", ms: 30_000 },
    { label: "round 2", ms: 40_000 },
  ],
});

const RANKING: RankingView = {
  workoutId: "w",
  title: "Weir Race",
  part: 0,
  parts: [""],
  divisions: [
    { division: "", longestMs: 80_000, places: [place("Ina", 1, true), place("Odo", 2, true), place("Ina", 3, false)] },
  ],
  unfinished: [{ attemptId: "u", athlete: "Per", doneOn: "2026-11-21", score: "6 done at 0:21.0" }],
  left: 0,
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
    expect(screen.getByText("6 done at 0:21.0", { exact: false })).toBeTruthy();
    expect(screen.getAllByLabelText("round 1 0:30, round 2 0:40")).toHaveLength(3);
  });

  it("leaves out what is not the best of an athlete when asked to", async () => {
    renderInApp(<Ranking />);
    await waitFor(() => expect(screen.getAllByRole("row")).toHaveLength(4));
    fireEvent.click(screen.getByText("Best per athlete only"));
    expect(screen.getAllByRole("row")).toHaveLength(3);
  });

  it("says what would move one up", async () => {
    renderInApp(<Ranking />);
    await waitFor(() => expect(screen.getByLabelText("How to move Odo up")).toBeTruthy());
    fireEvent.click(screen.getByLabelText("How to move Odo up"));
    await waitFor(() => expect(screen.getByText(/Level with Ina/)).toBeTruthy());
    expect(screen.getByText(/Shorter rests/)).toBeTruthy();
  });
});
