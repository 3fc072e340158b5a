import { useState } from "react";
import styled from "styled-components";
import type { ProjectedChangeView, ProjectionView } from "../api/client";
import { useFan, useReading, useRetest } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import {
  Button,
  ButtonLink,
  Caution,
  Heading,
  Page,
  Problem,
  Quiet,
  Select,
  Sentence,
  TwoColumns,
} from "../ui/primitives";
import { capital } from "../ui/time";
import { Told } from "../ui/useTimes";
import { Waiting } from "../ui/Waiting";
import { LiftProjection } from "../lifts/LiftProjection";
import { OnVideo } from "../reading/onVideo";
import { WakeChart } from "../reading/WakeChart";
import { ProjectedVsActual } from "./ProjectedVsActual";
import { ChangeRow } from "./ChangeRow";
import { Credits, GiveBack } from "./Credits";
import { GoalBox } from "./GoalBox";
import { NextAttempt } from "./NextAttempt";
import { ScoreLadder } from "./ScoreLadder";
import { Stops } from "./Stops";
import { type RetestEdits, useRetestEdits } from "./useRetestEdits";
import { change, headline } from "./words";

/** The ladder stays in sight while the changes are gone through, where the window is tall enough for it. */
const Side = styled.section`
  @media (min-width: 901px) and (min-height: 680px) {
    position: sticky;
    top: 16px;
    align-self: start;
  }
`;

const Folded = styled.details`
  border-top: 1px solid var(--line);
  summary {
    padding: 10px 0;
    cursor: pointer;
  }
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 12px;
`;

