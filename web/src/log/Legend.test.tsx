import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { log, mark, outbox } from "../testing/sample";
import { Chosen, readClock } from "./Chosen";
import { LEFT_HANDED } from "./keys";
import { KeySheet } from "./KeySheet";
import { Legend } from "./Legend";
import type { Op } from "../outbox/queue";
import { markBody } from "./useMarks";

afterEach(cleanup);

const NO_REP = mark("m", { kind: "NO_REP", atMs: 30_000, clockMs: 25_000 });

const OFF: Op = { op: "put", id: "o", body: markBody({ kind: "OFF", atMs: 20_000 }) };

describe("the legend of keys", () => {
  it("says what each key would do now", () => {
    render(<Legend log={log()} waiting={outbox()} keys={{}} />);
    expect(screen.getByText("rep 1 of 6")).toBeTruthy();
    expect(screen.getByText("break")).toBeTruthy();
  });

  it("strikes what would be refused, and says why", () => {
    render(<Legend log={log()} waiting={outbox(OFF)} keys={{}} />);
    const on = screen.getByTitle("Nobody is resting; S marks a break first.");
    expect(on.textContent).toContain("back on");
    expect(on.dataset.off).toBe("true");
  });

  it("shows the keys of a lift window only there", () => {
    render(<Legend log={log({ liftWindow: true })} waiting={outbox()} keys={{}} />);
    expect(screen.getByText("lift")).toBeTruthy();
    expect(screen.queryByText("rep 1 of 6")).toBeNull();
  });

  it("shows the keys as they were changed", () => {
    render(<Legend log={log()} waiting={outbox()} keys={{ rep: "j" }} />);
    expect(screen.getByText("J")).toBeTruthy();
  });
});

describe("the chosen mark", () => {
  const corrections = () => ({
    retime: vi.fn(),
    rekind: vi.fn(),
    recount: vi.fn(),
    reword: vi.fn(),
    remove: vi.fn(),
    join: vi.fn(),
    leave: vi.fn(),
  });

  it("is retimed, takes another kind, and says why it does not fit", () => {
    const on = corrections();
    render(<Chosen mark={{ ...NO_REP, oddity: "The athlete is resting." }} on={on} />);
    const time = screen.getByLabelText("Clock time of the mark");
    expect(time).toHaveProperty("value", "0:25.0");
    fireEvent.change(time, { target: { value: "0:24.6" } });
    fireEvent.keyDown(time, { key: "Enter" });
    expect(on.retime).toHaveBeenCalledWith(24_600, 0.1);
    fireEvent.change(screen.getByLabelText("What was seen"), { target: { value: "TRIP" } });
    expect(on.rekind).toHaveBeenCalledWith("TRIP");
    expect(screen.getByText("The athlete is resting.")).toBeTruthy();
  });

  it("of a break is recounted", () => {
    const on = corrections();
    render(<Chosen mark={{ ...NO_REP, kind: "OFF", reps: 8 }} on={on} />);
    const reps = screen.getByLabelText("Reps of the set");
    fireEvent.change(reps, { target: { value: "7" } });
    fireEvent.keyDown(reps, { key: "Enter" });
    expect(on.recount).toHaveBeenCalledWith(7);
  });

  it("reads clock times with the worth of their last digit", () => {
    expect(readClock("3:07")).toEqual({ ms: 187_000, step: 1 });
    expect(readClock("1:02:03.25")).toEqual({ ms: 3_723_250, step: 0.01 });
    for (const text of ["", "3", "3:75", "soon"]) expect(readClock(text)).toBeUndefined();
  });
});

describe("the sheet of keys", () => {
  it("has all keys, and changes one unless it is taken", () => {
    const onKeys = vi.fn();
    render(<KeySheet keys={{}} onKeys={onKeys} problem={undefined} />);
    for (const text of ["no-rep", "trip", "undo", "faster, slower"]) expect(screen.getByText(text)).toBeTruthy();
    const rep = screen.getByRole("button", { name: "Key for rep: f" });
    fireEvent.click(rep);
    fireEvent.keyDown(rep, { key: "d" });
    expect(screen.getByRole("alert").textContent).toContain("D is “movement done” already");
    fireEvent.click(rep);
    fireEvent.keyDown(rep, { key: "p" });
    expect(onKeys).toHaveBeenCalledWith({ rep: "p" });
    fireEvent.click(screen.getByRole("button", { name: "Left-handed" }));
    expect(onKeys).toHaveBeenLastCalledWith(LEFT_HANDED);
  });
});
