import { fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import { BoardPreview } from "./BoardPreview";
import { Editor } from "./Editor";

const ERROR = { line: 3, column: 5, text: 'Line 3: instead of "x", write a movement.' };

function Sheet({ errors = [] }: { errors?: (typeof ERROR)[] }) {
  const [notation, setNotation] = useState("# A\nfor time\n  12 x");
  return (
    <Editor
      notation={notation}
      onChange={setNotation}
      errors={errors}
      hints={[]}
      movements={["thruster", "burpee", "burpee over bar"]}
    />
  );
}

describe("the notation editor", () => {
  it("says each error with its place, and leads the caret there", () => {
    render(<Sheet errors={[ERROR]} />);
    fireEvent.click(screen.getByText(/Line 3: instead of/));
    expect(screen.getByLabelText<HTMLTextAreaElement>("Workout notation").selectionStart).toBe(17);
  });

  it("marks the lines that do not fit in the margin", () => {
    const { container } = render(<Sheet errors={[ERROR]} />);
    expect([...container.querySelectorAll("li[data-problem]")].map((line) => line.textContent)).toEqual(["3"]);
  });

  it("shows twelve errors and counts the rest", () => {
    render(<Sheet errors={Array.from({ length: 200 }, (_, line) => ({ ...ERROR, line }))} />);
    expect(screen.getByText("and 188 more.")).toBeTruthy();
  });

  it("offers movements while one is typed, and Tab takes the first", () => {
    render(<Sheet />);
    const text = screen.getByLabelText<HTMLTextAreaElement>("Workout notation");
    fireEvent.change(text, { target: { value: "# A\nfor time\n  9 bur" } });
    expect(screen.getByText("Tab: burpee")).toBeTruthy();
    fireEvent.keyDown(text, { key: "Tab" });
    expect(text.value).toBe("# A\nfor time\n  9 burpee");
  });
});

describe("the board of a workout", () => {
  const line = {
    lineIndex: 0,
    written: "4+4 thruster @ 30 kg",
    movement: "thruster",
    unit: "rep",
    perRound: ["4 thruster @ 30 kg", "8 thruster @ 30 kg"],
    goodRep: "",
    caution: "Clear the landing space first.",
    notes: [],
  };
  const board = {
    part: "",
    format: "amrap 9:00",
    division: "",
    lines: [line],
    pieces: [{ heading: "every round, until the bell", lines: [0], cutOffs: ["by 6:00 after round 2"] }],
    open: true,
    counts: "4, 8, 12 … reps by round",
    metres: 400,
    movedKg: 120,
    starts: "",
    notes: ["rest 1:00: walk"],
  };

  it("shows what each round asks for, and that it goes on", () => {
    render(<BoardPreview boards={[board]} notes={["for the autumn"]} />);
    expect(screen.getByText("Every round, until the bell")).toBeTruthy();
    expect(screen.getAllByRole("listitem").map((one) => one.textContent)).toEqual([
      "4 thruster @ 30 kg · 8 thruster @ 30 kg …",
      "by 6:00 after round 2",
    ]);
    expect(screen.getByText("4, 8, 12 … reps by round, 400 m, 120 kg total")).toBeTruthy();
  });

  it("says a caution once, however many boards it stands on", () => {
    render(<BoardPreview boards={[board, { ...board, division: "men" }]} notes={[]} />);
    expect(screen.getAllByText("Clear the landing space first.")).toHaveLength(1);
  });
});
