import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, describe, expect, it } from "vitest";
import type { TodayRow, TodayView } from "../api/client";
import { keys } from "../api/queries";
import { Today } from "./Today";

afterEach(cleanup);

const row = (fields: Partial<TodayRow>): TodayRow => ({
  id: "a",
  athleteId: "b",
  athlete: "Ina Sandbar",
  title: "Neap",
  division: "",
  doneOn: "2026-11-20",
  stage: "NOT_LOGGED",
  score: "",
  says: "Recorded, not logged yet.",
  loggedPercent: 0,
  wake: [],
  ...fields,
});

function today(view: TodayView) {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(keys.today, view);
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
    today({ toReview: [row({})], reviewed: [], retestsDue: [], checked: [] });
    expect(lead()).toBe("Ina Sandbar’s Neap waits for review.");
  });

  it("counts the others", () => {
    today({ toReview: [row({}), row({ id: "c" }), row({ id: "d" })], reviewed: [], retestsDue: [], checked: [] });
    expect(lead()).toBe("Ina Sandbar’s Neap and 2 more wait for review.");
  });

  it("shows how far a log has come", () => {
    today({ toReview: [row({ stage: "PART_LOGGED", loggedPercent: 40 })], reviewed: [], retestsDue: [], checked: [] });
    expect(screen.getByLabelText("40 percent of the segments logged")).toBeTruthy();
  });

  it("leads from an attempt that is read to its reading, with what is still in it", () => {
    const read = row({ stage: "LOGGED", score: "9:42.0", openGain: "9:20.0 on evidence", says: "On plan." });
    today({ toReview: [], reviewed: [read], retestsDue: [], checked: [] });
    expect(lead()).toBe("Nothing waits for review.");
    expect(screen.getByRole("link", { name: /Ina Sandbar/ }).getAttribute("href")).toBe("/attempts/a/reading");
    expect(screen.getByText(/a retest could be 9:20.0 on evidence/)).toBeTruthy();
  });

  it("says the first steps when there is nothing yet", () => {
    today({ toReview: [], reviewed: [], retestsDue: [], checked: [] });
    expect(lead()).toBe("No attempts yet.");
    expect(screen.getByRole("link", { name: "Add an athlete" })).toBeTruthy();
  });
});
