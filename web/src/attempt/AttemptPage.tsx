import { Link, NavLink, Navigate, Outlet, useLocation, useOutletContext, useParams } from "react-router";
import styled from "styled-components";
import { ApiProblem, type AttemptView } from "../api/client";
import { useAttempt } from "../api/queries";
import { Mark, Sign } from "../shell/Shell";
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

const Head = styled.section`
  display: flex;
  align-items: center;
  gap: 20px;
  height: 44px;
  padding: 0 20px;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
  > strong,
  > span {
    overflow: hidden;
    text-overflow: ellipsis;
  }
  > strong {
    flex: none;
    max-width: 100%;
  }
  > span {
    flex: 0 1 auto;
    min-width: 0;
    max-width: 100%;
  }
  nav {
    flex: none;
  }
  @media (max-width: 800px) {
    height: auto;
    flex-wrap: wrap;
    gap: 2px 12px;
    padding: 8px 16px 0;
  }
  /* Above the recording there is room for a line of names and a line of steps. */
  @media (max-width: 800px) {
    &[data-log] {
      padding-top: 4px;
      > span {
        display: none;
      }
      > strong {
        max-width: calc(100% - 50px);
      }
    }
  }
`;

/** What was entered: where there is little room it is the format that is cut short, not the day and the way to correct it. */
const Entry = styled(Small)`
  display: flex;
  > span:first-child {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  > span:last-child {
    flex: none;
  }
`;

const Steps = styled.nav`
  display: flex;
  gap: 2px;
  margin-left: auto;
  @media (max-width: 800px) {
    margin-left: -14px;
    width: calc(100% + 28px);
    overflow-x: auto;
    a {
      white-space: nowrap;
    }
  }
  @media (max-width: 430px) {
    font-size: 14px;
    a {
      padding: 5px 9px;
    }
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

const STEPS: Record<string, string> = {
  plan: "Plan",
  entry: "Edit attempt",
  wall: "Wall sheet",
  log: "Log",
  reading: "Review",
  versus: "Head-to-head",
  retest: "Retest",
  sheet: "Retest plan",
  card: "Card",
};

/** One attempt, in the order of the job: plan, log, reading, retest. */
export function AttemptPage() {
  const { id = "" } = useParams();
  const { pathname } = useLocation();
  const attempt = useAttempt(id);
  const [step = "", below] = pathname.split("/").slice(3);
  const dark = step === "log";
  if (pathname.replace(/\/$/, "") === `/attempts/${id}`) return <Navigate to="log" replace />;
  const { error } = attempt;
  if (error instanceof ApiProblem && error.status === UNREADABLE) return <Unreadable id={id} why={error.message} />;
  if (!attempt.data) return <Waiting error={error} />;
  const { athlete, title, division, doneOn, format, parts, lane } = attempt.data;
  return (
    <Whole className={dark ? "stage-dark" : ""}>
      <title>{`${STEPS[below ?? step] ?? "Attempt"} · ${athlete}, ${title} · Wake`}</title>
      <Head aria-label="Attempt" data-log={dark ? true : undefined}>
        {dark && (
          <Mark to="/" aria-label="Wake, home" style={{ marginRight: 0 }}>
            <Sign />
          </Mark>
        )}
        <strong>
          {athlete} · {title}
        </strong>
        {parts.length > 1 && <Parts attempt={attempt.data} />}
        <Entry>
          <span>
            {division && `${division} · `}
            {lane !== undefined && `lane ${lane} · `}
            {format}
          </span>
          <span>
            &nbsp;· {day(doneOn)}
            <span className="not-on-paper">
              {" "}
              · <Link to={`/attempts/${id}/entry`}>Edit</Link>
            </span>
          </span>
        </Entry>
        <Steps aria-label="Steps of the review">
          <Step to={`/attempts/${id}/plan`}>Plan</Step>
          <Step to={`/attempts/${id}/log`}>Log</Step>
          <Step to={`/attempts/${id}/reading`}>Review</Step>
          {!attempt.data.log.liftWindow && <Step to={`/attempts/${id}/versus`}>Head-to-head</Step>}
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
            {part.attemptId ? `Part ${part.name}` : `Add part ${part.name}`}
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
