import { act, fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { AttemptView, RecordingView } from "../api/client";
import { Deck } from "../player/deck";
import type { Player, Stretch } from "../player/player";
import { attempt, camera, log, mark, outbox } from "../testing/sample";
import type { Op } from "../outbox/queue";
import { useLogKeys } from "./useLogKeys";
import type { Marks } from "./useMarks";

const CAMERA = camera();

/** A player that stands at a time until it is told otherwise. */
function still(atMs: number) {
  const state = { atMs, paused: true, rate: 1, loop: undefined as Stretch | undefined };
  const player: Player = {
    timeMs: () => state.atMs,
    nowMs: () => state.atMs,
    ready: () => true,
    mute: () => undefined,
    durationMs: () => 100_000,
    frameMs: () => 1000 / 30,
    paused: () => state.paused,
    play: () => (state.paused = false),
    pause: () => (state.paused = true),
    seek: (ms) => (state.atMs = ms),
    step: (frames) => (state.atMs += frames * (1000 / 30)),
    rate: () => state.rate,
    setRate: (rate) => (state.rate = rate),
    loop: (stretch) => (state.loop = stretch),
    looping: () => state.loop !== undefined,
    follow: () => () => undefined,
  };
  return { player, state };
}

interface Setup {
  view?: AttemptView;
  recording?: RecordingView;
  touched?: boolean;
}

function desk({ view = attempt(), recording = CAMERA, touched = true }: Setup = {}) {
  const onRead = vi.fn();
  const zoom = { factor: 1, middleMs: 0, show: vi.fn(), closer: vi.fn(), wider: undefined };
  const { player, state } = still(26_000);
  const sent: Op[] = [];
  const marks: Marks = {
    waiting: outbox(),
    trouble: undefined,
    refusal: undefined,
    say: () => undefined,
    send: (op) => sent.push(op),
    lastDone: () => view.log.undoOf,
    log: () => view.log,
    isOwn: () => true,
    isTouched: () => touched,
  };
  const deck = new Deck();
  deck.attach(player);
  function Desk() {
    const keys = useLogKeys({
      attempt: view,
      marks,
      source: recording,
      deck,
      zoom,
      startAtMs: undefined,
      keys: {},
      onRead,
      onOther: () => false,
    });
    return (
      <>
        <output>{keys.notice ?? ""}</output>
        <p>{keys.box === "cue" ? `cue at ${keys.boxMs}` : ""}</p>
        <p>{keys.box === "lift" ? `lift at ${keys.boxMs}` : ""}</p>
        <input aria-label="elsewhere" />
      </>
    );
  }
  const { unmount: leave } = render(<Desk />);
  const press = (key: string, held: KeyboardEventInit = {}) =>
    act(() => void fireEvent.keyDown(document.body, { key, ...held }));
  return { sent, press, leave, state, zoom, onRead, notice: () => screen.getByRole("status").textContent };
}

const bodies = (sent: Op[]) => sent.flatMap((op) => (op.op === "put" ? [op.body] : []));

describe("keys in the log step", () => {
  it("mark the moment on screen, stepped when paused", () => {
    const { sent, press } = desk();
    press("f");
    expect(bodies(sent)[0]).toMatchObject({ kind: "REP", atMs: 26_000, recordingId: "camera", made: "STEPPED" });
  });

  it("begin a lift with the load planned, and put the bar down, in a lift window", () => {
    const view = attempt({ log: log({ liftWindow: true, nextLift: "60 kg, 1 clean", segments: [] }) });
    const { sent, press } = desk({ view });
    press("a");
    press("e");
    press("s");
    expect(bodies(sent)).toMatchObject([
      { kind: "LIFT", atMs: 26_000, text: "60 kg, 1 clean", tag: "open", reps: 0 },
      { kind: "MISS" },
      { kind: "OFF" },
    ]);
  });

  it("ask for the load where none is planned and none was lifted yet", () => {
    const view = attempt({ log: log({ liftWindow: true, segments: [] }) });
    const { sent, press } = desk({ view });
    press("a");
    expect(sent).toEqual([]);
    expect(screen.getByText("lift at 26000")).toBeTruthy();
  });

  it("say that nobody else is on the film", () => {
    const { press, notice } = desk();
    press("o");
    expect(notice()).toContain("Nobody else is on this video");
  });

  it("carry the speed when tapped while playing", () => {
    const { sent, press, state } = desk();
    press(" ");
    state.rate = 2;
    press("f");
    expect(bodies(sent)[0]).toMatchObject({ made: "TAPPED", step: 2 });
  });

  it("mark when the key was pressed, not when a busy browser came to it", () => {
    const { sent, press, state } = desk();
    press(" ");
    state.rate = 2;
    const event = new KeyboardEvent("keydown", { key: "f", bubbles: true });
    Object.defineProperty(event, "timeStamp", { value: performance.now() - 300 });
    act(() => void document.body.dispatchEvent(event));
    // Three tenths of a second at twice the speed.
    expect(bodies(sent)[0]?.atMs).toBeGreaterThan(25_300);
    expect(bodies(sent)[0]?.atMs).toBeLessThanOrEqual(25_400);
  });

  it("take no account of a key said to come from another day", () => {
    const { sent, press } = desk();
    press(" ");
    const event = new KeyboardEvent("keydown", { key: "f", bubbles: true });
    Object.defineProperty(event, "timeStamp", { value: performance.now() - 86_400_000 });
    act(() => void document.body.dispatchEvent(event));
    expect(bodies(sent)[0]?.atMs).toBe(26_000);
  });

  it("ask for go first, and take it by G", () => {
    const { goMs, ...noGo } = CAMERA;
    const { sent, press, notice } = desk({ recording: noGo });
    press("f");
    expect(sent).toEqual([]);
    expect(notice()).toContain("Press G at 3-2-1-go");
    press("g");
    expect(sent[0]).toMatchObject({ op: "go", id: "camera", body: { atMs: 26_000 } });
    expect(goMs).toBe(5000);
  });

  it("refuse what makes no sense, with the reason, and send nothing", () => {
    const now = log({
      keys: [{ kind: "BEGIN", meaning: "movement starts", refusal: "The 6 burpee have begun already." }],
    });
    const { sent, press, notice } = desk({ view: attempt({ log: now }) });
    press("a");
    expect(sent).toEqual([]);
    expect(notice()).toContain("begun already");
  });

  it("break and return with the same key, and count the set in digits", () => {
    const { sent, press, notice } = desk({ view: attempt({ log: log({ phase: "WORKING" }) }) });
    press("s");
    press("1");
    press("2");
    const [off, one, twelve] = bodies(sent);
    expect(off).toMatchObject({ kind: "OFF", reps: 0 });
    expect(one).toMatchObject({ kind: "OFF", reps: 1, atMs: off?.atMs });
    expect(twelve).toMatchObject({ kind: "OFF", reps: 12 });
    expect(new Set(sent.map((op) => op.id)).size).toBe(1);
    expect(notice()).toBe("Set of 12.");
  });

  it("send the return while resting", () => {
    const { sent, press } = desk({ view: attempt({ log: log({ phase: "RESTING", keys: [] }) }) });
    press("s");
    expect(bodies(sent)[0]).toMatchObject({ kind: "ON" });
  });

  it("send the count at a stop with the next key, whatever it is, and when the step is left", () => {
    const { sent, press, leave } = desk();
    press("x");
    press("1");
    press("7");
    expect(bodies(sent)).toHaveLength(1);
    press("ArrowLeft");
    expect(bodies(sent)[1]).toMatchObject({ kind: "STOP", reps: 17 });
    press("9");
    leave();
    expect(bodies(sent)[2]).toMatchObject({ kind: "STOP", reps: 179 });
    expect(bodies(sent)).toHaveLength(3);
  });

  it("name what an undo is meant for", () => {
    const view = attempt({ log: log({ undo: "rep at 0:12.0", undoOf: "the-rep" }) });
    const { sent, press } = desk({ view });
    press("z");
    expect(sent.at(-1)).toMatchObject({ op: "undo", of: "the-rep" });
  });

  it("take a digit outside a break for a slip", () => {
    const { sent, press, notice } = desk();
    press("4");
    expect(sent).toEqual([]);
    expect(notice()).toContain("press S (break) or X (time) first");
  });

  it("move the player by second, frame and speed", () => {
    const { press, state } = desk();
    press("ArrowRight");
    expect(state.atMs).toBe(27_000);
    press("ArrowLeft", { shiftKey: true });
    expect(state.atMs).toBeCloseTo(27_000 - 1000 / 30);
    press("ArrowUp");
    expect(state.rate).toBe(1.5);
    press("Enter");
    expect(state.atMs).toBe(26_000);
  });

  it("mark ends only when watching for ends only", () => {
    const { sent, press, notice } = desk();
    press("v");
    expect(notice()).toContain("movements only");
    press("d");
    expect(bodies(sent)[0]).toMatchObject({ kind: "DONE", depth: "SEGMENT" });
  });

  it("pin a cue to the moment it was opened at", () => {
    const { press, state } = desk();
    press("c");
    state.atMs = 40_000;
    expect(screen.getByText("cue at 26000")).toBeTruthy();
  });

  it("keep out of text fields, and ignore a key held down", () => {
    const { sent, press } = desk();
    act(() => void fireEvent.keyDown(screen.getByLabelText("elsewhere"), { key: "f" }));
    press("f", { repeat: true });
    expect(sent).toEqual([]);
  });

  it("undo by Z and redo by Y, or say that there is nothing", () => {
    const { press, sent, notice } = desk({ view: attempt({ log: log({ undo: "rep at 0:21.0" }) }) });
    press("z");
    expect(sent[0]).toMatchObject({ op: "undo" });
    press("y");
    expect(sent).toHaveLength(1);
    expect(notice()).toBe("Nothing to redo.");
  });

  it("insert between marks made already, without the legend's refusal", () => {
    const now = log({
      clockMs: 40_000,
      keys: [{ kind: "REP", meaning: "rep", refusal: "The attempt is finished." }],
    });
    const { press, sent } = desk({ view: attempt({ log: now }) });
    press("f");
    expect(bodies(sent)[0]).toMatchObject({ kind: "REP", atMs: 26_000 });
  });

  it("walk marks and movements, and correct the chosen mark from what it was", () => {
    const marks = [7000, 12_000].map((clockMs, index) =>
      mark(`m${index}`, { recordingId: "camera", atMs: clockMs + 5000, clockMs, kind: index === 0 ? "REP" : "OFF" }),
    );
    const { press, sent, notice } = desk({ view: attempt({ log: log({ marks }) }) });
    press("j");
    expect(notice()).toContain("Select a break");
    press(",");
    press("j");
    expect(sent).toEqual([{ op: "join", id: "m1" }]);
    press(",");
    press(",");
    press("j");
    expect(sent).toHaveLength(1);
  });

  it("loop over the movement on screen, and stop", () => {
    const { press, state, notice } = desk();
    state.atMs = 15_000;
    press("b");
    expect(state.loop).toEqual({ fromMs: 5000, toMs: 26_000 });
    expect(notice()).toContain("Looping 6 burpee");
    press("b");
    expect(state.loop).toBeUndefined();
  });

  it("say what Z would take back that was not done here, before it does", () => {
    const view = attempt({ log: log({ undo: "a sheet of 313 marks" }) });
    const { press, sent, notice } = desk({ view, touched: false });
    press("z");
    expect(sent).toEqual([]);
    expect(notice()).toBe("Press Z again to undo: a sheet of 313 marks.");
    press("z");
    expect(sent).toMatchObject([{ op: "undo" }]);
  });

  it("lead to the reading once all is logged", () => {
    const { press, onRead, state } = desk({ view: attempt({ log: log({ phase: "FINISHED" }) }) });
    press("Enter");
    expect(onRead).toHaveBeenCalledOnce();
    expect(state.atMs).toBe(26_000);
  });

  it("bring the strip closer, and say when it is as wide as it gets", () => {
    const { press, zoom, notice } = desk();
    press("+");
    expect(zoom.closer).toHaveBeenCalledOnce();
    press("-");
    expect(notice()).toBe("Can’t zoom out further.");
  });
});
