import { describe, expect, it } from "vitest";
import { action } from "./keys";

const press = (key: string, held: Partial<Record<"shiftKey" | "altKey" | "ctrlKey" | "metaKey", boolean>> = {}) =>
  action({ key, shiftKey: false, altKey: false, ctrlKey: false, metaKey: false, ...held });

describe("keys of the log step", () => {
  it("marks what the coach sees with the left hand", () => {
    expect(press("f")).toEqual({ does: "mark", kind: "REP" });
    expect(press("D")).toEqual({ does: "mark", kind: "DONE" });
    expect(press("s")).toEqual({ does: "break" });
  });

  it("moves through the recording with the right", () => {
    expect(press("ArrowLeft")).toEqual({ does: "seek", ms: -1000 });
    expect(press("ArrowRight", { altKey: true })).toEqual({ does: "seek", ms: 5000 });
    expect(press("ArrowRight", { shiftKey: true })).toEqual({ does: "frame", frames: 1 });
  });

  it("leaves the browser its own keys", () => {
    expect(press("r", { ctrlKey: true })).toBeUndefined();
    expect(press("F5")).toBeUndefined();
    expect(press("z", { ctrlKey: true })).toEqual({ does: "undo" });
  });
});
