import styled from "styled-components";
import { usePlan } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { Caution, Page, Panel, Problem, Quiet, Sentence } from "../ui/primitives";
import { Waiting } from "../ui/Waiting";
import { ByRound } from "./ByRound";
import { Checks } from "./Checks";
import { Clocks } from "./Clocks";
import { GoalBar } from "./GoalBar";
import { LiftWindow } from "./LiftWindow";
import { PlanSources } from "./PlanSources";
import { PlanBoard } from "./PlanBoard";
import { NAME, StrategyChart } from "./StrategyChart";
import { usePlanEdits } from "./usePlanEdits";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
  gap: 28px;
  margin-top: 20px;
  align-items: start;
  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Side = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 24px;
`;

/** Problems shown at the field or section they concern; anything else is said above the board. */
const SHOWN_THERE = /^(lines\/|goal$|round$|from$|lift|max$|seconds$|bar$|plates$|plan$)/;

/** The plan: one line of pacing per movement, and the clock it leads to. */
export function PlanStep() {
  const attempt = useOpenAttempt();
  const plan = usePlan(attempt.id);
  const edits = usePlanEdits(attempt.id, plan.data);
  if (!plan.isSuccess) return <Waiting error={plan.error} />;
  const view = plan.data;
  const general = view.checks.filter((check) => check.lineIndex === undefined);
  const elsewhere = edits.problem && !SHOWN_THERE.test(edits.problemAt ?? "");
  return (
    <Page>
      <Sentence>{view.answer}</Sentence>
      <Quiet style={{ marginTop: 8 }}>
        {view.liftWindow
          ? "Loads are rounded down to your plates; build-up loads in % to few plates near them. Times are when the bar leaves the floor."
          : view.assumed
            ? "Draft plan, from this athlete’s tests and past attempts, and typical rates where there are none (assumed). Change any number to make it yours."
            : "Your plan. The review compares the attempt with it."}
      </Quiet>
      {elsewhere && <Problem style={{ marginTop: 12 }}>{edits.problem}</Problem>}
      {view.liftWindow ? (
        <LiftWindow view={view} edits={edits} />
      ) : (
        <>
          <GoalBar key={view.plan.goal ?? ""} view={view} attempt={attempt} edits={edits} />
          {view.overCap && <Caution style={{ marginTop: 16 }}>This plan does not finish inside the time cap.</Caution>}
          <Columns>
            <div>
              <Panel>
                <PlanBoard view={view} attempt={attempt} edits={edits} />
                <ByRound view={view} attempt={attempt} edits={edits} />
                <Checks checks={general} view={view} edits={edits} />
              </Panel>
              <PlanSources view={view} attempt={attempt} edits={edits} />
            </div>
            <Side>
              <StrategyChart
                strategies={view.strategies}
                designed={view.pushes.length > 0}
                onChoose={(strategy) =>
                  edits.change({ school: strategy }, `Pacing strategy: ${NAME[strategy].toLowerCase()}`)
                }
              />
              <Clocks view={view} />
            </Side>
          </Columns>
        </>
      )}
      {view.liftWindow && <PlanSources view={view} attempt={attempt} edits={edits} />}
    </Page>
  );
}
