import { describe, expect, it } from "vitest";
import { broken, indented, type Put } from "./indent";

/** A text with "|" where the caret is, or around what is selected. */
function written(marked: string) {
  const selectionStart = marked.indexOf("|");
  const selectionEnd = marked.lastIndexOf("|") === selectionStart ? selectionStart : marked.lastIndexOf("|") - 1;
  return { value: marked.replaceAll("|", ""), selectionStart, selectionEnd };
}

function after({ value }: { value: string }, { from, to, text, start, end }: Put): string {
  const now = value.slice(0, from) + text + value.slice(to);
  return start === end
    ? `${now.slice(0, start)}|${now.slice(start)}`
    : `${now.slice(0, start)}|${now.slice(start, end)}|${now.slice(end)}`;
}

describe("typing a whiteboard", () => {
  it.each([
    ["# Ebb|", "# Ebb\n|"],
    ["for time, cap 9:00|", "for time, cap 9:00\n  |"],
    ["for time\n  3 rounds:|", "for time\n  3 rounds:\n    |"],
    ["    12 burpee|", "    12 burpee\n    |"],
    ["  12 bur|pee", "  12 bur\n  |pee"],
    ["    12 burpee\n    |", "    12 burpee\n    \n  |"],
    ["  12 burpee\n  |", "  12 burpee\n  \n  |"],
  ])("Enter keeps and grows the indent: %j", (from, to) => {
    const box = written(from);
    expect(after(box, broken(box))).toBe(to);
  });

  it.each([
    ["12 bur|pee", 1, "  12 bur|pee"],
    ["a\n|12 burpee\n9 row|\nb", 1, "a\n  |12 burpee\n  9 row|\nb"],
    ["    12 bur|pee", -1, "  12 bur|pee"],
    ["12 bur|pee", -1, "12 bur|pee"],
    [" |12", -1, "|12"],
  ] as const)("Tab and Shift Tab move lines: %j by %i", (from, by, to) => {
    const box = written(from);
    expect(after(box, indented(box, by))).toBe(to);
  });
});
