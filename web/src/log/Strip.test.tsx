import { fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { Deck } from "../player/deck";
import { attempt, camera, log, mark, outbox, segment, split } from "../testing/sample";
import type { Op } from "../outbox/queue";
import { keys, queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import * as traces from "../traces/useTraces";
import { OthersMarks } from "./OthersMarks";
import { Strip } from "./Strip";
import { markBody } from "./useMarks";

beforeEach(() => {
  vi.spyOn(traces, "useTraces").mockReturnValue({ data: [] } as never);
});

const MARK = mark("m", { kind: "NO_REP", atMs: 30_000, clockMs: 25_000, text: "no depth" });
const CAMERA = camera({ durationMs: 65_000 });

const SENT: Op = { op: "put", id: "s", body: markBody({ kind: "REP", atMs: 35_000, recordingId: "camera" }) };

function strip(fields: Parameters<typeof log>[0] = {}) {
  const onChoose = vi.fn();
  const onSeek = vi.fn();
  const onMove = vi.fn();
  const { container } = renderInApp(
    <Strip
      waiting={outbox(SENT)}
      onMove={onMove}
      attempt={attempt({ log: log(fields) })}
      source={CAMERA}
      zoom={{ factor: 1, middleMs: 0, show: vi.fn(), closer: vi.fn(), wider: undefined }}
      deck={new Deck()}
      chosen={undefined}
      other={undefined}
      onChoose={onChoose}
      onSeek={onSeek}
    />,
  );
  return { container, onChoose, onSeek, onMove };
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

  it("lets a mark be chosen, and flags one that is missing or wrong", () => {
    const { onChoose } = strip({ marks: [{ ...MARK, rejected: "The athlete is resting." }] });
    const tick = screen.getByLabelText("no-rep at 0:25.0");
    expect(tick.title).toBe("The athlete is resting.");
    expect(tick.dataset.odd).toBe("true");
    fireEvent.click(tick);
    expect(onChoose).toHaveBeenCalledOnce();
  });

  it("draws thousands of marks as one, and takes the one nearest to the pointer", () => {
    // 65 s less 5 s to "go" on 1200 pixels: twenty a second.
    const marks = Array.from({ length: 2000 }, (_, index) => mark(`m${index}`, { clockMs: 30 * index }));
    const { container, onChoose, onSeek } = strip({ marks });
    expect(container.querySelectorAll("button[aria-pressed]")).toHaveLength(0);
    const row = rowOf(container);
    point("pointerdown", row, 200.4);
    point("pointerup", row, 200.4);
    // Ten seconds are mark 333 or 334; 200.4 pixels lie at 10.02 s, which is mark 334 itself.
    expect(onChoose.mock.calls[0]?.[0]).toMatchObject({ id: "m334" });
    expect(onSeek).not.toHaveBeenCalled();
  });

  it("moves a dragged mark to a whole frame, and seeks where there is none", () => {
    const { container, onMove, onChoose, onSeek } = strip({ marks: [MARK] });
    const row = rowOf(container);
    point("pointerdown", row, 500);
    point("pointermove", row, 501);
    point("pointermove", row, 520);
    point("pointerup", row, 520);
    expect(onChoose).not.toHaveBeenCalled();
    expect(onMove).toHaveBeenCalledWith(MARK, 26_000);
    point("pointerdown", row, 100);
    point("pointerup", row, 100);
    expect(onSeek).toHaveBeenCalledWith(5000);
  });

  it("shows a mark that is on its way to the server", () => {
    const { container } = strip();
    const waiting = container.querySelector("[data-waiting='1'] path");
    expect(waiting?.getAttribute("d")).toBe("M600.0 0v7");
  });
});

function rowOf(container: HTMLElement): HTMLElement {
  const row = container.querySelector<HTMLElement>("svg[aria-hidden]")?.parentElement;
  if (!row) throw new Error("no marks drawn");
  row.setPointerCapture = () => undefined;
  return row;
}

function point(type: string, row: HTMLElement, clientX: number) {
  fireEvent(row, new MouseEvent(type, { bubbles: true, clientX }));
}

describe("another athlete on the film", () => {
  it("has its marks drawn faintly, at the same moments of the film", async () => {
    const other = { recordingId: "camera", attemptId: "o", athlete: "Odo Sandbar", goMs: 6000 };
    queryClient.setQueryData(
      keys.attempt("o"),
      attempt({
        id: "o",
        recordings: [camera({ goMs: 6000 })],
        log: log({ marks: [mark("x", { kind: "REP", atMs: 16_000, clockMs: 10_000 })], segments: [] }),
      }),
    );
    const { container } = renderInApp(
      <svg>
        <OthersMarks other={other} goMs={5000} from={0} span={100_000} width={1000} />
      </svg>,
    );
    await waitFor(() => expect(screen.getByLabelText("Marks of Odo Sandbar on this video")).toBeTruthy());
    // Its clock of 10 s is the video's 16 s, and so 11 s of this attempt.
    expect(container.querySelector("path")?.getAttribute("d")).toBe("M110.0 4v4");
  });
});
