import { describe, expect, it } from "vitest";
import { Frames } from "./frames";

describe("frames at the times the file says", () => {
  const frames = new Frames([0, 40, 120, 280, 600]);

  it("are stepped one by one however long each stays", () => {
    expect(frames.from(0, 1).atMs).toBe(40);
    expect(frames.from(120, 1).atMs).toBe(280);
    expect(frames.from(277, 1).atMs).toBe(280);
    expect(frames.from(280, -1).atMs).toBe(120);
    expect(frames.from(0, 3).atMs).toBe(280);
  });

  it("end at the first and the last", () => {
    expect(frames.from(40, -5).atMs).toBe(0);
    expect(frames.from(600, 1)).toEqual({ atMs: 600, lengthMs: 320 });
  });

  it("have a length each", () => {
    expect(frames.at(130)).toEqual({ atMs: 120, lengthMs: 160 });
    expect(frames.at(0).lengthMs).toBe(40);
  });

  it("are found although a player rounds their times", () => {
    expect(frames.at(119.6).atMs).toBe(120);
    expect(frames.from(119.6, 1).atMs).toBe(280);
  });
});

describe("frames of a file whose times are not known", () => {
  it("come thirty a second until shorter gaps are seen", () => {
    const frames = new Frames([]);
    expect(frames.from(1000, 1).atMs).toBeCloseTo((31 * 1000) / 30);
    frames.saw(1000 / 60);
    expect(frames.from(1000, 1).atMs).toBeCloseTo((61 * 1000) / 60);
    frames.saw(2);
    expect(frames.at(0).lengthMs).toBeCloseTo(1000 / 60);
  });

  it("are not stepped before the start", () => {
    expect(new Frames([]).from(10, -3).atMs).toBe(0);
  });

  it("keep their place when a step lands a little before a frame's start", () => {
    const frames = new Frames([]);
    expect(frames.at(33.333).atMs).toBeCloseTo(1000 / 30);
  });
});
