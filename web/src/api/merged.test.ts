import { describe, expect, it } from "vitest";
import { merged } from "./merged";

const drawn = { goal: "9:00", lines: [{ index: 0, every: { sets: "5s", rests: "5" }, rounds: {} }, { index: 1 }] };

describe("an edit of what was drawn", () => {
  it("leaves what was kept in between in the same line", () => {
    const now = { ...drawn, lines: [{ index: 0, every: { sets: "5s", rests: "4-9" }, rounds: {} }, { index: 1 }] };
    const changed = { ...drawn, lines: [{ index: 0, every: { sets: "6s", rests: "5" }, rounds: {} }, { index: 1 }] };
    expect(merged(drawn, changed, now)).toEqual({
      ...drawn,
      lines: [{ index: 0, every: { sets: "6s", rests: "4-9" }, rounds: {} }, { index: 1 }],
    });
  });

  it("adds, takes away, and is the last to say what both changed", () => {
    expect(merged<object>(drawn, { lines: drawn.lines }, { ...drawn, lines: [] })).toEqual({ lines: [] });
    expect(merged<object>({ a: 1 }, { a: 1, b: 2 }, { a: 3 })).toEqual({ a: 3, b: 2 });
    expect(merged<object>({ a: 1 }, { a: 2 }, { a: 3 })).toEqual({ a: 2 });
    expect(merged<object>({ a: 1, b: 1 }, { a: 2, b: 1 }, { a: 1 })).toEqual({ a: 2 });
    expect(merged([1, 2], [1, 3, 4], [9, 2])).toEqual([1, 3, 4]);
    expect(merged<unknown>(undefined, { a: 1 }, { b: 1 })).toEqual({ a: 1 });
  });
});

describe("two edits of what was drawn once", () => {
  it("are both in force where both fill in what was not there", () => {
    const empty = { rounds: {} };
    const one = { rounds: { 3: { sets: "6s" } } };
    const other = { rounds: { 3: { rests: "4" } } };
    expect(merged<object>(empty, other, merged<object>(empty, one, empty))).toEqual({
      rounds: { 3: { sets: "6s", rests: "4" } },
    });
  });

  it("find the item they mean when the list has changed meanwhile", () => {
    const from = [{ load: "60" }, { load: "70" }];
    expect(merged(from, [{ load: "60" }, { load: "72" }], [...from, { load: "75" }])).toEqual([
      { load: "60" },
      { load: "72" },
      { load: "75" },
    ]);
    expect(merged(from, [{ load: "60" }, { load: "72" }], [{ load: "70" }])).toEqual([{ load: "72" }]);
    expect(merged(from, [...from, { load: "75" }], [{ load: "61" }, { load: "70" }])).toEqual([
      { load: "61" },
      { load: "70" },
      { load: "75" },
    ]);
    expect(merged(from, [{ load: "70" }], [{ load: "60" }, { load: "70" }, { load: "75" }])).toEqual([
      { load: "70" },
      { load: "75" },
    ]);
  });
});
