import type { ReactNode } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import type { TodayRow } from "../api/client";
import { useToday } from "../api/queries";
import { stepOf } from "../attempts/stepOf";
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
  const { toReview, reviewed, retestsDue, toBeDone, checked, counts, beingRead, filling } = today.data;
  if (filling) return <Filling />;
  if (beingRead === 0 && Object.values(counts).every((count) => count === 0)) return <Empty />;
  return (
    <Page>
      <title>Today · Wake</title>
      <Sentence>{lead(toReview, counts.TO_REVIEW ?? 0)}</Sentence>
      {beingRead > 0 && (
        <Quiet role="status" style={{ marginTop: 8 }}>
          Still working through {beingRead} attempts; they appear as they finish.
        </Quiet>
      )}
      <Columns>
        <div>
          <Some name="To review" rows={toReview} count={counts.TO_REVIEW} place="TO_REVIEW">
            <Quiet>Nothing to log.</Quiet>
          </Some>
          <Some name="Retests due" rows={retestsDue} count={counts.RETEST_DUE} place="RETEST_DUE" />
          <Some name="Upcoming" rows={toBeDone} count={counts.PLANNED} place="PLANNED" />
        </div>
        <div>
          <Some name="Reviewed" rows={reviewed} count={counts.REVIEWED} place="REVIEWED">
            <Quiet>Finished logs show up here.</Quiet>
          </Some>
          <Some name="Retests done" rows={checked} count={counts.CHECKED} place="CHECKED" />
        </div>
      </Columns>
      <p style={{ marginTop: 28 }}>
        <ButtonLink to="/attempts">All attempts</ButtonLink>
      </p>
    </Page>
  );
}

/** The demo is written at once, after everything is worked out: until then there is nothing to be seen of it. */
function Filling() {
  return (
    <Page>
      <title>Today · Wake</title>
      <Sentence>Filling the demo gym.</Sentence>
      <Quiet role="status">
        Made-up athletes are doing their workouts. This takes up to a minute; the page follows.
      </Quiet>
    </Page>
  );
}

interface SomeProps {
  name: string;
  rows: TodayRow[];
  count: number | undefined;
  place: string;
  children?: ReactNode;
}

/** The first few of what waits for one thing, and the way to the rest. */
function Some({ name, rows, count = 0, place, children }: SomeProps) {
  if (rows.length === 0 && !children) return null;
  return (
    <section aria-label={name} style={{ marginBottom: 28 }}>
      <Heading>{name}</Heading>
      {rows.length === 0 && children}
      {rows.map((row) => (
        <Entry key={row.id} row={row} step={stepOf(row)} />
      ))}
      {count > rows.length && (
        <Link to={`/attempts?place=${place}`}>
          {count - rows.length === 1 ? "and 1 more" : `and ${count - rows.length} more`}
        </Link>
      )}
    </section>
  );
}

function lead(toReview: TodayRow[], count: number): string {
  const first = toReview[0];
  if (!first) return "All caught up.";
  const start = `${first.athlete}’s ${first.title}`;
  return count === 1 ? `1 to review: ${start}.` : `${count} to review, starting with ${start}.`;
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
      {row.stage === "LOGGED" && row.wake.length > 1 && <WakeLine points={row.wake} />}
      <Small>
        {day(row.doneOn)}
        {row.division && ` · ${row.division}`}
        {row.retestOf && " · retest"}
        {row.openGain && ` · retest: ${row.openGain}`}
      </Small>
      {row.stage === "PART_LOGGED" && (
        <Track role="img" aria-label={`${row.loggedPercent}% logged`}>
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
        Add an athlete, write the workout, then add the attempt and its video.
      </Quiet>
      <ButtonLink to="/athletes">Add an athlete</ButtonLink> <ButtonLink to="/workouts">Write a workout</ButtonLink>
    </Page>
  );
}
