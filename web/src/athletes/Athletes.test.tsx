import { fireEvent, screen, within } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api, type Athlete, type RosterRow } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import { Athletes } from "./Athletes";

const MARIT: Athlete = {
  id: "m",
  name: "Marit Haven",
  note: "knee",
  figures: "row 2k 7:40\nback squat 90 kg",
  advice: ["Her 2 km is quicker than her 500 m allows."],
  pain: "left shoulder",
  recoversSlowly: true,
  problems: [],
};

describe("the roster", () => {
  let roster: Athlete[];
  let refusal: string | undefined;
  let there: RosterRow[];
  const put = vi.fn();

  beforeEach(() => {
    localStorage.clear();
    queryClient.clear();
    roster = [MARIT];
    refusal = undefined;
    there = [];
    put.mockReset();
    vi.spyOn(api, "GET").mockImplementation(((path: string) => {
      const answers: Record<string, unknown> = {
        "/api/athletes": roster,
        "/api/calls": {
          overall: { says: "3 calls checked, 2 of 3 inside their range" },
          athletes: [
            { athleteId: "m", record: { says: "1 call checked" }, kinds: ["No faults: 4 s called, 3 s came"] },
          ],
        },
        "/api/athletes/roster": there,
        "/api/athletes/techniques": ["Burpee: step-back faster than jump-back for 2 of 3 athletes."],
      };
      return Promise.resolve({ data: answers[path], response: new Response() });
    }) as never);
    // The figures are read while they are typed; here nobody answers.
    vi.spyOn(api, "POST").mockImplementation((() => new Promise(() => undefined)) as never);
    vi.spyOn(api, "PUT").mockImplementation(((_path: string, options: object) => {
      put(options);
      return Promise.resolve(
        refusal
          ? { error: { detail: refusal }, response: new Response(null, { status: 422 }) }
          : { data: MARIT, response: new Response() },
      );
    }) as never);
  });
  // The answers stay: what was asked for anew at the end may still be on its way.
  const open = () => renderInApp(<Athletes />);

  it("shows what is known of an athlete, pain before all", async () => {
    open();
    expect(await screen.findByText("1 athlete.")).toBeTruthy();
    expect(screen.getByText(/Pain on file: left shoulder. No retest until a licensed professional/)).toBeTruthy();
    expect(screen.queryByText("back squat 90 kg")).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Notes on Marit Haven" }));
    expect(screen.getByText("back squat 90 kg")).toBeTruthy();
    const advice = screen.getByRole("list", { name: "Planning tips from the bests of Marit Haven" });
    expect(within(advice).getByText(/quicker than her 500 m/)).toBeTruthy();
    expect(await screen.findByText(/2 of 3 inside their range/)).toBeTruthy();
    expect(await screen.findByText("No attempts yet.")).toBeTruthy();
    expect(await screen.findByText(/for 2 of 3 athletes/)).toBeTruthy();
  });

  it("says what each has done last, and what waits", async () => {
    const last = {
      id: "a",
      athleteId: "m",
      athlete: "Marit Haven",
      title: "Weir Race",
      division: "",
      doneOn: "2026-11-20",
      place: "REVIEWED" as const,
      stage: "LOGGED" as const,
      score: "9:42",
      says: "",
      loggedPercent: 100,
      wake: [],
    };
    there = [
      {
        athleteId: "m",
        attempts: 7,
        toReview: 2,
        last,
        due: { ...last, id: "b", title: "Tide Mill", place: "RETEST_DUE" },
      },
    ];
    open();
    const link = await screen.findByRole("link", { name: "Weir Race" });
    expect(link.getAttribute("href")).toBe("/attempts/a/reading");
    expect(screen.getByText(/9:42/)).toBeTruthy();
    expect(screen.getByRole("link", { name: "2 to review" }).getAttribute("href")).toBe(
      "/attempts?athlete=m&place=TO_REVIEW",
    );
    expect(screen.getByRole("link", { name: "Tide Mill" }).getAttribute("href")).toBe("/attempts/b/plan");
  });

  it("finds an athlete among many by a part of the name", async () => {
    roster = Array.from({ length: 12 }, (_, index) => ({
      ...MARIT,
      id: `m${index}`,
      name: `Guest ${index}`,
      pain: "",
    }));
    open();
    await screen.findByText("12 athletes.");
    fireEvent.change(screen.getByRole("textbox", { name: "Search athletes" }), { target: { value: "GUEST 11" } });
    expect(screen.getAllByRole("button", { name: /^Edit/ })).toHaveLength(1);
    fireEvent.change(screen.getByRole("textbox", { name: "Search athletes" }), { target: { value: "x" } });
    expect(screen.getByText("No athlete found.")).toBeTruthy();
  });

  it("says what to do when it is empty", async () => {
    roster = [];
    open();
    expect(await screen.findByText("No athletes yet.")).toBeTruthy();
    expect(screen.getByText("Add your first athlete.")).toBeTruthy();
  });

  it("takes a change of an athlete under the same id, and can leave it", async () => {
    open();
    fireEvent.click(await screen.findByRole("button", { name: "Edit Marit Haven" }));
    const name = screen.getByRole<HTMLInputElement>("textbox", { name: "Name" });
    expect(name.value).toBe("Marit Haven");
    fireEvent.click(screen.getByRole("button", { name: "Cancel" }));
    expect(screen.queryByRole("textbox", { name: "Name" })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Edit Marit Haven" }));
    fireEvent.change(screen.getByRole("textbox", { name: /Current pain or injury/ }), { target: { value: "" } });
    fireEvent.click(screen.getByRole("button", { name: "Save changes" }));
    await vi.waitFor(() => expect(put).toHaveBeenCalledOnce());
    expect(put.mock.calls[0]?.[0]).toMatchObject({ params: { path: { id: "m" } }, body: { pain: "" } });
  });

  it("keeps what was typed when the server refuses it, and says why", async () => {
    refusal = "Line 1: the time is missing, got quick.";
    open();
    await screen.findByText("1 athlete.");
    fireEvent.click(screen.getByRole("button", { name: "Add an athlete" }));
    fireEvent.change(screen.getByRole("textbox", { name: "Name" }), { target: { value: "Runa Shoal" } });
    fireEvent.click(screen.getByRole("button", { name: "Add" }));
    expect(await screen.findByText(refusal)).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>("textbox", { name: "Name" }).value).toBe("Runa Shoal");
  });
});
