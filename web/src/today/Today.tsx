import { Link } from "react-router";
import styled from "styled-components";
import type { TodayRow } from "../api/client";
import { useToday } from "../api/queries";
import { ButtonLink, Heading, Page, Quiet, Sentence, Small } from "../ui/primitives";
import { Waiting } from "../ui/Waiting";
import { day } from "../ui/time";
import { WakeLine } from "../ui/WakeLine";

const Columns = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 40px;
  margin-top: 32px;
  @media (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Row = styled(Link)`
  display: block;
  padding: 14px 0;
  border-top: 1px solid var(--line);
  text-decoration: none;
  &:hover strong {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
`;

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
`;

const Score = styled.span`
  font-size: 20px;
  font-weight: 600;
  font-stretch: 82%;
  white-space: nowrap;
`;

const Track = styled.span`
  display: block;
  height: 4px;
  margin-top: 8px;
  background: var(--line);
  span {
    display: block;
    height: 100%;
    background: var(--ink);
  }
`;

export function Today() {
  const today = useToday();
  if (!today.isSuccess) return <Waiting error={today.error} />;
  const { toReview, reviewed, retestsDue, checked } = today.data;
  if (toReview.length + reviewed.length + retestsDue.length + checked.length === 0) return <Empty />;
  return (
    <Page>
      <title>Today · Wake</title>
      <Sentence>{lead(toReview)}</Sentence>
      <Columns>
        <section aria-label="To review">
          <Heading>To review</Heading>
          {toReview.length === 0 && <Quiet>Everything recorded is logged.</Quiet>}
          {toReview.map((row) => (
            <Entry key={row.id} row={row} step="log" />
          ))}
          {retestsDue.length > 0 && <Heading style={{ marginTop: 28 }}>Retests due</Heading>}
          {retestsDue.map((row) => (
            <Entry key={row.id} row={row} step="plan" />
          ))}
        </section>
        <section aria-label="Read and ready for a retest call">
          <Heading>Read, and what is still in it</Heading>
          {reviewed.length === 0 && <Quiet>Log an attempt to its end and its reading stands here.</Quiet>}
          {reviewed.map((row) => (
            <Entry key={row.id} row={row} step="reading" />
          ))}
          {checked.length > 0 && <Heading style={{ marginTop: 28 }}>Retests done: called against came</Heading>}
          {checked.map((row) => (
            <Entry key={row.id} row={row} step="retest" />
          ))}
        </section>
      </Columns>
    </Page>
  );
}

function lead(toReview: TodayRow[]): string {
  const first = toReview[0];
  if (!first) return "Nothing waits for review.";
  const more = toReview.length - 1;
  const others = more === 0 ? "" : more === 1 ? " and one more wait" : ` and ${more} more wait`;
  return `${first.athlete}’s ${first.title}${others || " waits"} for review.`;
}

function Entry({ row, step }: { row: TodayRow; step: string }) {
  return (
    <Row to={`/attempts/${row.id}/${step}`}>
      <Head>
        <strong>
          {row.athlete} · {row.title}
        </strong>
        <Score>{row.score}</Score>
      </Head>
      <Quiet>{row.says}</Quiet>
      {row.stage === "LOGGED" && <WakeLine points={row.wake} />}
      <Small>
        {day(row.doneOn)}
        {row.division && ` · ${row.division}`}
        {row.retestOf && " · retest"}
        {row.openGain && ` · a retest could be ${row.openGain}`}
      </Small>
      {row.stage === "PART_LOGGED" && (
        <Track role="img" aria-label={`${row.loggedPercent} percent of the segments logged`}>
          <span style={{ width: `${row.loggedPercent}%` }} />
        </Track>
      )}
    </Row>
  );
}

function Empty() {
  return (
    <Page>
      <title>Today · Wake</title>
      <Sentence>No attempts yet.</Sentence>
      <Quiet style={{ margin: "12px 0 20px" }}>
        Add an athlete, write the workout as it stands on the whiteboard, then enter the attempt and its recording.
      </Quiet>
      <ButtonLink to="/athletes">Add an athlete</ButtonLink> <ButtonLink to="/workouts">Write a workout</ButtonLink>
    </Page>
  );
}
