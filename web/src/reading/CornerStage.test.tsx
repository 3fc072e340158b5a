import { act, fireEvent, render, screen } from "@testing-library/react";
import { type Ref, useImperativeHandle } from "react";
import { MemoryRouter } from "react-router";
import { beforeEach, describe, expect, it, vi } from "vitest";
import * as players from "../player/RecordingPlayer";
import type { Player } from "../player/player";
import { Followers } from "../ui/followers";
import { attempt, camera } from "../testing/sample";
import { type Clip, CornerStage } from "./CornerStage";

const CAMERA = camera({ kind: "VIDEO" });
const CLIP: Clip = { fromMs: 20_000, toMs: 22_000, label: "the long pause", at: 1 };

/** A player that stands where it is told to, and says so. */
const state = { atMs: 0, paused: true, durationMs: 60_000 };
const followers = new Followers();
const player = {
  timeMs: () => state.atMs,
  durationMs: () => state.durationMs,
  frameMs: () => 40,
  paused: () => state.paused,
  play: () => (state.paused = false),
  pause: () => (state.paused = true),
  seek: (ms: number) => (state.atMs = ms),
  follow: followers.add,
} as unknown as Player;

function Fake({ ref }: { ref?: Ref<Player> }) {
  useImperativeHandle(ref, () => player, []);
  return <div>picture</div>;
}

const play = (toMs: number) =>
  act(() => {
    state.atMs = toMs;
    followers.tell();
  });

describe("the moment in the corner", () => {
  const onEnd = vi.fn();
  const onClose = vi.fn();
  beforeEach(() => {
    Object.assign(state, { atMs: 0, paused: true, durationMs: 60_000 });
    onEnd.mockReset();
    vi.spyOn(players, "RecordingPlayer").mockImplementation(Fake);
  });
  const open = (clip = CLIP, recordings = [CAMERA]) => {
    const stage = (shown: Clip) => (
      <MemoryRouter>
        <CornerStage attempt={attempt({ recordings })} clip={shown} place="2 of 5" onClose={onClose} onEnd={onEnd} />
      </MemoryRouter>
    );
    const { rerender } = render(stage(clip));
    return (other: Clip) => rerender(stage(other));
  };

  it("plays from a little before to a little after, and stops", () => {
    open();
    expect(state).toMatchObject({ atMs: 24_200, paused: false });
    play(27_000);
    expect(onEnd).not.toHaveBeenCalled();
    play(27_900);
    expect(onEnd).toHaveBeenCalledOnce();
    expect(state.paused).toBe(true);
    play(28_000);
    expect(onEnd).toHaveBeenCalledOnce();
  });

  it("goes on to the next moment when it is given one", () => {
    const show = open();
    play(27_900);
    show({ ...CLIP, fromMs: 40_000, toMs: 41_000, at: 2 });
    expect(state).toMatchObject({ atMs: 44_200, paused: false });
  });

  it("ends with the recording when the moment lies at its end", () => {
    state.durationMs = 26_500;
    open();
    play(26_470);
    expect(onEnd).toHaveBeenCalledOnce();
  });

  it("says where it is and leads into the log", () => {
    open();
    expect(screen.getByText(/2 of 5 · the long pause · 0:20.0/)).toBeTruthy();
    expect(screen.getByRole("link", { name: "In the log" }).getAttribute("href")).toBe("/attempts/a/log?at=20000");
    fireEvent.click(screen.getByRole("button", { name: "Close (Esc)" }));
    expect(onClose).toHaveBeenCalledOnce();
  });

  it("says so when nobody filmed the attempt", () => {
    open(CLIP, []);
    expect(screen.getByText(/No video for this attempt/)).toBeTruthy();
  });
});
