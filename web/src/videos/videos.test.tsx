import { fireEvent, screen } from "@testing-library/react";
import { beforeEach, describe, expect, it, type Mock, vi } from "vitest";
import { api, type VideoNameView } from "../api/client";
import { queryClient } from "../api/queries";
import * as sending from "../log/upload";
import { renderInApp } from "../testing/app";
import { VideosPage } from "./VideosPage";

const video = (name: string, more: Partial<VideoNameView>): VideoNameView => ({
  name,
  divisions: [],
  here: false,
  problem: "",
  athleteId: "i",
  workoutId: "w",
  doneOn: "2026-10-03",
  ...more,
});

describe("a folder of films", () => {
  let told: VideoNameView[];
  let put: Mock;
  let upload: Mock;
  beforeEach(() => {
    queryClient.clear();
    vi.spyOn(api, "GET").mockImplementation((() => Promise.resolve({ data: [], response: new Response() })) as never);
    vi.spyOn(api, "POST").mockImplementation((() =>
      Promise.resolve({ data: told, response: new Response() })) as never);
    put = vi
      .spyOn(api, "PUT")
      .mockImplementation((() => Promise.resolve({ data: {}, response: new Response() })) as never);
    upload = vi.spyOn(sending, "upload").mockResolvedValue(undefined);
  });
  const choose = (...names: string[]) => {
    renderInApp(<VideosPage />);
    fireEvent.change(screen.getByLabelText("Videos"), {
      target: { files: names.map((name) => new File(["x"], name)) },
    });
  };

  it("makes an attempt for a new video, joins the one there is, and leaves what is here", async () => {
    told = [
      video("new.mp4", {}),
      video("joins.mp4", { attemptId: "old" }),
      video("here.mp4", { attemptId: "old", here: true }),
      video("unclear.mp4", { problem: "no day." }),
    ];
    choose("new.mp4", "joins.mp4", "here.mp4", "unclear.mp4", "notes.txt");
    fireEvent.click(await screen.findByRole("button", { name: "Import 2 videos" }));
    await vi.waitFor(() => expect(upload).toHaveBeenCalledTimes(2));
    expect(put).toHaveBeenCalledOnce();
    expect(upload.mock.calls[1]?.[0]).toMatchObject({ attemptId: "old" });
    expect(screen.getByText("no day.")).toBeTruthy();
    expect(screen.getByText("1 other file skipped.")).toBeTruthy();
  });

  it("goes on with the rest when one cannot be brought in", async () => {
    upload.mockRejectedValueOnce(new Error("gone"));
    told = [video("one.mp4", {}), video("two.mp4", {})];
    choose("one.mp4", "two.mp4");
    fireEvent.click(await screen.findByRole("button", { name: "Import 2 videos" }));
    await vi.waitFor(() => expect(upload).toHaveBeenCalledTimes(2));
    expect(await screen.findByText(/Can’t reach Wake/)).toBeTruthy();
    expect(await screen.findByRole("button", { name: "Import 1 video" })).toBeTruthy();
  });

  it("says when there is no video among the files", async () => {
    told = [];
    choose("notes.txt");
    expect(await screen.findByText("No video among them.")).toBeTruthy();
  });
});
