import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { LineJson, LineView, PacingJson, PlanView } from "../api/client";
import { ByRound } from "./ByRound";
import { Checks } from "./Checks";
import { PlanField } from "./PlanField";
import { paceWritten, restsWritten } from "./written";
import { StrategyChart } from "./StrategyChart";
import type { PlanEdits } from "./usePlanEdits";

const pacing: PacingJson = { transitionMs: 3000, sets: "5s", secondsPerUnit: 2, restMs: 5000 };

describe("rests", () => {
  it("stand in seconds, in order where they differ", () => {
    expect(restsWritten(pacing)).toBe("5.0");
    expect(restsWritten({ ...pacing, rests: "5" })).toBe("5.0");
    expect(restsWritten({ ...pacing, rests: "5-20-8" })).toBe("5-20-8");
  });
});

describe("paces", () => {
  it("say where they change inside the piece", () => {
    expect(paceWritten({ ...pacing, secondsPerUnit: 2.456 })).toBe("2.46");
    const effort = [
      { from: 0, secondsPerUnit: 2.4 },
      { from: 15, secondsPerUnit: 3 },
    ];
    expect(paceWritten({ ...pacing, effort })).toBe("2.40, 3.00 from 15");
  });

  it("are written whole, with thousands", () => {
    const about = { movement: "row", rounds: [{ round: 1, label: "round 1", sets: "unbroken", pace: "1,220 cal/h" }] };
    const line = { lineIndex: 0, every: pacing, rounds: {} };
    render(<ByRound line={line as unknown as LineJson} about={about as unknown as LineView} edits={{} as PlanEdits} />);
    expect(screen.getByText("1,220 cal/h")).toBeTruthy();
  });
});

describe("a field of the plan", () => {
  it("keeps on Enter, takes back on Escape, refuses what is no number", () => {
    const keep = vi.fn();
    render(<PlanField label="Rest" value="5.0" isNumber onKeep={keep} />);
    const field = screen.getByLabelText("Rest");
    fireEvent.change(field, { target: { value: "soon" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(keep).not.toHaveBeenCalled();
    expect(field.getAttribute("aria-invalid")).toBe("true");
    fireEvent.keyDown(field, { key: "Escape" });
    expect(field).toHaveProperty("value", "5.0");
    fireEvent.change(field, { target: { value: "4" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(keep).toHaveBeenCalledExactlyOnceWith("4");
  });

  it("goes down its column", () => {
    render(
      <table>
        <tbody>
          {["one", "two"].map((name) => (
            <tr key={name}>
              <td>
                <PlanField label={name} value="1" column="rest" onKeep={() => undefined} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>,
    );
    screen.getByLabelText("one").focus();
    fireEvent.keyDown(screen.getByLabelText("one"), { key: "ArrowDown" });
    expect(document.activeElement).toBe(screen.getByLabelText("two"));
  });
});

const rounds = (...ms: number[]) =>
  ms.map((one, index) => ({
    label: `round ${index + 1}`,
    block: "",
    round: true,
    ms: one,
    endMs: ms.slice(0, index + 1).reduce((sum, each) => sum + each, 0),
  }));

describe("the start schools", () => {
  it("are drawn together, told to who cannot see, and chosen from", () => {
    const choose = vi.fn();
    render(
      <StrategyChart
        onChoose={choose}
        strategies={[
          { strategy: "EVEN", words: "same", chosen: true, score: "2:00.0", rounds: rounds(60_000, 60_000) },
          { strategy: "BANK", words: "fast", chosen: false, score: "2:00.0", rounds: rounds(58_000, 62_000) },
        ]}
      />,
    );
    expect(screen.getByRole("img", { name: /Positive split: 58.0 s, 1:02/ })).toBeTruthy();
    fireEvent.click(screen.getByRole("radio", { name: /Positive split/ }));
    expect(choose).toHaveBeenCalledWith("BANK");
  });

  it("are not drawn over movements that are done once", () => {
    const once = rounds(60_000, 60_000).map((one) => ({ ...one, round: false }));
    const { container } = render(
      <StrategyChart
        onChoose={() => undefined}
        strategies={[{ strategy: "EVEN", words: "same", chosen: true, score: "2:00.0", rounds: once }]}
      />,
    );
    expect(container.querySelector("svg[role=img]")?.closest("[hidden]")).not.toBeNull();
    expect(container.textContent).not.toContain("time per round");
  });

  it("say nothing where there is one round only", () => {
    const { container } = render(<StrategyChart onChoose={() => undefined} strategies={[]} />);
    expect(container.textContent).toBe("");
  });
});

describe("plan checks", () => {
  const plan = { lines: [], ignored: {} };
  const view = { plan } as unknown as PlanView;
  const check = {
    key: "SET_TOO_LARGE:0",
    kind: "SET_TOO_LARGE" as const,
    lineIndex: 0,
    sentence: "A set of 12 is too large",
    fix: "6s",
    mended: { lines: [], school: "KICK" as const },
  };

  it("are mended with one key, or set aside with a note", () => {
    const edits = { keep: vi.fn(), change: vi.fn() };
    render(<Checks checks={[check]} view={view} edits={edits as unknown as PlanEdits} />);
    fireEvent.click(screen.getByRole("button", { name: "Do it: 6s" }));
    expect(edits.keep).toHaveBeenCalledWith(check.mended, "Fix: 6s");
    fireEvent.click(screen.getByRole("button", { name: /Ignore/ }));
    const note = screen.getByLabelText("Why it is ignored");
    fireEvent.change(note, { target: { value: "on purpose" } });
    fireEvent.keyDown(note, { key: "Enter" });
    expect(edits.change).toHaveBeenCalledWith({ ignored: { "SET_TOO_LARGE:0": "on purpose" } }, "Warning ignored");
  });

  it("come back when asked", () => {
    const edits = { keep: vi.fn(), change: vi.fn() };
    const aside = { ...check, setAside: "on purpose" };
    render(<Checks checks={[aside]} view={view} edits={edits as unknown as PlanEdits} />);
    fireEvent.click(screen.getByRole("button", { name: "Show again" }));
    expect(edits.change).toHaveBeenCalledWith({ ignored: {} }, "Warning shown again");
  });
});
