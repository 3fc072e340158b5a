import styled from "styled-components";
import type { LiftCallView } from "../api/client";
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
import { useLiftCall } from "./useLiftCall";

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

/** The call of a lift window: the next timetable, how likely each lift is, what could be otherwise, and what came of it. */
export function LiftCall() {
  const attempt = useOpenAttempt();
  const edits = useLiftCall(attempt.id);
  const view = edits.query.data;
  if (!view) return <Waiting error={edits.query.error} />;
  const { plan, timetable } = view;
  if (!plan || !timetable) {
    return (
      <Page>
        <Sentence>No call yet.</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>{view.notYet}</Quiet>
        <ButtonLink to={`/attempts/${attempt.id}/log`}>Go to the log</ButtonLink>
      </Page>
    );
  }
  return (
    <Page>
      {view.came && <Came came={view.came} />}
      <Sentence as={view.came ? "h2" : "h1"}>{view.answer}</Sentence>
      <Quiet style={{ marginTop: 8 }}>{view.chancesWords}</Quiet>
      {edits.problem && <Problem style={{ marginTop: 12 }}>{edits.problem}</Problem>}
      <Panel style={{ marginTop: 20 }} aria-label="The next lifts">
        <Heading>{view.proposed ? "The next lifts, as proposed" : "The next lifts"}</Heading>
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
            Back to what is proposed
          </SmallButton>
        </div>
        {view.checks.map((check) => (
          <Caution key={check} style={{ marginTop: 8 }}>
            {check.charAt(0).toUpperCase() + check.slice(1)}.
          </Caution>
        ))}
      </Panel>
      <TwoColumns $left={1.4}>
        <section aria-label="What could be otherwise">
          <Heading>What could be otherwise, and how likely the best is beaten then</Heading>
          {view.whatIfs.length === 0 && <Quiet>None of the usual ways changes the chances.</Quiet>}
          <Entries>
            {view.whatIfs.map((one) => (
              <li key={one.words}>
                <span style={{ flex: "1 1 18em" }}>
                  {one.words.charAt(0).toUpperCase() + one.words.slice(1)}: <strong>{one.beats}</strong>
                </span>
                <SmallButton onPress={() => void edits.put(one.plan)}>Do it</SmallButton>
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
        <section aria-label="What it may bring">
          <Heading>What it may bring</Heading>
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
            Solid: heavier than the best so far. Lifts are taken one for itself: a good or bad day moves them together.
          </Small>
          <Small as="p" style={{ marginTop: 6 }}>
            Assumed: a complex is asked at 12 % less than a single; rest under 1:30 costs 1 % of the max for each 15 s,
            each heavy lift before half a per cent.
          </Small>
          <Caution style={{ marginTop: 10 }}>
            Coaching arithmetic, not medicine. Clear the landing space before heavy bars. Pain, dizziness or a joint
            that hurts: stop, and see a licensed professional before any retest. The event’s rules and the gym’s go
            first.
          </Caution>
        </section>
      </TwoColumns>
    </Page>
  );
}

function Came({ came }: { came: NonNullable<LiftCallView["came"]> }) {
  return (
    <section aria-label="Called against came" style={{ marginBottom: 32 }}>
      <Sentence>{came.answer}</Sentence>
      <Quiet style={{ marginTop: 8 }}>Called after the attempt of {day(came.firstOn)}.</Quiet>
      <Table style={{ marginTop: 12, maxWidth: 560 }}>
        <thead>
          <tr>
            <th>Lift</th>
            <th>Called</th>
            <th>Chance</th>
            <th>Came</th>
          </tr>
        </thead>
        <tbody>
          {came.lifts.map((one) => (
            <tr key={one.number}>
              <td>{one.number}</td>
              <td>{one.called ?? "–"}</td>
              <td>{one.chance ?? ""}</td>
              <td>{one.came ?? "not lifted"}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </section>
  );
}
