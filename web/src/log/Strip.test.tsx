import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { createRef } from "react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { MarkView } from "../api/client";
import type { Player } from "../player/player";
import { attempt, log, segment, split } from "../testing/sample";
import { Strip } from "./Strip";

afterEach(cleanup);

const MARK: MarkView = {
  id: "m",
  kind: "NO_REP",
  atMs: 30_000,
  clockMs: 25_000,
  reps: 0,
  depth: "SET",
  tag: "",
  text: "no depth",
  uncertaintyS: 0.1,
};

function strip(fields: Parameters<typeof log>[0] = {}) {
  const onChoose = vi.fn();
  const onSeek = vi.fn();
  const { container } = render(
    <Strip
      waiting={[]}
      onMove={vi.fn()}
      attempt={attempt({ log: log(fields) })}
      goMs={5000}
      durationMs={60_000}
      player={createRef<Player>()}
      chosen={undefined}
      onChoose={onChoose}
      onSeek={onSeek}
    />,
  );
  return { container, onChoose, onSeek };
}

describe("the strip", () => {
  it("says how much of the clock is logged", () => {
    strip();
    expect(screen.getByRole("img").getAttribute("aria-label")).toBe("Strip of the attempt: 0:21.0 logged");
  });

  it("draws each kind of time in its texture", () => {
    const pieces = [
      { kind: "work", fromMs: 0, toMs: 9000 },
      { kind: "rest", fromMs: 9000, toMs: 13_000 },
      { kind: "unseparated", fromMs: 13_000, toMs: 21_000 },
    ];
    const { container } = strip({ segments: [segment(0, { split: split({ pieces }) })] });
    const fills = [...container.querySelectorAll("rect")].map((rect) => rect.getAttribute("fill"));
    expect(fills).toContain("url(#texture-rest)");
    expect(fills).toContain("url(#texture-unseparated)");
  });

  it("lays fog where the view was blocked", () => {
    const { container } = strip({ blindSpans: [{ fromMs: 2000, toMs: 5000 }] });
    expect(container.querySelector("rect[fill='url(#texture-blind)']")).toBeTruthy();
  });

  it("lets a mark be chosen, and flags one that does not fit", () => {
    const { onChoose } = strip({ marks: [{ ...MARK, oddity: "The athlete is resting." }] });
    const tick = screen.getByLabelText("no-rep at 0:25.0");
    expect(tick.title).toBe("The athlete is resting.");
    expect(tick.dataset.odd).toBe("true");
    fireEvent.click(tick);
    expect(onChoose).toHaveBeenCalledOnce();
  });
});
