import { cleanup, fireEvent, screen } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import { attempt, mark } from "../testing/sample";
import { TimeSheet } from "./TimeSheet";

const CHECK = {
  rows: [
    { line: 1, place: "21 thruster", splitMs: 92_000, clockMs: 92_000, gapMs: 0 },
    { line: 2, place: "15 burpee", splitMs: 131_000, clockMs: 227_000, gapMs: 4000 },
  ],
  unaccountedMs: 4000,
  sound: true,
  score: "3:47.0",
  inTheWay: 0,
  digits: "WHOLE",
  says: "3:47. 4 s outside the splits, counted as transitions.",
};

describe("times without a recording", () => {
  const sent: { path: string; body: Record<string, unknown> }[] = [];
  let answer: object;

  beforeEach(() => {
    sent.length = 0;
    localStorage.clear();
    queryClient.clear();
    answer = CHECK;
    Element.prototype.scrollIntoView = () => undefined;
    vi.spyOn(api, "POST").mockImplementation(((path: string, options: { body: Record<string, unknown> }) => {
      sent.push({ path, body: options.body });
      return Promise.resolve({ data: answer, response: new Response() });
    }) as never);
  });
  const open = () => renderInApp(<TimeSheet attempt={attempt()} onBack={() => undefined} />);

  it("shows what each line was taken as and the seconds in neither", async () => {
    open();
    fireEvent.change(screen.getByLabelText("Times, one per line"), { target: { value: "1:32 1:32\n2:11 3:47" } });
    expect(await screen.findByRole("row", { name: "15 burpee 2:11 3:47 4 s" })).toBeTruthy();
    expect(screen.getByRole("status").textContent).toContain("4 s outside the splits");
    expect(sent.at(-1)?.body).toMatchObject({ text: "1:32 1:32\n2:11 3:47", each: "MOVEMENT", times: "EITHER" });
  });

  it("keeps what was typed over a reload", () => {
    open();
    fireEvent.change(screen.getByLabelText("Times, one per line"), { target: { value: "1:32" } });
    cleanup();
    open();
    expect(screen.getByLabelText<HTMLTextAreaElement>("Times, one per line").value).toBe("1:32");
  });

  it("says which line is wrong and keeps nothing of it", async () => {
    answer = {
      ...CHECK,
      sound: false,
      rows: [{ line: 1, place: "21 thruster", gapMs: 0, problem: "Expected a time" }],
    };
    open();
    expect(await screen.findByText("Line 1: Expected a time")).toBeTruthy();
    expect(screen.getByRole("button", { name: "Save to log" }).hasAttribute("disabled")).toBe(true);
  });

  it("is not put in place of its own marks when it is opened again", async () => {
    open();
    fireEvent.change(screen.getByLabelText("Times, one per line"), { target: { value: "1:32\n2:11" } });
    const keep = await screen.findByRole("button", { name: "Save to log" });
    await vi.waitFor(() => expect(keep.hasAttribute("disabled")).toBe(false));
    fireEvent.click(keep);
    await vi.waitFor(() => expect(localStorage.getItem(`wake times ${attempt().id} kept`)).toContain("2:11"));
    cleanup();
    answer = { ...CHECK, inTheWay: 2 };
    const again = attempt();
    renderInApp(
      <TimeSheet attempt={{ ...again, log: { ...again.log, marks: [mark("m1")] } }} onBack={() => undefined} />,
    );
    const button = await screen.findByRole("button", { name: "Saved to log" });
    expect(button.hasAttribute("disabled")).toBe(true);
    fireEvent.change(screen.getByLabelText("Times, one per line"), { target: { value: "1:32\n2:12" } });
    expect(await screen.findByRole("button", { name: /Replace the 2 existing marks/ })).toBeTruthy();
  });

  it("says how each line was read where they differ", async () => {
    answer = {
      ...CHECK,
      rows: [
        { line: 1, place: "21 thruster", taken: "SPLITS", splitMs: 92_000, clockMs: 92_000, gapMs: 0 },
        { line: 2, place: "15 burpee", taken: "CLOCK", splitMs: 131_000, clockMs: 227_000, gapMs: 0 },
      ],
    };
    open();
    expect(await screen.findByRole("row", { name: "15 burpee 2:11 3:47 clock" })).toBeTruthy();
  });

  it("asks before it takes the place of marks", async () => {
    answer = { ...CHECK, inTheWay: 12 };
    open();
    fireEvent.click(await screen.findByRole("button", { name: "Replace the 12 existing marks" }));
    await vi.waitFor(() => expect(sent.some((one) => one.path.endsWith("/times"))).toBe(true));
    expect(sent.find((one) => one.path.endsWith("/times"))?.body).toMatchObject({ replace: true });
  });
});
