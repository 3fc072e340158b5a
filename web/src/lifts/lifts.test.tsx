import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { LiftAxis, type Lifted } from "./LiftAxis";
import { Lifts, type Row } from "./Lifts";

const planned: Lifted[] = [
  { startMs: 60_000, lengthMs: 8000, load: "60 kg", loadKg: 60 },
  { startMs: 180_000, lengthMs: 8000, load: "80 kg", loadKg: 80 },
];

function row(fields: Partial<Row> = {}): Row {
  return {
    number: 1,
    load: "80 kg",
    loadKg: 80,
    pieces: "2 clean + 1 push jerk",
    isComplex: true,
    percent: "80 %",
    jump: "",
    atMs: 60_000,
    sinceMs: 60_000,
    outcome: "MADE",
    reps: 3,
    ...fields,
  };
}

/** How long it took and the rest before it, where somebody saw the bars come down. */
const SEEN = { lengthMs: 20_000, restMs: 60_000 };

describe("lifts over the clock", () => {
  it("are moved by the arrow keys, five seconds or with Shift one", () => {
    const onMove = vi.fn();
    render(<LiftAxis label="Lifts" windowMs={300_000} planned={planned} onMove={onMove} />);
    const second = screen.getByRole("slider", { name: "Start of lift 2, 80 kg" });
    fireEvent.keyDown(second, { key: "ArrowRight" });
    fireEvent.keyDown(second, { key: "ArrowLeft", shiftKey: true });
    fireEvent.keyDown(second, { key: "ArrowUp" });
    expect(onMove.mock.calls).toEqual([
      [1, 185_000],
      [1, 179_000],
    ]);
    expect(second.getAttribute("aria-valuetext")).toBe("3:00");
  });

  it("never leave the clock", () => {
    const onMove = vi.fn();
    const early = planned.slice(0, 1).map((lift) => ({ ...lift, startMs: 2000 }));
    render(<LiftAxis label="Lifts" windowMs={300_000} planned={early} onMove={onMove} />);
    fireEvent.keyDown(screen.getByRole("slider"), { key: "ArrowLeft" });
    expect(onMove).toHaveBeenCalledWith(0, 0);
  });

  it("stand higher the heavier they are, and have no negative sizes wherever they lie", () => {
    const done: Lifted[] = [
      { startMs: 310_000, lengthMs: 90_000, load: "90 kg", loadKg: 90, outcome: "MISSED", missedOn: 1, reps: 1 },
    ];
    const { container } = render(
      <LiftAxis label="Lifts" windowMs={300_000} planned={planned} done={done} maxKg={70} calmUntilMs={305_000} />,
    );
    const rects = [...container.querySelectorAll("rect")];
    for (const rect of rects) {
      for (const size of ["width", "height"]) expect(Number(rect.getAttribute(size))).toBeGreaterThanOrEqual(0);
    }
    const tops = rects
      .filter((rect) => rect.getAttribute("fill") === "none")
      .map((rect) => Number(rect.getAttribute("y")));
    expect(tops[1]).toBeLessThan(tops[0] ?? 0);
  });
});

describe("the table of lifts", () => {
  it("says on which rep and piece a lift was missed, and nothing of what nobody saw", () => {
    const missed = row({ ...SEEN, number: 2, outcome: "MISSED", missedOn: 3, missedPiece: "push jerk", jump: "+5" });
    const unseen = row({ number: 3, outcome: "UNKNOWN" });
    render(<Lifts rows={[row(SEEN), missed, unseen]} digits="WHOLE" onPlay={vi.fn()} />);
    const rows = screen
      .getAllByRole("row")
      .map((one) => [...one.querySelectorAll("td")].map((cell) => cell.textContent));
    expect(rows[2]?.slice(0, 8)).toEqual([
      "2 · 80 kg ",
      "80 %",
      "+5",
      "1:00",
      "20 s",
      "1:00",
      "1:00",
      "missed on rep 3, the push jerk",
    ]);
    expect(rows[3]?.slice(4, 8)).toEqual(["–", "–", "1:00", "not logged"]);
  });
});
