import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, type Mock, vi } from "vitest";
import { api, problem, type StrengthDayView } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import { notices } from "../ui/notices";
import { today } from "../ui/time";
import { StrengthWork } from "./StrengthWork";

const read = {
  works: [{ movement: "back squat", asked: "3 × 3 at 80%", sets: ["100 kg × 3"], says: "1 of 3 sets", note: "belt" }],
  problems: [],
};
const DAY: StrengthDayView = { doneOn: "2026-11-02", text: "back squat 3 x 3 @ 80%; belt\n100 kg", read };

describe("strength work", () => {
  let days: StrengthDayView[];
  let put: Mock;
  let post: Mock;

  beforeEach(() => {
    localStorage.clear();
    queryClient.clear();
    days = [DAY];
    vi.spyOn(api, "GET").mockImplementation((() => Promise.resolve({ data: days, response: new Response() })) as never);
    post = vi
      .spyOn(api, "POST")
      .mockImplementation(((path: string) =>
        Promise.resolve({ data: path.endsWith("/read") ? read : days, response: new Response() })) as never);
    put = vi
      .spyOn(api, "PUT")
      .mockImplementation((() => Promise.resolve({ data: days, response: new Response() })) as never);
  });
  const sent = (call: number) =>
    put.mock.calls[call]?.[1] as { params: { path: { day: string } }; body: { text: string } };
  const field = () => screen.getByRole<HTMLTextAreaElement>("textbox", { name: /what was asked/ });

  it("shows each day with what was asked, its sets and what they come to", async () => {
    renderInApp(<StrengthWork athleteId="i" />);
    expect(await screen.findByText("2 Nov 2026")).toBeTruthy();
    expect(screen.getByText("3 × 3 at 80%")).toBeTruthy();
    expect(screen.getByText("100 kg × 3")).toBeTruthy();
    expect(screen.getByText("1 of 3 sets")).toBeTruthy();
    expect(screen.getByText("belt")).toBeTruthy();
  });

  it("adds to a day that has something already, and never writes over it", async () => {
    days = [{ ...DAY, doneOn: today() }];
    renderInApp(<StrengthWork athleteId="i" />);
    await screen.findByText("100 kg × 3");
    fireEvent.change(field(), { target: { value: "strict press: 5 @ 40 kg" } });
    fireEvent.click(screen.getByRole("button", { name: "Add" }));
    const added = () => post.mock.calls.filter(([path]) => !String(path).endsWith("/read"));
    await waitFor(() => expect(added()).toHaveLength(1));
    expect(added()[0]?.[1]).toMatchObject({
      params: { path: { day: today() } },
      body: { text: "strict press: 5 @ 40 kg" },
    });
    expect(put).not.toHaveBeenCalled();
    await waitFor(() => expect(field().value).toBe(""));
  });

  it("edits a day in place, and keeps what was typed where it is refused", async () => {
    put.mockImplementation((() => Promise.reject(problem(422, { detail: "Line 1: Which lift?" }))) as never);
    renderInApp(<StrengthWork athleteId="i" />);
    fireEvent.click(await screen.findByRole("button", { name: "Edit 2 Nov 2026" }));
    expect(field().value).toBe(DAY.text);
    fireEvent.change(field(), { target: { value: "12 %" } });
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    expect(await screen.findByText("Line 1: Which lift?")).toBeTruthy();
    expect(field().value).toBe("12 %");
    expect(sent(0).body.text).toBe("12 %");
    fireEvent.click(screen.getByRole("button", { name: "Cancel" }));
    expect(field().value).toBe("");
  });

  it("still edits the same day after a reload in the middle of it", async () => {
    renderInApp(<StrengthWork athleteId="i" />);
    fireEvent.click(await screen.findByRole("button", { name: "Edit 2 Nov 2026" }));
    fireEvent.change(field(), { target: { value: "back squat 3 x 3: 100 kg" } });
    cleanup();
    renderInApp(<StrengthWork athleteId="i" />);
    expect(field().value).toBe("back squat 3 x 3: 100 kg");
    fireEvent.click(await screen.findByRole("button", { name: "Save" }));
    await waitFor(() => expect(put).toHaveBeenCalled());
    expect(sent(0).params.path.day).toBe("2026-11-02");
    expect(sent(0).body.text).toBe("back squat 3 x 3: 100 kg");
  });

  it("takes a day away and brings it back", async () => {
    renderInApp(<StrengthWork athleteId="i" />);
    fireEvent.click(await screen.findByRole("button", { name: "Delete 2 Nov 2026" }));
    await waitFor(() => expect(notices.now()?.words).toBe("Strength work of 2 Nov 2026 deleted."));
    expect(sent(0).body).toEqual({ text: "", was: DAY.text });
    notices.now()?.way?.act();
    await waitFor(() => expect(put).toHaveBeenCalledTimes(2));
    expect(sent(1).body.text).toBe(DAY.text);
  });
});
