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

/** The sheet to hand over; of a lift window the page for the wall of its next timetable is that, so this leads to the projection. */
export function HandOver() {
  const attempt = useOpenAttempt();
  return attempt.log.liftWindow ? <Navigate to={`/attempts/${attempt.id}/retest`} replace /> : <Sheet />;
}

/** The retest plan to print: what changes, why, and the retest split by split. */
function Sheet() {
  const attempt = useOpenAttempt();
  const retest = useRetest(attempt.id);
  const view = retest.data;
  if (!view) return <Waiting error={retest.error} />;
  const { projection, date } = view;
  const on = projection.changes.filter((one) => one.on && one.reason === undefined);
  return (
    <Page>
      <Tools className="not-on-paper">
        <Button onPress={() => window.print()}>Print</Button>
        <ButtonLink to={`/attempts/${attempt.id}/retest`}>Back to the projection</ButtonLink>
      </Tools>
      <Sentence>
        {attempt.athlete}: {attempt.title} retest
      </Sentence>
      <Quiet style={{ margin: "8px 0 20px" }}>
        {date.blocked ?? `From ${day(date.earliest)}.`} {projection.promised} It assumes the changes below.
      </Quiet>
      <Heading>What changes</Heading>
      {on.length === 0 && <Quiet>No changes.</Quiet>}
      <Reasons>
        {on.map((one, index) => (
          <li key={index}>
            <strong>{one.words}.</strong> About {one.expected.words} on its own; {one.place}; {one.evidenceWords}.
          </li>
        ))}
      </Reasons>
      {view.next.length > 0 && (
        <>
          <Heading>Split by split</Heading>
          <Stops view={view} all />
        </>
      )}
      {projection.cautions.map((caution) => (
        <Caution key={caution} style={{ marginTop: 10 }}>
          {caution}
        </Caution>
      ))}
      <Small as="p" style={{ marginTop: 10 }}>
        This is coaching math, not medical advice. Stop for pain, dizziness or a sore joint, and see a licensed
        professional before any retest. Event and gym rules come first.
      </Small>
    </Page>
  );
}
