import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { describe, expect, it } from "vitest";
import type { TodayRow, TodayView } from "../api/client";
import { keys } from "../api/queries";
import { Today } from "./Today";

const row = (fields: Partial<TodayRow>): TodayRow => ({
  id: "a",
  athleteId: "b",
  athlete: "Ina Sandbar",
  title: "Neap",
  division: "",
  doneOn: "2026-11-20",
  place: "TO_REVIEW",
  stage: "NOT_LOGGED",
  score: "",
  says: "Video added, not logged.",
  loggedPercent: 0,
  wake: [],
  ...fields,
});

function today(rows: Partial<TodayView>) {
  const view: TodayView = {
    toReview: [],
    reviewed: [],
    retestsDue: [],
    toBeDone: [],
    checked: [],
    counts: { TO_REVIEW: rows.toReview?.length ?? 0, REVIEWED: rows.reviewed?.length ?? 0 },
    beingRead: 0,
    filling: false,
    ...rows,
  };
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData([...keys.today, "now"], view);
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <Today />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const lead = () => screen.getByRole("heading", { level: 1 }).textContent;

describe("Today", () => {
  it("leads with what waits for review", () => {
    today({ toReview: [row({})] });
    expect(lead()).toBe("1 to review: Ina Sandbar’s Neap.");
  });

  it("counts the others", () => {
    today({ toReview: [row({}), row({ id: "c" }), row({ id: "d" })] });
    expect(lead()).toBe("3 to review, starting with Ina Sandbar’s Neap.");
  });

  it("shows how far a log has come", () => {
    today({ toReview: [row({ stage: "PART_LOGGED", loggedPercent: 40 })] });
    expect(screen.getByLabelText("40% logged")).toBeTruthy();
  });

  it("leads from an attempt that is read to its reading, with what is still in it", () => {
    const read = row({
      place: "REVIEWED",
      stage: "LOGGED",
      score: "9:42.0",
      openGain: "12 s faster (proven)",
      says: "On plan.",
    });
    today({ reviewed: [read] });
    expect(lead()).toBe("All caught up.");
    expect(screen.getByRole("link", { name: /Ina Sandbar/ }).getAttribute("href")).toBe("/attempts/a/reading");
    expect(screen.getByText(/retest: 12 s faster \(proven\)/)).toBeTruthy();
  });

  it("keeps what is only planned apart, and leads to the rest of a long list", () => {
    const planned = row({ id: "p", place: "PLANNED", stage: "NO_RECORDING", says: "No video yet." });
    today({ toReview: [row({})], toBeDone: [planned], counts: { TO_REVIEW: 41, PLANNED: 1 } });
    expect(lead()).toBe("41 to review, starting with Ina Sandbar’s Neap.");
    expect(screen.getByRole("link", { name: "and 40 more" }).getAttribute("href")).toBe("/attempts?place=TO_REVIEW");
    const later = screen.getByRole("region", { name: "Upcoming" });
    expect(within(later).getByRole("link").getAttribute("href")).toBe("/attempts/p/plan");
  });

  it("says that attempts are still being read", () => {
    today({ counts: {}, beingRead: 312 });
    expect(screen.getByRole("status").textContent).toContain("Still working through 312 attempts");
  });

  it("says the first steps when there is nothing yet", () => {
    today({});
    expect(lead()).toBe("No attempts yet.");
    expect(screen.getByRole("link", { name: "Add an athlete" })).toBeTruthy();
  });
});
