import { type SyntheticEvent, useState } from "react";
import styled from "styled-components";
import type { GoalView, RetestRequest } from "../api/client";
import { Input, TextArea } from "../ui/fields";
import { Button, Heading, PrimaryButton, Quiet, Small } from "../ui/primitives";

const Form = styled.form`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  label {
    display: block;
    font-size: 13px;
    color: var(--ink-2);
    margin-bottom: 3px;
  }
`;

const Steps = styled.ol`
  margin: 10px 0;
  padding-left: 20px;
  li {
    padding: 3px 0;
  }
`;

interface Props {
  chosen: RetestRequest;
  goal: GoalView | undefined;
  example: string;
  onGoal: (part: Partial<RetestRequest>) => unknown;
  onChoose: (steps: { change: number; target: number }[]) => unknown;
}

/** A score or a place to reach, and the cheapest way there. */
export function GoalBox({ chosen, goal, example, onGoal, onChoose }: Props) {
  const [score, setScore] = useState(chosen.goal ?? "");
  const [others, setOthers] = useState(chosen.others ?? "");
  const [place, setPlace] = useState(chosen.place ? `${chosen.place}` : "");
  const [ranked, setRanked] = useState(Boolean(chosen.others));
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    const wanted = Number(place);
    onGoal(
      ranked
        ? { goal: "", others, ...(Number.isInteger(wanted) && wanted > 0 ? { place: wanted } : {}) }
        : { goal: score.trim(), others: "" },
    );
  };
  return (
    <section aria-label="Goal" style={{ marginTop: 28 }}>
      <Heading>What it takes</Heading>
      <Form onSubmit={submit}>
        {ranked ? (
          <>
            <div>
              <label htmlFor="retest-place">Place</label>
              <Input
                id="retest-place"
                value={place}
                inputMode="numeric"
                placeholder="e.g. 10"
                style={{ width: 80 }}
                onChange={(event) => setPlace(event.target.value)}
              />
            </div>
            <div style={{ flexBasis: "100%" }}>
              <label htmlFor="retest-others">Scores of the others, one per line</label>
              <TextArea
                id="retest-others"
                rows={5}
                value={others}
                placeholder={`${example}\n…`}
                onChange={(event) => setOthers(event.target.value)}
              />
            </div>
          </>
        ) : (
          <div>
            <label htmlFor="retest-goal">Score</label>
            <Input
              id="retest-goal"
              value={score}
              placeholder={`e.g. ${example}`}
              style={{ width: 110 }}
              onChange={(event) => setScore(event.target.value)}
            />
          </div>
        )}
        <PrimaryButton type="submit">Find what it takes</PrimaryButton>
        <Button onPress={() => setRanked(!ranked)}>{ranked ? "Aim for a score" : "Aim for a place"}</Button>
      </Form>
      {goal && (
        <div aria-live="polite">
          <Quiet style={{ marginTop: 12 }}>{goal.says}</Quiet>
          {goal.others !== undefined && (
            <Small as="p">
              Among {goal.others} others: place {goal.placeNow} now, {goal.placeOnEvidence} proven, {goal.place}{" "}
              projected.
            </Small>
          )}
          {goal.steps.length > 0 && (
            <>
              <Steps aria-label="Steps to the goal">
                {goal.steps.map((step) => (
                  <li key={step.change}>
                    {step.words}: {step.gain.words} proven, then {step.after}. <Small>Why: {step.reason}.</Small>
                  </li>
                ))}
              </Steps>
              <Button onPress={() => onChoose(goal.steps)}>
                Use {goal.steps.length === 1 ? "this change" : `these ${goal.steps.length} changes`}
              </Button>
            </>
          )}
        </div>
      )}
    </section>
  );
}
