import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { log, mark, outbox } from "../testing/sample";
import { Chosen, readClock } from "./Chosen";
import { LEFT_HANDED } from "./keys";
import { KeySheet } from "./KeySheet";
import { Keypad } from "./Keypad";
import type { Op } from "../outbox/queue";
import { markBody } from "./useMarks";

const NO_REP = mark("m", { kind: "NO_REP", atMs: 30_000, clockMs: 25_000 });

const OFF: Op = { op: "put", id: "o", body: markBody({ kind: "OFF", atMs: 20_000 }) };

describe("the keys now", () => {
  it("says what each key would do now", () => {
    render(<Keypad beforeGo={false} onAction={vi.fn()} log={log()} waiting={outbox()} keys={{}} />);
    expect(screen.getByText("rep 1 of 6")).toBeTruthy();
    expect(screen.getByText("break")).toBeTruthy();
  });

  it("strikes what would be refused, and says why", () => {
    render(<Keypad beforeGo={false} onAction={vi.fn()} log={log()} waiting={outbox(OFF)} keys={{}} />);
    const on = screen.getByRole("button", { name: /back on \(not now: Nobody is resting; S marks a break first/ });
    expect(on.dataset.off).toBe("true");
  });

  it("shows the keys of a lift window only there, with the load to come", () => {
    const keys = [
      { kind: "BEGIN" as const, meaning: "bar leaves the floor" },
      { kind: "MISS" as const, meaning: "missed on rep 1" },
      { kind: "LIFT" as const, meaning: "lift with its load" },
    ];
    const lifting = log({ liftWindow: true, keys, nextLift: "70 kg" });
    render(<Keypad beforeGo={false} onAction={vi.fn()} log={lifting} waiting={outbox()} keys={{}} />);
    expect(screen.getByRole("button", { name: /bar leaves the floor \(70 kg\)/ }).dataset.next).toBe("true");
    expect(screen.getByText("missed on rep 1")).toBeTruthy();
    expect(screen.queryByText("no-rep")).toBeNull();
  });

  it("do what their keys do, also those that would be refused: the reason is said then", () => {
    const onAction = vi.fn();
    render(<Keypad beforeGo={false} onAction={onAction} log={log()} waiting={outbox(OFF)} keys={{}} />);
    fireEvent.keyDown(screen.getByRole("button", { name: /movement done/ }), { key: "Enter" });
    fireEvent.keyDown(screen.getByRole("button", { name: /back on/ }), { key: "Enter" });
    expect(onAction.mock.calls).toEqual([[{ does: "mark", kind: "DONE" }], [{ does: "break" }]]);
  });

  it("make the likely one the largest: go, movement starts, a rep, the return from a break", () => {
    const next = (fields: Parameters<typeof log>[0], beforeGo = false) => {
      const { container } = render(
        <Keypad beforeGo={beforeGo} onAction={vi.fn()} log={log(fields)} waiting={outbox()} keys={{}} />,
      );
      const words = container.querySelector("[data-next]")?.textContent;
      cleanup();
      return words;
    };
    expect(next({}, true)).toContain("start the clock here");
    expect(next({ phase: "MOVING_TO" })).toContain("movement starts");
    expect(next({ phase: "WORKING" })).toContain("rep 1 of 6");
    expect(next({ phase: "RESTING" })).toContain("back on");
    expect(next({ phase: "FINISHED" })).toBeUndefined();
  });

  it("shows the keys as they were changed", () => {
    render(<Keypad beforeGo={false} onAction={vi.fn()} log={log()} waiting={outbox()} keys={{ rep: "j" }} />);
    expect(screen.getByText("J")).toBeTruthy();
  });
});

describe("the chosen mark", () => {
  const corrections = () => ({
    retime: vi.fn(),
    rekind: vi.fn(),
    recount: vi.fn(),
    reword: vi.fn(),
    relift: vi.fn(),
    remove: vi.fn(),
    join: vi.fn(),
    leave: vi.fn(),
  });

  it("is retimed, takes another kind, and says why it is missing or wrong", () => {
    const on = corrections();
    render(<Chosen mark={{ ...NO_REP, rejected: "The athlete is resting." }} on={on} />);
    const time = screen.getByLabelText("Time of the mark");
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
    expect(screen.getByRole("alert").textContent).toContain("D is taken by “movement done”");
    fireEvent.click(rep);
    fireEvent.keyDown(rep, { key: "p" });
    expect(onKeys).toHaveBeenCalledWith({ rep: "p" });
    fireEvent.click(screen.getByRole("button", { name: "Left-handed" }));
    expect(onKeys).toHaveBeenLastCalledWith(LEFT_HANDED);
  });
});
