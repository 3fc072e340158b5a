import { type SyntheticEvent, useState } from "react";
import { Label, Slider } from "react-aria-components";
import styled from "styled-components";
import type { AttemptView, PlanView } from "../api/client";
import { Input } from "../ui/fields";
import { Button, PrimaryButton, Problem, Quiet, Small } from "../ui/primitives";
import { Thumb, Track } from "../ui/slider";
import { wallClock } from "../ui/time";
import { PlanField } from "./PlanField";
import type { PlanEdits } from "./usePlanEdits";

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 28px;
  align-items: end;
  margin-top: 18px;
`;

const Goal = styled.form`
  display: flex;
  gap: 8px;
  align-items: end;
`;

const Caption = styled.div`
  font-size: 13px;
  color: var(--ink-2);
  margin-bottom: 3px;
`;

const Ends = styled.div`
  display: flex;
  justify-content: space-between;
  font-size: 12.5px;
  color: var(--ink-3);
`;

interface Props {
  view: PlanView;
  attempt: AttemptView;
  edits: PlanEdits;
}

/** "At 4:12, with 5:00 to go, in round 3, 12 burpee: 2 % faster." */
function pushed({ toGoMs, percent, atMs, place }: PlanView["pushes"][number]): string {
  if (!place) return `${wallClock(toGoMs)} to go is before the start.`;
  return `Kick at ${wallClock(atMs)} (${wallClock(toGoMs)} left, ${place}): ${percent}% faster than planned pace.`;
}

/** Plan from a goal: what it takes is shared between pauses and pace; and rounds on marks of the coach's own. */
export function GoalBar({ view, attempt, edits }: Props) {
  const [goal, setGoal] = useState(view.plan.goal ?? "");
  const [share, setShare] = useState<number>();
  const example = attempt.goalExample;
  const aim = (event: SyntheticEvent) => {
    event.preventDefault();
    edits.aim(goal, share);
  };
  // Of what is done once over, each section may have a time of its own; a long chipper has too many to ask for.
  const times = view.budget.sections.map(() => "m:ss").join(" + ");
  const bySection =
    !attempt.intervals && example.includes(":") && view.budget.sections.length > 1 && view.budget.sections.length < 5;
  const wrong = edits.problemAt === "goal" ? edits.problem : undefined;
  return (
    <>
      <Bar>
        <Goal onSubmit={aim}>
          <div>
            <Caption>
              <label htmlFor="goal">{attempt.intervals ? "Interval work time" : "Goal"}</label>
            </Caption>
            <Input
              id="goal"
              value={goal}
              placeholder={bySection ? `e.g. ${example}, or ${times}` : `e.g. ${example}`}
              style={{ width: bySection || goal.length > 10 ? 250 : 110 }}
              aria-invalid={wrong !== undefined}
              onChange={(event) => setGoal(event.target.value)}
            />
          </div>
          <PrimaryButton type="submit" isDisabled={goal.trim() === "" || edits.isPending}>
            Fit plan to goal
          </PrimaryButton>
        </Goal>
        <Slider
          minValue={0}
          maxValue={1}
          step={0.05}
          value={share ?? 0.5}
          onChange={setShare}
          onChangeEnd={(value) => goal.trim() !== "" && edits.aim(goal, value)}
          style={{ width: 210 }}
        >
          <Caption as={Label}>Make up the time from</Caption>
          <Track>
            <Thumb aria-label="Share of rest and transitions" />
          </Track>
          <Ends>
            <span>pace</span>
            <Small>{share === undefined ? "evenly" : `rest and transitions ${Math.round(share * 100)}%`}</Small>
            <span>rest and transitions</span>
          </Ends>
        </Slider>
        {!attempt.intervals && attempt.lines.length > 0 && (
          <div>
            <Caption>Finish kick with … left</Caption>
            <PlanField
              label="Finish kick with this much left, e.g. 5:00, 3:00, 2:00 or 5:00 1%, 2:00 4%"
              value={view.plan.finish ?? ""}
              placeholder="none"
              width={view.plan.finish ? 210 : 110}
              onKeep={(text) => edits.changed({ finish: text }, text ? `Finish kick ${text}` : "No finish kick")}
            />
          </div>
        )}
        {!attempt.intervals && attempt.lines.length > 0 && (
          <div>
            <Caption>Start a round every</Caption>
            <PlanField
              label="Start a round every"
              value={view.plan.roundEvery ?? ""}
              placeholder="as they come"
              width={112}
              onKeep={(text) =>
                edits.changed({ roundEvery: text }, text ? `Rounds every ${text}` : "Rounds as they come")
              }
            />
          </div>
        )}
        <div style={{ marginLeft: "auto", display: "flex", gap: 8 }}>
          <Button onPress={edits.undo} isDisabled={!edits.canUndo || edits.isPending}>
            Undo
          </Button>
          {!view.assumed && <Button onPress={edits.backToDraft}>Reset to draft plan</Button>}
        </div>
      </Bar>
      {view.pushes.length > 0 && (
        <Quiet style={{ marginTop: 10 }}>
          {view.pushes.map((push) => pushed(push)).join(" ")} A share of the planned pace, an assumption until it was
          tried.
        </Quiet>
      )}
      {wrong && <Problem style={{ marginTop: 10 }}>{wrong}</Problem>}
    </>
  );
}
