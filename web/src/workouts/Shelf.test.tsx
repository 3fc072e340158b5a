import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { describe, expect, it } from "vitest";
import type { WorkoutView } from "../api/client";
import { Shelf } from "./Shelf";

const workout = (id: string, title: string, line: string, archived = false): WorkoutView => ({
  id,
  title,
  notation: `# ${title}\nfor time\n  ${line}\n`,
  divisions: [],
  parts: [{ name: "", format: "for time", cuttable: false }],
  format: "for time",
  archived,
  attempts: 0,
});

const LIBRARY = [
  workout("1", "Neap", "12 burpee"),
  workout("2", "Skerry", "9 thruster @ 40 kg"),
  workout("3", "Old Pier", "30 burpee", true),
];

function shelf(workouts: WorkoutView[]) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <Shelf workouts={workouts} chosenId="2" />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const titles = () => [...document.querySelectorAll("a[data-workout]")].map((link) => link.firstChild?.textContent);

describe("the library", () => {
  it("keeps archived workouts out of the way until they are asked for", () => {
    shelf(LIBRARY);
    expect(titles()).toEqual(["Neap", "Skerry"]);
    fireEvent.click(screen.getByText("Archived"));
    expect(titles()).toEqual(["Neap", "Skerry", "Old Pier"]);
  });

  it("is searched in titles and in lines", () => {
    shelf(LIBRARY);
    fireEvent.change(screen.getByLabelText("Search in titles and lines"), { target: { value: "THRUSTER" } });
    expect(titles()).toEqual(["Skerry"]);
    fireEvent.change(screen.getByLabelText("Search in titles and lines"), { target: { value: "nothing of the kind" } });
    expect(screen.getByText("No match.")).toBeTruthy();
  });

  it("marks the one that is open", () => {
    shelf(LIBRARY);
    expect(document.querySelector("a[aria-current=page]")?.textContent).toContain("Skerry");
  });

  it("says the next step while it is empty", () => {
    shelf([]);
    expect(screen.getByText("Nothing here yet. Write the first one.")).toBeTruthy();
  });
});
