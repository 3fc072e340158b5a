import { fireEvent, screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { beforeEach, describe, expect, it, type Mock, vi } from "vitest";
import { api, type AthletePageView, type HistoryLineView, problem } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import { AthletePage } from "./AthletePage";

const line = (title: string, verdict: HistoryLineView["verdict"]): HistoryLineView => ({
  kind: "CADENCE",
  title,
  verdict,
  now: "2.52 s a rep",
  says: `2.52 s a rep, at first 2.81 s a rep: ${title}.`,
  points: [
    { attemptId: "a", on: "2026-03-01", value: 2.81, low: 2.7, high: 3, words: "2.81 s a rep" },
    { attemptId: "b", on: "2026-04-01", value: 2.52, low: 2.4, high: 2.6, words: "2.52 s a rep" },
  ],
});

const PAGE: AthletePageView = {
  id: "i",
  name: "Ina Sandbar",
  note: "",
  pain: "left wrist",
  recoversSlowly: false,
  goal: "the spring meet",
  answer: "Better by more than noise: the thruster; nothing is worse.",
  figures: "max clean 60 kg",
  problems: [],
  advice: [],
  attempts: 2,
  beingRead: 0,
  noted: [{ line: 1, kind: "MAX", movement: "clean", value: "60 kg", origin: "noted", grows: false }],
  shown: [
    {
      line: 0,
      kind: "MAX",
      movement: "clean",
      value: "65 kg",
      on: "2026-04-01",
      origin: "Sluice",
      attemptId: "b",
      grows: true,
      asLine: "max clean 65 kg on 2026-04-01",
    },
  ],
  workouts: [
    {
      workoutId: "w",
      title: "Sluice",
      attempts: [past("a", "9:10.0", "", 0), past("b", "8:50.0", "20.0 s better", 1)],
    },
  ],
  lines: [line("thruster @ 30 kg", "BETTER"), line("burpee", "NOISE")],
  limiters: [
    { attemptId: "b", on: "2026-04-01", movement: "thruster", atShare: 0.6, lostShare: 1, says: "thruster: 12 s lost" },
  ],
  limiter: "",
  techniques: [],
  kinds: [],
  calibration: { lines: ["Form of the day: 1.0 %."], says: "By assumption." },
};

function past(id: string, score: string, change: string, better: number) {
  return {
    id,
    doneOn: "2026-04-01",
    division: "",
    stage: "LOGGED" as const,
    score,
    change,
    better,
    retest: false,
    says: `Said of ${id}.`,
  };
}

describe("an athlete's page", () => {
  let post: Mock;
  beforeEach(() => {
    queryClient.clear();
    vi.spyOn(api, "GET").mockImplementation(((path: string) =>
      Promise.resolve({ data: path.endsWith("/page") ? PAGE : [], response: new Response() })) as never);
    post = vi
      .spyOn(api, "POST")
      .mockImplementation((() => Promise.resolve({ data: PAGE, response: new Response() })) as never);
  });
  const open = () =>
    renderInApp(
      <Routes>
        <Route path="/athletes/:id" element={<AthletePage />} />
      </Routes>,
      "/athletes/i",
    );

  it("says what changed first, what hurts, and what is won", async () => {
    open();
    expect(await screen.findByText(PAGE.answer)).toBeTruthy();
    expect(screen.getByText(/Pain on file: left wrist/)).toBeTruthy();
    const thruster = screen.getByRole("heading", { name: "thruster @ 30 kg" }).closest("article");
    expect(thruster && within(thruster).getByText("improved")).toBeTruthy();
    const burpee = screen.getByRole("heading", { name: "burpee" }).closest("article");
    expect(burpee && within(burpee).getByText("no clear change")).toBeTruthy();
    expect(screen.getByText("20.0 s better")).toBeTruthy();
  });

  it("leads from every point to its attempt", async () => {
    open();
    const points = await screen.findAllByRole("link", { name: /2.52 s a rep on 1 Apr/ });
    expect(points[0]?.getAttribute("href")).toBe("/attempts/b/reading");
  });

  it("notes what an attempt has shown beyond what is noted", async () => {
    open();
    fireEvent.click(await screen.findByRole("button", { name: "Save max clean 65 kg on 2026-04-01" }));
    await vi.waitFor(() => expect(post).toHaveBeenCalledOnce());
    expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { line: "max clean 65 kg on 2026-04-01" } });
  });

  it("takes a test of a technique in a line and says what is wrong with it", async () => {
    post.mockImplementation((() =>
      Promise.reject(problem(422, { detail: "expected a movement, a way of doing it" }))) as never);
    open();
    const box = await screen.findByLabelText<HTMLInputElement>(/Technique test/);
    fireEvent.change(box, { target: { value: "burpee: fast" } });
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    expect(await screen.findByText(/expected a movement/)).toBeTruthy();
    expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { line: "technique burpee: fast" } });
    expect(box.value).toBe("burpee: fast");
  });
});
