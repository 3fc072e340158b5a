import { Link, NavLink, Navigate, Outlet, useLocation, useOutletContext, useParams } from "react-router";
import styled from "styled-components";
import { ApiProblem, type AttemptView } from "../api/client";
import { useAttempt } from "../api/queries";
import { Small } from "../ui/primitives";
import { day } from "../ui/time";
import { Waiting } from "../ui/Waiting";
import { Unreadable } from "./Unreadable";

const UNREADABLE = 422;

const Whole = styled.div`
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  background: var(--ground);
  color: var(--ink);
`;

const Head = styled.div`
  display: flex;
  align-items: center;
  gap: 20px;
  height: 44px;
  padding: 0 20px;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
  @media (max-width: 800px) {
    height: auto;
    flex-wrap: wrap;
    gap: 2px 12px;
    padding: 8px 16px 0;
  }
`;

const Steps = styled.nav`
  display: flex;
  gap: 2px;
  margin-left: auto;
  @media (max-width: 800px) {
    margin-left: -14px;
    width: 100%;
  }
`;

const Step = styled(NavLink)`
  padding: 5px 14px;
  text-decoration: none;
  color: var(--ink-2);
  border-bottom: 2px solid transparent;
  &[aria-current="page"] {
    color: var(--ink);
    font-weight: 600;
    border-bottom-color: var(--ink);
  }
`;

/** One attempt, in the order of the job: plan, log, reading, retest. */
export function AttemptPage() {
  const { id = "" } = useParams();
  const { pathname } = useLocation();
  const attempt = useAttempt(id);
  const dark = pathname.endsWith("/log");
  if (pathname.replace(/\/$/, "") === `/attempts/${id}`) return <Navigate to="log" replace />;
  const { error } = attempt;
  if (error instanceof ApiProblem && error.status === UNREADABLE) return <Unreadable id={id} why={error.message} />;
  if (!attempt.data) return <Waiting error={error} />;
  const { athlete, title, division, doneOn, format, parts } = attempt.data;
  return (
    <Whole className={dark ? "stage-dark" : ""}>
      <Head>
        <strong>
          {athlete} · {title}
        </strong>
        {parts.length > 1 && <Parts attempt={attempt.data} />}
        <Small>
          {division && `${division} · `}
          {format} · {day(doneOn)} · <Link to={`/attempts/${id}/entry`}>Correct</Link>
        </Small>
        <Steps aria-label="Steps of the review">
          <Step to={`/attempts/${id}/plan`}>Plan</Step>
          <Step to={`/attempts/${id}/log`}>Log</Step>
          <Step to={`/attempts/${id}/reading`}>Reading</Step>
          <Step to={`/attempts/${id}/retest`}>Retest</Step>
        </Steps>
      </Head>
      {/* A step belongs to its attempt: what it remembers, such as its undo, never goes along to another one. */}
      <Outlet key={id} context={attempt.data} />
    </Whole>
  );
}

/** The parts of a workout that has several: each is an attempt of its own, over the same recordings. */
function Parts({ attempt }: { attempt: AttemptView }) {
  const { athleteId, workoutId, division, doneOn } = attempt;
  return (
    <nav aria-label="Parts">
      {attempt.parts.map((part) => {
        const search = new URLSearchParams({
          athlete: athleteId,
          workout: workoutId,
          division,
          doneOn,
          part: `${part.part}`,
        });
        const to = part.attemptId ? `/attempts/${part.attemptId}/log` : `/attempts/new?${search.toString()}`;
        return (
          <Step as={Link} key={part.part} to={to} aria-current={part.part === attempt.part ? "page" : undefined}>
            {part.attemptId ? `Part ${part.name}` : `Enter part ${part.name}`}
          </Step>
        );
      })}
    </nav>
  );
}

/** The attempt the steps are about. */
export function useOpenAttempt(): AttemptView {
  return useOutletContext<AttemptView>();
}
