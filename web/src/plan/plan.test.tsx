import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { LineJson, LineView, PacingJson, PlanView } from "../api/client";
import { ByRound } from "./ByRound";
import { attempt } from "../testing/sample";
import { Checks } from "./Checks";
import { PlanField } from "./PlanField";
import { restsWritten } from "./written";
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

describe("rounds", () => {
  const about = (lineIndex: number, movement: string, counts: number[]): LineView => ({
    lineIndex,
    movement,
    unit: "rep",
    counted: true,
    raised: false,
    written: "2.00",
    pace: "30 reps/min",
    asksMore: false,
    touched: [],
    rounds: counts.map((count, index) => ({
      round: index + 1,
      amount: `${count} rep`,
      written: index === 1 ? "25/min" : "2.00",
      differs: index === 1,
    })),
  });
  const view = {
    lines: [about(0, "thruster", [21, 15, 9]), about(1, "burpee", [10, 10]), about(2, "row", [1])],
    plan: {
      lines: [
        { lineIndex: 0, every: pacing, rounds: { 2: { ...pacing, sets: "8-7", paceIn: "A_MINUTE" } } },
        { lineIndex: 1, every: pacing, rounds: {} },
        { lineIndex: 2, every: pacing, rounds: {} },
      ],
    },
  } as unknown as PlanView;
  const open = () => {
    const made: LineJson[][] = [];
    const answer = (make: (line: LineJson) => LineJson) => {
      made.push(view.plan.lines.map(make));
      return Promise.resolve();
    };
    const edits = { changeLines: vi.fn(answer), changeLine: vi.fn((_: number, make: never) => answer(make)) };
    render(<ByRound view={view} attempt={attempt({ lines: [] })} edits={edits as unknown as PlanEdits} />);
    fireEvent.click(screen.getByRole("button", { name: "Set by round" }));
    return { made, edits };
  };
  const box = (movement: string, round: number) =>
    screen.getByLabelText<HTMLInputElement>(new RegExp(`of ${movement} in round ${round}$`));
  const type = (at: HTMLInputElement, text: string) => {
    at.focus();
    fireEvent.change(at, { target: { value: text } });
    fireEvent.keyDown(at, { key: "Enter" });
  };

  it("stand in a row each, a column a movement that has rounds, with what they ask where that differs", () => {
    open();
    expect(screen.getAllByRole("columnheader").map((one) => one.textContent)).toEqual(["Round", "thruster", "burpee"]);
    expect(screen.getAllByRole("row")).toHaveLength(4);
    expect(box("thruster", 2).value).toBe("8-7");
    expect(screen.getByText("21 rep")).toBeTruthy();
    expect(screen.queryByText("10 rep")).toBeNull();
    fireEvent.click(screen.getByRole("radio", { name: "Pace" }));
    expect(box("thruster", 2).value).toBe("25/min");
  });

  it("go down by Enter, and are like all rounds when emptied", () => {
    const { made } = open();
    type(box("thruster", 1), "7s");
    expect(made[0]?.[0]?.rounds[1]?.sets).toBe("7s");
    expect(document.activeElement).toBe(box("thruster", 2));
    expect(made).toHaveLength(1);
    type(box("thruster", 2), "");
    expect(made[1]?.[0]?.rounds[2]).toEqual({ ...pacing, paceIn: "A_MINUTE" });
  });

  it("take what was copied from a spreadsheet, all of it or nothing", () => {
    const { made } = open();
    const paste = (text: string) => fireEvent.paste(box("thruster", 1), { clipboardData: { getData: () => text } });
    paste("7s\t5s\r\n8-7\t4s\r\n9\t\r\n");
    expect(made[0]?.map((line) => Object.values(line.rounds).map(({ sets }) => sets))).toEqual([
      ["7s", "8-7", "9"],
      ["5s", "4s"],
      [],
    ]);
    paste("7s\t5s\t3s");
    expect(screen.getByText(/“3s” of the paste falls outside/)).toBeTruthy();
    fireEvent.click(screen.getByRole("radio", { name: "Transition" }));
    paste("3\tsoon");
    expect(screen.getByText(/“soon” is not a number/)).toBeTruthy();
    expect(made).toHaveLength(1);
  });

  it("can all be made like one from there on", () => {
    const { made } = open();
    fireEvent.focus(box("thruster", 2));
    fireEvent.click(screen.getByRole("button", { name: "Use from round 2 on: thruster" }));
    expect(made[0]?.[0]?.rounds[3]).toEqual({ ...pacing, sets: "8-7" });
  });

  it("are not there where nothing comes twice", () => {
    const once = { ...view, lines: view.lines.slice(2) };
    const { container } = render(
      <ByRound view={once} attempt={attempt({ lines: [] })} edits={{} as unknown as PlanEdits} />,
    );
    expect(container.textContent).toBe("");
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
