import { fireEvent, screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { beforeEach, describe, expect, it, type Mock, vi } from "vitest";
import { api, type RecordingView } from "../api/client";
import { queryClient } from "../api/queries";
import * as sending from "../log/upload";
import { renderInApp } from "../testing/app";
import { VideoPlayer } from "./VideoPlayer";

const FILM: RecordingView = {
  id: "f",
  kind: "VIDEO",
  label: "skiff.webm",
  mediaType: "video/webm",
  sizeBytes: 12,
  own: true,
};

describe("a video that does not play", () => {
  let upload: Mock;
  beforeEach(() => {
    queryClient.clear();
    vi.spyOn(globalThis, "fetch").mockImplementation(() => Promise.resolve(new Response(null, { status: 404 })));
    vi.spyOn(api, "GET").mockImplementation((() =>
      Promise.resolve({ data: { timesMs: [] }, response: new Response() })) as never);
    HTMLVideoElement.prototype.requestVideoFrameCallback = vi.fn();
    HTMLVideoElement.prototype.cancelVideoFrameCallback = vi.fn();
    upload = vi.spyOn(sending, "upload").mockResolvedValue(undefined);
    renderInApp(
      <Routes>
        <Route path="/attempts/:id/log" element={<VideoPlayer recording={FILM} ref={null} />} />
      </Routes>,
      "/attempts/a/log",
    );
    fireEvent.error(screen.getByLabelText("skiff.webm"));
  });
  it("is brought after under its own id, where it came without its file", async () => {
    const chooser = await screen.findByLabelText("File of skiff.webm");
    const file = new File(["twelve bytes"], "skiff.webm");
    fireEvent.change(chooser, { target: { files: [file] } });
    await vi.waitFor(() => expect(upload).toHaveBeenCalledOnce());
    expect(upload.mock.calls[0]?.[0]).toMatchObject({ attemptId: "a", recordingId: "f", file });
    // The picture is looked for again.
    expect(await screen.findByLabelText("skiff.webm")).toBeTruthy();
  });

  it("says why it could not be brought, and stays", async () => {
    upload.mockRejectedValue(new Error("gone"));
    fireEvent.change(await screen.findByLabelText("File of skiff.webm"), {
      target: { files: [new File(["x"], "skiff.webm")] },
    });
    expect(await screen.findByText(/Can’t reach Wake/)).toBeTruthy();
    expect(screen.getByText(/came without its file/)).toBeTruthy();
  });
});
