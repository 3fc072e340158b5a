import { fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { Route, Routes } from "react-router";
import { renderInApp } from "../testing/app";
import { HeatEntry } from "./HeatEntry";

const WORKOUT = {
  id: "w",
  title: "Weir Race",
  format: "for time",
  divisions: ["women", "men"],
  parts: [{ name: "", format: "for time", cuttable: false }],
  archived: false,
};

describe("a heat", () => {
  beforeEach(() => {
    queryClient.clear();
    queryClient.setQueryData(keys.workouts, [WORKOUT]);
    vi.spyOn(api, "GET").mockImplementation((() =>
      Promise.resolve({ data: [WORKOUT], response: new Response() })) as never);
    vi.spyOn(api, "POST").mockImplementation(((_: string, { body }: { body: { text: string } }) =>
      Promise.resolve({
        data: body.text.includes("zz")
          ? { rows: [], errors: [{ line: 1, message: "No athlete named “zz”." }], example: "8:45" }
          : {
              rows: [
                {
                  line: 1,
                  lane: 1,
                  athlete: "Maren Tidewell",
                  known: true,
                  division: "women",
                  scores: [body.text.includes(":") ? "9:42" : ""],
                  attemptIds: [],
                },
              ],
              errors: [],
              example: "8:45",
            },
        response: new Response(),
      })) as never);
    vi.spyOn(api, "PUT").mockImplementation((() =>
      Promise.resolve({
        data: { rows: [{ attemptIds: ["a"] }], errors: [], example: "" },
        response: new Response(),
      })) as never);
  });
  const write = (text: string) => {
    fireEvent.change(screen.getByLabelText("Workout"), { target: { value: "w" } });
    fireEvent.change(screen.getByLabelText("Athletes, one per line"), { target: { value: text } });
  };

  it("says whom each line means, and enters them by Ctrl and Enter", async () => {
    renderInApp(<HeatEntry />);
    write("1 mar");
    await waitFor(() => expect(screen.getByText("Maren Tidewell")).toBeTruthy());
    fireEvent.keyDown(screen.getByLabelText("Athletes, one per line"), { key: "Enter", ctrlKey: true });
    await waitFor(() =>
      expect(api.PUT).toHaveBeenCalledWith(
        "/api/heats/{id}",
        expect.objectContaining({
          body: expect.objectContaining({ workoutId: "w", division: "women", text: "1 mar" }) as unknown,
        }),
      ),
    );
  });

  it("shows the score of a line, and goes to the leaderboard once all have one", async () => {
    renderInApp(
      <Routes>
        <Route path="/" element={<HeatEntry />} />
        <Route path="/workouts/w/ranking" element="the leaderboard" />
      </Routes>,
    );
    write("1 mar 9:42");
    await waitFor(() => expect(screen.getByRole("cell", { name: "9:42" })).toBeTruthy());
    fireEvent.click(screen.getByText(/Add heat/));
    await waitFor(() => expect(screen.getByText("the leaderboard")).toBeTruthy());
  });

  it("says what a line lacks, and enters nothing until it is mended", async () => {
    renderInApp(<HeatEntry />);
    write("zz");
    await waitFor(() => expect(screen.getByText(/Line 1: No athlete/)).toBeTruthy());
    expect(screen.getByText<HTMLButtonElement>(/Add heat/).disabled).toBe(true);
  });
});
