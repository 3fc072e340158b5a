import { act, fireEvent, screen } from "@testing-library/react";
import { createRef } from "react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api, type RecordingView } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import type { Player } from "./player";
import { VideoPlayer } from "./VideoPlayer";

const PHONE: RecordingView = {
  id: "r",
  kind: "VIDEO",
  label: "phone.mp4",
  mediaType: "video/mp4",
  sizeBytes: 9,
  own: true,
};
const TIMES = [0, 40, 120, 160, 240];

/** jsdom has no video: what the browser would present is presented by hand. */
let present: (mediaTime: number) => void;
let paused: boolean;

describe("a video file", () => {
  beforeEach(() => {
    queryClient.clear();
    paused = true;
    const media = HTMLVideoElement.prototype;
    Object.defineProperties(media, {
      duration: { configurable: true, get: () => 0.28 },
      paused: { configurable: true, get: () => paused },
    });
    media.requestVideoFrameCallback = (call) => {
      present = (mediaTime) => act(() => call(0, { mediaTime } as VideoFrameCallbackMetadata));
      return 1;
    };
    media.cancelVideoFrameCallback = () => undefined;
    vi.spyOn(media, "pause").mockImplementation(() => {
      paused = true;
    });
    vi.spyOn(media, "play").mockImplementation(() => {
      paused = false;
      return Promise.resolve();
    });
    vi.spyOn(api, "PUT").mockImplementation((() => Promise.resolve({ data: PHONE })) as never);
  });
  const open = async (timesMs = TIMES) => {
    vi.spyOn(api, "GET").mockImplementation((() =>
      Promise.resolve({ data: { timesMs }, response: new Response() })) as never);
    const ref = createRef<Player>();
    renderInApp(<VideoPlayer recording={PHONE} ref={ref} />);
    await act(() => vi.waitFor(() => expect(queryClient.getQueryData(["frames", "r"])).toBeTruthy()));
    // The answer is drawn in the turn after it has come.
    await act(() => new Promise((resolve) => setTimeout(resolve, 5)));
    if (!ref.current) throw new Error("no player");
    return ref.current;
  };
  const video = () => screen.getByLabelText<HTMLVideoElement>("phone.mp4");

  it("is stepped at its own times, looking into the middle of each frame", async () => {
    const player = await open();
    player.step(1);
    expect(player.timeMs()).toBe(40);
    expect(video().currentTime).toBeCloseTo(0.08);
    player.step(1);
    expect(player.timeMs()).toBe(120);
    player.step(-2);
    expect(player.timeMs()).toBe(0);
    expect(player.frameMs()).toBe(40);
  });

  it("counts the frame a seek lands in, whatever comes in late", async () => {
    const player = await open();
    player.seek(150);
    expect(player.timeMs()).toBe(120);
    present(0.04);
    expect(player.timeMs()).toBe(120);
    player.seek(9000);
    expect(player.timeMs()).toBe(240);
  });

  it("counts the frame presented while it plays", async () => {
    const player = await open();
    player.seek(120);
    player.play();
    present(0.16);
    expect(player.timeMs()).toBe(160);
  });

  it("goes back to the start of its loop", async () => {
    const player = await open();
    player.loop({ fromMs: 40, toMs: 160 });
    player.play();
    present(0.16);
    expect(video().currentTime).toBeCloseTo(0.04);
    expect(player.looping()).toBe(true);
  });

  it("tells whoever follows of steps, frames and changes of speed", async () => {
    const player = await open();
    const heard = vi.fn();
    const unfollow = player.follow(heard);
    player.step(1);
    expect(heard).toHaveBeenCalledTimes(1);
    present(0.04);
    expect(heard).toHaveBeenCalledTimes(2);
    fireEvent(video(), new Event("ratechange"));
    expect(heard).toHaveBeenCalledTimes(3);
    unfollow();
    present(0.12);
    expect(heard).toHaveBeenCalledTimes(3);
  });

  it("learns the rate while it plays where the file's times are not known", async () => {
    const player = await open([]);
    player.play();
    present(0.02);
    present(0.04);
    paused = true;
    player.step(1);
    expect(player.timeMs()).toBeCloseTo(60);
  });

  it("says how long it is once that is known, and that it cannot be played", async () => {
    await open();
    fireEvent(video(), new Event("loadedmetadata"));
    expect(api.PUT).toHaveBeenCalledWith(
      "/api/recordings/{id}/duration",
      expect.objectContaining({ body: { durationMs: 280 } }),
    );
    fireEvent.error(video());
    expect(screen.getByText(/cannot play phone.mp4/)).toBeTruthy();
  });
});
