import { act, fireEvent, screen } from "@testing-library/react";
import { createRef } from "react";
import { beforeEach, expect, it, vi } from "vitest";
import { api, type RecordingView } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import * as missing from "./MissingVideo";
import type { Player } from "./player";
import { VideoPlayer } from "./VideoPlayer";

function Fake({ onHere }: { onHere: () => void }) {
  return <button onClick={onHere}>bring it</button>;
}

const LATE: RecordingView = {
  id: "r",
  kind: "VIDEO",
  label: "late.mp4",
  mediaType: "video/mp4",
  sizeBytes: 9,
  own: true,
};

let present: ((mediaTime: number) => void) | undefined;

beforeEach(() => {
  queryClient.clear();
  const media = HTMLVideoElement.prototype;
  Object.defineProperties(media, {
    duration: { configurable: true, get: () => 10 },
    paused: { configurable: true, get: () => false },
  });
  media.requestVideoFrameCallback = function (call) {
    present = (mediaTime) => {
      if (document.contains(this)) act(() => call(0, { mediaTime } as VideoFrameCallbackMetadata));
    };
    return 1;
  };
  media.cancelVideoFrameCallback = () => undefined;
  vi.spyOn(missing, "MissingVideo").mockImplementation(Fake);
  vi.spyOn(api, "GET").mockImplementation((() =>
    Promise.resolve({ data: { timesMs: [] }, response: new Response() })) as never);
  vi.spyOn(api, "PUT").mockImplementation((() => Promise.resolve({ data: LATE })) as never);
  vi.spyOn(globalThis, "fetch").mockResolvedValue(new Response(null, { status: 404 }));
});

it("tells the time of a video that was brought later", async () => {
  const ref = createRef<Player>();
  renderInApp(<VideoPlayer recording={LATE} ref={ref} />);
  fireEvent.error(screen.getByLabelText("late.mp4"));
  fireEvent.click(await screen.findByText("bring it"));
  expect(screen.getByLabelText("late.mp4")).toBeTruthy();
  present?.(4.2);
  expect(ref.current?.timeMs()).toBe(4200);
});
