import { describe, expect, it } from "vitest";
import { completions, fragmentAt } from "./completion";

const NAMES = ["thruster", "toes-to-bar", "bar muscle-up", "burpee", "burpee over bar", "row"];

describe("completing movements", () => {
  it("finds the name being typed behind amount and unit", () => {
    const text = "# A\nfor time\n  12 toes\n  8 cal ro";
    expect(fragmentAt(text, text.indexOf("toes") + 4)).toEqual({ start: text.indexOf("toes"), typed: "toes" });
    expect(fragmentAt(text, text.length)).toEqual({ start: text.length - 2, typed: "ro" });
  });

  it("keeps quiet where no movement is expected", () => {
    expect(fragmentAt("# Thr", 5)).toBeUndefined();
    expect(fragmentAt("for ti", 6)).toBeUndefined();
    expect(fragmentAt("  12 t", 6)).toBeUndefined();
  });

  it("offers names that start so before names that hold it", () => {
    expect(completions(NAMES, "bar")).toEqual(["bar muscle-up", "toes-to-bar", "burpee over bar"]);
    expect(completions(NAMES, "burpee")).toEqual(["burpee over bar"]);
  });
});
