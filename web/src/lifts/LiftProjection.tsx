import styled from "styled-components";
import type { LiftProjectionView } from "../api/client";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { Axis } from "../plan/LiftWindow";
import { LiftTable } from "../plan/LiftTable";
import { NextAttempt } from "../retest/NextAttempt";
import {
  ButtonLink,
  Caution,
  Heading,
  Page,
  Panel,
  Problem,
  Quiet,
  Sentence,
  Small,
  SmallButton,
  Table,
  TwoColumns,
} from "../ui/primitives";
import { day } from "../ui/time";
import { Waiting } from "../ui/Waiting";
import { Entries } from "./Maxes";
import { useLiftProjection } from "./useLiftProjection";

const Outcomes = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 96px minmax(0, 1fr) 84px;
    gap: 10px;
    align-items: center;
    padding: 5px 0;
  }
  li > :last-child {
    text-align: right;
  }
`;

const Bar = styled.span`
  height: 12px;
  border: 1px solid var(--ink);
  background: var(--panel);
  &[data-beats] {
    background: var(--ink);
  }
`;

/** The projection of a lift window: the next timetable, how likely each lift is, what could be otherwise, and the outcome. */
export function LiftProjection() {
  const attempt = useOpenAttempt();
  const edits = useLiftProjection(attempt.id);
  const view = edits.query.data;
  if (!view) return <Waiting error={edits.query.error} />;
  const { plan, timetable } = view;
  if (!plan || !timetable) {
    return (
      <Page>
        <Sentence>No projection yet.</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>{view.notYet}</Quiet>
        <ButtonLink to={`/attempts/${attempt.id}/log`}>Go to the log</ButtonLink>
      </Page>
    );
  }
  return (
    <Page>
      {view.actual && <ProjectedVsActual actual={view.actual} />}
      <Sentence as={view.actual ? "h2" : "h1"}>{view.answer}</Sentence>
      <Quiet style={{ marginTop: 8 }}>{view.chancesWords}</Quiet>
      {edits.problem && <Problem style={{ marginTop: 12 }}>{edits.problem}</Problem>}
      <Panel style={{ marginTop: 20 }} aria-label="Next lifts">
        <Heading>{view.proposed ? "Suggested lifts" : "Next lifts"}</Heading>
        <Axis timetable={timetable} lift={plan} onLift={edits.put} />
        <LiftTable
          timetable={timetable}
          lift={plan}
          onLift={edits.put}
          canUndo={edits.canUndo}
          onUndo={edits.undo}
          extra={{
            head: "Chance",
            of: (index) => (
              <>
                <strong>{view.chances[index]?.words}</strong>
                <small style={{ whiteSpace: "normal" }}>{view.chances[index]?.evidence}</small>
              </>
            ),
          }}
        />
        <div style={{ display: "flex", gap: 8, marginTop: 10 }}>
          <SmallButton isDisabled={view.proposed} onPress={edits.startAgain}>
            Reset to suggested
          </SmallButton>
        </div>
        {view.checks.map((check) => (
          <Caution key={check} style={{ marginTop: 8 }}>
            {check.charAt(0).toUpperCase() + check.slice(1)}.
          </Caution>
        ))}
      </Panel>
      <TwoColumns $left={1.4}>
        <section aria-label="What if">
          <Heading>What if? Chance to beat the best</Heading>
          {view.whatIfs.length === 0 && <Quiet>None of the usual changes makes a difference.</Quiet>}
          <Entries>
            {view.whatIfs.map((one) => (
              <li key={one.words}>
                <span style={{ flex: "1 1 18em" }}>
                  {one.words.charAt(0).toUpperCase() + one.words.slice(1)}: <strong>{one.beats}</strong>
                </span>
                <SmallButton onPress={() => void edits.put(one.plan)}>Use this</SmallButton>
              </li>
            ))}
          </Entries>
          {view.nextPart && <Quiet style={{ marginTop: 12 }}>{view.nextPart}</Quiet>}
          <NextAttempt
            key={view.date.earliest}
            attemptId={attempt.id}
            view={{ date: view.date, retests: view.retests }}
            isSetting={edits.isSetting}
            onSet={edits.setRetest}
          />
        </section>
        <section aria-label="Likely results">
          <Heading>Likely results</Heading>
          <Outcomes>
            {[...view.outcomes].reverse().map((outcome) => (
              <li key={outcome.best}>
                <span>{outcome.best}</span>
                <Bar
                  data-beats={outcome.beats ? true : undefined}
                  style={{ width: `${Math.max(1, 100 * outcome.chance)}%` }}
                />
                <span>{outcome.words}</span>
              </li>
            ))}
          </Outcomes>
          <Small as="p" style={{ marginTop: 6 }}>
            Solid = heavier than the best so far. A good or bad day moves all lifts together.
          </Small>
          <Small as="p" style={{ marginTop: 6 }}>
            Assumed: a complex is as hard as a single 15% heavier, reps by formula (Epley 1985, Brzycki 1993); every 15
            s of rest under 1:30 makes a bar 1% harder, each heavy lift before it 0.5%.
          </Small>
          <Caution style={{ marginTop: 10 }}>
            This is coaching math, not medical advice. Clear the landing space before heavy bars. Stop for pain,
            dizziness or a sore joint, and see a licensed professional before any retest. Event and gym rules come
            first.
          </Caution>
        </section>
      </TwoColumns>
    </Page>
  );
}

function ProjectedVsActual({ actual }: { actual: NonNullable<LiftProjectionView["actual"]> }) {
  return (
    <section aria-label="Projected vs actual" style={{ marginBottom: 32 }}>
      <Sentence>{actual.answer}</Sentence>
      <Quiet style={{ marginTop: 8 }}>Called after the attempt of {day(actual.firstOn)}.</Quiet>
      <Table style={{ marginTop: 12, maxWidth: 560 }}>
        <thead>
          <tr>
            <th>Lift</th>
            <th>Projected</th>
            <th>Chance</th>
            <th>Actual</th>
          </tr>
        </thead>
        <tbody>
          {actual.lifts.map((one) => (
            <tr key={one.number}>
              <td>{one.number}</td>
              <td>{one.projected ?? "–"}</td>
              <td>{one.chance ?? ""}</td>
              <td>{one.actual ?? "not lifted"}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </section>
  );
}
