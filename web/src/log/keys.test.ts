import { describe, expect, it } from "vitest";
import { action, holder, keyOf, LEFT_HANDED, OTHER, SEEN } from "./keys";

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

  it("can be changed, one by one or mirrored for the left-handed", () => {
    expect(action({ key: "j", shiftKey: false, altKey: false, ctrlKey: false, metaKey: false }, LEFT_HANDED)).toEqual({
      does: "mark",
      kind: "REP",
    });
    const [rep, done] = SEEN;
    if (!rep || !done) throw new Error("no commands");
    expect(keyOf(rep, { rep: "j" })).toBe("j");
    expect(holder("d", rep, {})).toBe(done);
    expect(holder("f", rep, {})).toBeUndefined();
    const all = [...SEEN, ...OTHER].map((one) => keyOf(one, LEFT_HANDED));
    expect(new Set(all).size).toBe(all.length);
  });

  it("undoes and redoes as other programs do", () => {
    expect(press("z", { ctrlKey: true, shiftKey: true })).toEqual({ does: "redo" });
    expect(press("y")).toEqual({ does: "redo" });
    expect(press("PageDown")).toEqual({ does: "walk", over: "segments", step: 1 });
  });
});
