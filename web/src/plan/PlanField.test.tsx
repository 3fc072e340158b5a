import { act, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { ApiProblem } from "../api/client";
import { PlanField } from "./PlanField";

const box = () => screen.getByRole<HTMLInputElement>("textbox");

function type(text: string) {
  fireEvent.change(box(), { target: { value: text } });
  fireEvent.keyDown(box(), { key: "Enter" });
}

describe("a box of the plan", () => {
  it("shows what is in force once it is answered, also after an undo", async () => {
    const keep = () => Promise.resolve();
    const { rerender } = render(<PlanField label="Rest" value="5" onKeep={keep} />);
    type("7");
    expect(box().value).toBe("7");
    await act(() => Promise.resolve());
    rerender(<PlanField label="Rest" value="7" onKeep={keep} />);
    expect(box().value).toBe("7");
    rerender(<PlanField label="Rest" value="5" onKeep={keep} />);
    expect(box().value).toBe("5");
  });

  it("keeps a refused text, marked, until it is mended", async () => {
    const keep = (text: string) =>
      text === "9-x" ? Promise.reject(new ApiProblem(422, "“9-x” is no list of rests.", "lines/0")) : Promise.resolve();
    render(<PlanField label="Rest" value="5" onKeep={keep} />);
    type("9-x");
    await waitFor(() => expect(box().getAttribute("aria-invalid")).toBe("true"));
    expect(box().value).toBe("9-x");
    expect(box().title).toContain("no list of rests");
    type("9-8");
    await waitFor(() => expect(box().getAttribute("aria-invalid")).toBe("false"));
    expect(box().title).toBe("");
  });

  it("is not settled by the answer to what was typed before", async () => {
    const answers: (() => void)[] = [];
    render(<PlanField label="Rest" value="5" onKeep={() => new Promise<void>((done) => answers.push(done))} />);
    type("6");
    type("7");
    await act(async () => {
      answers[0]?.();
      await Promise.resolve();
    });
    expect(box().value).toBe("7");
  });
});
