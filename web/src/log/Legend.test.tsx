import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import type { MarkView } from "../api/client";
import { log } from "../testing/sample";
import { KeySheet, Legend } from "./Legend";

afterEach(cleanup);

const mark: MarkView = {
  id: "m",
  kind: "NO_REP",
  atMs: 30_000,
  clockMs: 25_000,
  reps: 0,
  depth: "SET",
  tag: "",
  text: "",
  uncertaintyS: 0.1,
};

describe("the legend of keys", () => {
  it("says what each key would do now", () => {
    render(<Legend log={log()} resting="working" chosen={undefined} />);
    expect(screen.getByText("rep 1 of 6")).toBeTruthy();
    expect(screen.getByText("break")).toBeTruthy();
  });

  it("strikes what would be refused, and says why", () => {
    render(<Legend log={log()} resting="resting" chosen={undefined} />);
    const on = screen.getByTitle("Nobody is resting; S marks a break first.");
    expect(on.textContent).toContain("back on");
    expect(on.dataset.off).toBe("true");
  });

  it("shows the keys of a lift window only there", () => {
    render(<Legend log={log({ liftWindow: true })} resting="moving" chosen={undefined} />);
    expect(screen.getByText("lift")).toBeTruthy();
    expect(screen.queryByText("rep 1 of 6")).toBeNull();
  });

  it("tells of the chosen mark, and why it does not fit", () => {
    render(<Legend log={log()} resting="working" chosen={{ ...mark, oddity: "The athlete is resting." }} />);
    expect(screen.getByRole("status").textContent).toContain("no-rep at 0:25.0");
    expect(screen.getByRole("status").textContent).toContain("The athlete is resting.");
  });

  it("has all keys on one sheet", () => {
    render(<KeySheet />);
    for (const text of ["no-rep", "trip", "undo", "faster, slower"]) expect(screen.getByText(text)).toBeTruthy();
  });
});
