import { fireEvent, screen } from "@testing-library/react";
import { beforeEach, describe, expect, it, type Mock, vi } from "vitest";
import { api, type CardView } from "../api/client";
import { queryClient } from "../api/queries";
import * as page from "../attempt/AttemptPage";
import * as png from "../files/png";
import { renderInApp } from "../testing/app";
import { CardStep } from "./CardStep";

const CARD: CardView = {
  sentence: "Well paced.",
  html: "<!doctype html><p>The card</p>",
  moments: [{ caption: "Rests cost 12 s", fromMs: 3000 }],
};

describe("the card", () => {
  let put: Mock;
  let sent: Mock;
  let saved: Mock;
  beforeEach(() => {
    queryClient.clear();
    localStorage.clear();
    vi.spyOn(page, "useOpenAttempt").mockReturnValue({
      id: "a",
      athlete: "Ina",
      title: "Sluice",
      doneOn: "2026-11-20",
      recordings: [],
    } as never);
    vi.spyOn(api, "GET").mockImplementation((() => Promise.resolve({ data: CARD, response: new Response() })) as never);
    put = vi
      .spyOn(api, "PUT")
      .mockImplementation(((_: string, { body }: { body: { sentence: string } }) =>
        Promise.resolve({ data: { ...CARD, ...body }, response: new Response() })) as never);
    sent = vi.spyOn(globalThis, "fetch").mockResolvedValue(new Response("<p>file</p>"));
    saved = vi.spyOn(png, "saveBlob").mockReturnValue(undefined);
  });
  const words = () => screen.findByLabelText<HTMLTextAreaElement>("Your own words, on top");

  it("keeps what was typed before the file is taken, and names it by who, what and when", async () => {
    renderInApp(<CardStep />);
    fireEvent.change(await words(), { target: { value: "Straight to the bar." } });
    fireEvent.click(screen.getByRole("button", { name: "Download card (HTML)" }));
    await vi.waitFor(() => expect(saved).toHaveBeenCalledOnce());
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { sentence: "Straight to the bar." } });
    expect(sent.mock.calls[0]?.[0]).toBe("/api/attempts/a/card/file");
    expect(saved.mock.calls[0]?.[1]).toBe("Ina, Sluice, 2026-11-20.html");
  });

  it("can be emptied again", async () => {
    renderInApp(<CardStep />);
    fireEvent.change(await words(), { target: { value: "" } });
    fireEvent.click(screen.getByRole("button", { name: "Update card" }));
    await vi.waitFor(() => expect(put).toHaveBeenCalledOnce());
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { sentence: "" } });
    await vi.waitFor(async () => expect((await words()).value).toBe(""));
  });

  it("says why the file cannot be made", async () => {
    sent.mockResolvedValue(
      new Response(JSON.stringify({ detail: "The log ends before the attempt does." }), { status: 422 }),
    );
    renderInApp(<CardStep />);
    await words();
    fireEvent.click(screen.getByRole("button", { name: "Download card (HTML)" }));
    expect(await screen.findByText("The log ends before the attempt does.")).toBeTruthy();
    expect(saved).not.toHaveBeenCalled();
  });
});