/** What changes the list stands above it, where a shrinking list does not move it from under the pointer. */
const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 8px;
`;

/** The retest step: of a lift window its next lifts, of everything else a replay with changes. */
export function RetestStep() {
  return useOpenAttempt().log.liftWindow ? <LiftProjection /> : <ReplayCall />;
}

/** The projection: what could be done differently, what that would make the score, and the outcome. */
function ReplayCall() {
  const attempt = useOpenAttempt();
  const retest = useRetest(attempt.id);
  const edits = useRetestEdits(attempt.id, retest.data);
  const { view } = edits;
  if (!view) return <Waiting error={retest.error} />;
  const { projection, actual } = view;
  if (projection.notYet !== undefined) {
    return (
      <Page>
        <Sentence>No projection yet.</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>{projection.notYet}</Quiet>
        <ButtonLink to={`/attempts/${attempt.id}/log`}>Go to the log</ButtonLink>
      </Page>
    );
  }
  return (
    <Page>
      {actual && <ProjectedVsActual actual={actual} />}
      <Sentence as={actual ? "h2" : "h1"}>{headline(projection)}</Sentence>
      <Quiet style={{ marginTop: 8 }}>
        This attempt, replayed with the changes you tick. Some of the time saved is lost again to fatigue.
      </Quiet>
      {edits.problem && <Problem style={{ marginTop: 12 }}>{edits.problem}</Problem>}
      <TwoColumns $left={1.75}>
        <section aria-label="Changes">
          <Changes projection={projection} edits={edits} />
          <Runs id={attempt.id} version={view.version} />
          <NextAttempt
            key={view.date.earliest}
            attemptId={attempt.id}
            view={view}
            isSetting={edits.isSetting}
            onSet={edits.setRetest}
          >
            {view.next.length > 0 && (
              <div className="not-on-paper">
                <Stops view={view} />
                <ButtonLink to={`/attempts/${attempt.id}/retest/sheet`} style={{ marginTop: 10 }}>
                  Print the retest plan
                </ButtonLink>
              </div>
            )}
          </NextAttempt>
          {projection.cautions.map((caution) => (
            <Caution key={caution} style={{ marginTop: 10 }}>
              {caution}
            </Caution>
          ))}
          <Caution style={{ marginTop: 10 }}>
            This is coaching math, not medical advice. Stop for pain, dizziness or a sore joint, and see a licensed
            professional before any retest. Event and gym rules come first.
          </Caution>
          <div className="not-on-paper">
            <GiveBack back={projection.back} onKeep={(back) => edits.keep({ back })} />
            <Credits credits={projection.credits} onKeep={(credits) => edits.keep({ credits })} />
          </div>
        </section>
        <Side aria-label="Score ladder">
          <Heading>Score</Heading>
          <ScoreLadder view={projection} goal={projection.goal?.goal} />
          <div className="not-on-paper">
            <GoalBox
              chosen={view.chosen}
              goal={projection.goal}
              example={attempt.scoreExample}
              onGoal={edits.keep}
              onChoose={edits.choose}
            />
          </div>
        </Side>
      </TwoColumns>
    </Page>
  );
}

/** How the retest would run, beside how the attempt did. */
function Runs({ id, version }: { id: string; version: number }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Folded className="not-on-paper" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Show the projection over the clock</summary>
      {isOpen && <RunsBeside id={id} version={version} />}
    </Folded>
  );
}

function RunsBeside({ id, version }: { id: string; version: number }) {
  const reading = useReading(id, undefined, undefined);
  const fan = useFan(id, undefined, undefined, version);
  if (!reading.data) return <Waiting error={reading.error} />;
  return (
    <Told value={reading.data.digits}>
      <OnVideo value={false}>
        <WakeChart reading={reading.data} fan={fan.data} onPlay={() => undefined} />
      </OnVideo>
    </Told>
  );
}

function Changes({ projection, edits }: { projection: ProjectionView; edits: RetestEdits }) {
  const { changes, more } = projection;
  // For the goal; or, where something chosen costs, for the score as it was.
  const costs = changes.some((one) => one.on && (one.gain.ms < 0 || one.gain.reps < 0));
  const solvable = projection.goal !== undefined || costs;
  const row = (one: ProjectedChangeView, index: number) => (
    <ChangeRow
      key={`${one.change.kind} ${one.change.movement} ${one.change.atMs ?? ""} ${JSON.stringify(one.change.where)}`}
      projected={one}
      solved={edits.solved?.index === index ? edits.solved.says : undefined}
      onSolve={solvable ? () => edits.solve(index) : undefined}
      onChange={(part) => edits.change(index, part)}
      onDrag={(target) => edits.drag(index, target)}
      onRemove={() => edits.remove(index)}
    />
  );
  return (
    <>
      <Head>
        <Heading>Changes</Heading>
        <Tools style={{ marginTop: 0 }}>
          <Button onPress={edits.undo} isDisabled={!edits.canUndo}>
            Undo
          </Button>
          <Button onPress={edits.startAgain}>Reset to suggestions</Button>
          <Button onPress={() => document.getElementById("retest-day")?.focus()}>Pick a day</Button>
        </Tools>
      </Head>
      {changes.length === 0 && (
        <Quiet>
          No suggestions: the log has too little detail, or the attempt was already even. Add a change below.
        </Quiet>
      )}
      {changes.map((one, index) => one.on && row(one, index))}
      {byMovement(changes).map(([movement, rest]) => (
        <Folded key={movement} open={changes.some((one) => one.on) ? undefined : true}>
          <summary>
            {capital(movement)}: {rest.length === 1 ? "1 more idea" : `${rest.length} more ideas`}
          </summary>
          {rest.map(({ projected: one, index }) => row(one, index))}
        </Folded>
      ))}
      <Tools>
        {more.length > 0 && (
          <Select
            aria-label="Add a change"
            value=""
            onChange={(event) => {
              const chosen = more[Number(event.target.value)];
              if (chosen) void edits.add(chosen.change);
            }}
          >
            <option value="">Add a change…</option>
            {more.map((one, index) => (
              <option key={one.words} value={index}>
                {one.words}
              </option>
            ))}
          </Select>
        )}
      </Tools>
      {changes.some((one) => one.on) && (
        <p style={{ marginTop: 14 }}>
          <strong>All ticked changes: {change(projection.expected)}.</strong>{" "}
          <Quiet as="span">Best case {change(projection.gain)}. Changes that overlap are counted once.</Quiet>
        </p>
      )}
    </>
  );
}

/** What is not chosen, with its place in the list, by movement in the order they come. */
function byMovement(changes: ProjectedChangeView[]): [string, { projected: ProjectedChangeView; index: number }[]][] {
  const groups = new Map<string, { projected: ProjectedChangeView; index: number }[]>();
  changes.forEach((projected, index) => {
    if (projected.on) return;
    const name = projected.change.movement || "whole workout";
    groups.set(name, [...(groups.get(name) ?? []), { projected, index }]);
  });
  return [...groups];
}
