import { beforeEach, describe, expect, it } from "vitest";
import { drafts } from "./drafts";

describe("texts being written", () => {
  beforeEach(() => localStorage.clear());

  it("are kept and dropped", () => {
    drafts.keep("a", "one");
    drafts.keep("a", "two");
    expect(drafts.read("a")).toBe("two");
    drafts.drop("a");
    expect(drafts.read("a")).toBeUndefined();
  });

  it("never grow beyond two hundred: the one not touched for longest goes", () => {
    for (let i = 0; i < 200; i++) drafts.keep(`d${i}`, "text");
    drafts.keep("d0", "touched");
    drafts.keep("new", "text");
    expect(drafts.read("d0")).toBe("touched");
    expect(drafts.read("d1")).toBeUndefined();
    expect(drafts.read("d2")).toBe("text");
    expect(drafts.read("new")).toBe("text");
    expect(localStorage.length).toBe(201);
  });
});
