import { fireEvent, render, screen } from "@testing-library/react";
import { QueryClientProvider } from "@tanstack/react-query";
import { useState } from "react";
import { Link, MemoryRouter, Route, Routes } from "react-router";
import { beforeEach, expect, it, vi } from "vitest";
import { api } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { attempt } from "../testing/sample";
import { AttemptPage } from "./AttemptPage";

beforeEach(() => {
  queryClient.clear();
  for (const id of ["a", "b"]) queryClient.setQueryData(keys.attempt(id), attempt({ id }));
});

function Remembering() {
  const [count, setCount] = useState(0);
  return <button onClick={() => setCount(count + 1)}>remembers {count}</button>;
}

function draw(at: string) {
  render(
    <QueryClientProvider client={queryClient}>
      <MemoryRouter initialEntries={[at]}>
        <Link to="/attempts/b/retest">to the other</Link>
        <Routes>
          <Route path="attempts/:id" element={<AttemptPage />}>
            <Route path="retest" element={<Remembering />} />
          </Route>
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

it("what a step remembers, such as its undo, does not go along to another attempt", async () => {
  vi.spyOn(api, "GET").mockImplementation((() => new Promise(() => undefined)) as never);
  draw("/attempts/a/retest");
  fireEvent.click(screen.getByText("remembers 0"));
  expect(screen.getByText("remembers 1")).toBeTruthy();
  fireEvent.click(screen.getByText("to the other"));
  expect(await screen.findByText("remembers 0")).toBeTruthy();
});

it("an attempt that cannot be read says why, and what can be done", async () => {
  vi.spyOn(api, "GET").mockImplementation((() =>
    Promise.resolve({
      error: { detail: "This attempt cannot be read, because there is no such division" },
      response: new Response(null, { status: 422 }),
    })) as never);
  draw("/attempts/c/retest");
  expect(await screen.findByText(/no such division/)).toBeTruthy();
  expect(screen.getByRole("button", { name: "Use the workout as it is now" })).toBeTruthy();
  expect(screen.getByRole("button", { name: "Delete attempt" })).toBeTruthy();
});
