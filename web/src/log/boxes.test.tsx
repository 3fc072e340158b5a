import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { MarkView } from "../api/client";
import { looped } from "../player/player";
import { log } from "../testing/sample";
import { ClockBox } from "./ClockBox";
import { NoteBox } from "./NoteBox";
import { Lens, PictureSettings, PLAIN } from "./Picture";
import { Standards } from "./Standards";

const nothing = () => undefined;

const mark: MarkView = {
  id: "m",
  kind: "CUE",
  atMs: 30_000,
  clockMs: 25_000,
  reps: 0,
  depth: "SET",
  tag: "standard",
  text: "loads shown",
  uncertaintyS: 0.1,
};

describe("the box for a cue", () => {
  it("pins words, a phrase by its number, or effort in one press", () => {
    const onCue = vi.fn();
    render(<NoteBox phrases={["long stare"]} goodRep="Chest to floor." onCue={onCue} onPhrases={nothing} />);
    expect(screen.getByText("A good rep: Chest to floor.")).toBeTruthy();
    const words = screen.getByLabelText("What did you see?");
    fireEvent.keyDown(words, { key: "1", altKey: true });
    expect(onCue).toHaveBeenLastCalledWith("long stare", "");
    fireEvent.click(screen.getByRole("button", { name: "Effort 8" }));
    expect(onCue).toHaveBeenLastCalledWith("8", "effort");
    fireEvent.change(words, { target: { value: "hips shoot up" } });
    fireEvent.click(screen.getByRole("button", { name: "Add note" }));
    expect(onCue).toHaveBeenLastCalledWith("hips shoot up", "");
  });

  it("takes effort as a number only, and keeps phrases", () => {
    const onPhrases = vi.fn();
    const onCue = vi.fn();
    render(<NoteBox phrases={[]} goodRep={undefined} onCue={onCue} onPhrases={onPhrases} />);
    fireEvent.change(screen.getByLabelText("What did you see?"), { target: { value: "hard" } });
    fireEvent.click(screen.getByRole("button", { name: "Save as quick note" }));
    expect(onPhrases).toHaveBeenCalledWith(["hard"]);
    fireEvent.change(screen.getByRole("combobox"), { target: { value: "effort" } });
    expect(screen.getByText("Effort is a number from 0 to 10.")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Add note" }));
    expect(onCue).not.toHaveBeenCalled();
  });
});

describe("the box for the clock", () => {
  it("sets the clock by what the picture shows", () => {
    const onShows = vi.fn();
    render(<ClockBox match={undefined} onShows={onShows} onMatch={nothing} />);
    const shows = screen.getByLabelText(/Time on the gym clock/);
    fireEvent.change(shows, { target: { value: "soon" } });
    expect(screen.getByRole("button", { name: "Sync to it" })).toHaveProperty("disabled", true);
    fireEvent.change(shows, { target: { value: "3:07.5" } });
    fireEvent.click(screen.getByRole("button", { name: "Sync to it" }));
    expect(onShows).toHaveBeenCalledWith(187_500, 0.1);
  });

  it("matches a moment known from another camera", () => {
    const onMatch = vi.fn();
    render(<ClockBox match={{ ...mark, kind: "NO_REP" }} onShows={nothing} onMatch={onMatch} />);
    expect(screen.getByText(/the selected no-rep at 0:25.0/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "It happens here" }));
    expect(onMatch).toHaveBeenCalledOnce();
  });
});

describe("the standards check", () => {
  it("lists what was seen with its moment, and what was not yet", () => {
    const onSeen = vi.fn();
    const onSeek = vi.fn();
    render(<Standards log={log({ marks: [mark] })} onSeen={onSeen} onSeek={onSeek} />);
    expect(screen.getAllByText("not seen yet")).toHaveLength(3);
    fireEvent.click(screen.getByRole("button", { name: "▸ 0:25.0" }));
    expect(onSeek).toHaveBeenCalledWith(25_000);
    const [first] = screen.getAllByRole("button", { name: "Seen here" });
    if (first) fireEvent.click(first);
    expect(onSeen).toHaveBeenCalledWith("floor measurements shown");
  });
});

describe("the picture", () => {
  it("is lit and enlarged without touching the recording", () => {
    render(
      <Lens zoom={2} brightness={1.5} contrast={1}>
        <canvas aria-label="picture" />
      </Lens>,
    );
    const around = screen.getByLabelText("picture").parentElement;
    expect(around?.style.transform).toBe("translate(0%, 0%) scale(2)");
    expect(around?.style.filter).toBe("brightness(1.5) contrast(1)");
  });

  it("goes back to as it is", () => {
    const onLook = vi.fn();
    render(<PictureSettings look={{ ...PLAIN, zoom: 3 }} onLook={onLook} />);
    fireEvent.click(screen.getByRole("button", { name: "Picture" }));
    expect(screen.getByText("Zoom 3.0×")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Reset" }));
    expect(onLook).toHaveBeenCalledWith(PLAIN);
  });
});

describe("a loop", () => {
  it("goes back to its start from its end, and from before it", () => {
    const stretch = { fromMs: 5000, toMs: 9000 };
    expect(looped(6000, stretch)).toBeUndefined();
    expect(looped(9000, stretch)).toBe(5000);
    expect(looped(1000, stretch)).toBe(5000);
    expect(looped(9000, undefined)).toBeUndefined();
  });
});
