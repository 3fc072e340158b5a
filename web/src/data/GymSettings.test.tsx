import { fireEvent, screen } from "@testing-library/react";
import { beforeEach, describe, expect, it, type Mock, vi } from "vitest";
import { api, type GymView, problem } from "../api/client";
import { queryClient } from "../api/queries";
import { renderInApp } from "../testing/app";
import { GymSettings } from "./GymSettings";

const GYM: GymView = {
  bar: "20 kg",
  plates: "20x2 10x1",
  credits: [{ evidence: "SHOWN", words: "shown", percent: 75, usualPercent: 75 }],
  racks: [
    { unit: "kg", bar: "20 kg", plates: "25x2" },
    { unit: "lb", bar: "45 lb", plates: "45x3" },
  ],
};

describe("the gym's choices", () => {
  let put: Mock;
  beforeEach(() => {
    queryClient.clear();
    vi.spyOn(api, "GET").mockImplementation(((path: string) =>
      Promise.resolve({
        data: path.endsWith("/gym") ? GYM : { keys: {}, phrases: ["breathe"] },
        response: new Response(),
      })) as never);
    put = vi
      .spyOn(api, "PUT")
      .mockImplementation(((_: string, { body }: { body: object }) =>
        Promise.resolve({ data: { ...GYM, ...body }, response: new Response() })) as never);
  });
  it("takes the usual set in the other unit, and a credit in percent", async () => {
    renderInApp(<GymSettings />);
    fireEvent.click(await screen.findByRole("button", { name: "Standard lb set" }));
    fireEvent.change(screen.getByLabelText("shown"), { target: { value: "60 %" } });
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await vi.waitFor(() => expect(put).toHaveBeenCalledOnce());
    expect(put.mock.calls[0]?.[1]).toEqual({ body: { bar: "45 lb", plates: "45x3", creditPercents: { SHOWN: 60 } } });
  });

  it("keeps what was typed when it is missing or wrong, and says why", async () => {
    put.mockImplementation((() => Promise.reject(problem(422, { detail: 'Expected plates as "20x2"' }))) as never);
    renderInApp(<GymSettings />);
    const plates = await screen.findByLabelText<HTMLInputElement>("Plates (pairs)");
    fireEvent.change(plates, { target: { value: "many" } });
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    expect(await screen.findByText(/Expected plates/)).toBeTruthy();
    expect(plates.value).toBe("many");
  });

  it("keeps phrases, a line each", async () => {
    renderInApp(<GymSettings />);
    const box = await screen.findByDisplayValue("breathe");
    fireEvent.change(box, { target: { value: "breathe\n\n elbows up " } });
    fireEvent.click(screen.getByRole("button", { name: "Save quick notes" }));
    await vi.waitFor(() => expect(put).toHaveBeenCalledOnce());
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { phrases: ["breathe", "elbows up"] } });
  });
});
