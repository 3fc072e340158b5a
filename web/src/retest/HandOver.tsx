import { Navigate } from "react-router";
import styled from "styled-components";
import { useRetest } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { Button, ButtonLink, Caution, Heading, Page, Quiet, Sentence, Small } from "../ui/primitives";
import { day } from "../ui/time";
import { Waiting } from "../ui/Waiting";
import { Stops } from "./Stops";

const Reasons = styled.ol`
  margin: 8px 0 20px;
  padding-left: 20px;
  li {
    padding: 3px 0;
  }
`;

const Tools = styled.div`
  display: flex;
  gap: 8px;
  margin-bottom: 20px;
`;

/** The sheet to hand over; of a lift window the page for the wall of its next timetable is that, so this leads to the call. */
export function HandOver() {
  const attempt = useOpenAttempt();
  return attempt.log.liftWindow ? <Navigate to={`/attempts/${attempt.id}/retest`} replace /> : <Sheet />;
}

/** To hand over or to hang on the wall: what is different, why, and the next attempt place by place. */
function Sheet() {
  const attempt = useOpenAttempt();
  const retest = useRetest(attempt.id);
  const view = retest.data;
  if (!view) return <Waiting error={retest.error} />;
  const { call, date } = view;
  const on = call.calls.filter((one) => one.on && one.reason === undefined);
  return (
    <Page>
      <Tools className="not-on-paper">
        <Button onPress={() => window.print()}>Print</Button>
        <ButtonLink to={`/attempts/${attempt.id}/retest`}>Back to the call</ButtonLink>
      </Tools>
      <Sentence>
        {attempt.athlete}: {attempt.title}, next time
      </Sentence>
      <Quiet style={{ margin: "8px 0 20px" }}>
        {date.blocked ?? `From ${day(date.earliest)} on.`} {call.before.words} before; {call.middle.words} is to be
        expected{call.range && `, most likely between ${call.range.p10.words} and ${call.range.p90.words}`}. Not a
        promise: it takes it that the changes below are made.
      </Quiet>
      <Heading>What is different</Heading>
      {on.length === 0 && <Quiet>Nothing: the attempt again as it was.</Quiet>}
      <Reasons>
        {on.map((one, index) => (
          <li key={index}>
            <strong>{one.words}.</strong> {one.expected.words} to be expected of it alone; {one.place};{" "}
            {one.evidenceWords}.
          </li>
        ))}
      </Reasons>
      {view.next.length > 0 && (
        <>
          <Heading>Place by place</Heading>
          <Stops view={view} all />
        </>
      )}
      {call.cautions.map((caution) => (
        <Caution key={caution} style={{ marginTop: 10 }}>
          {caution}
        </Caution>
      ))}
      <Small as="p" style={{ marginTop: 10 }}>
        Pain, dizziness or a joint that hurts: stop, and see a licensed professional. The event’s rules and the gym’s go
        first.
      </Small>
    </Page>
  );
}
