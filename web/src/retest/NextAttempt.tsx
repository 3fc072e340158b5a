import { type ReactNode, useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import type { RetestView } from "../api/client";
import { Input } from "../ui/fields";
import { Caution, Heading, PrimaryButton, Quiet, Small } from "../ui/primitives";
import { capital, day } from "../ui/time";

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin: 14px 0 8px;
  label {
    display: block;
    font-size: 13px;
    color: var(--ink-2);
    margin-bottom: 3px;
  }
  input {
    width: 160px;
  }
`;

interface Props {
  attemptId: string;
  view: Pick<RetestView, "date" | "retests">;
  isSetting: boolean;
  onSet: (doneOn: string) => void;
  /** The plan it would have, place by place. */
  children?: ReactNode;
}

/** The next attempt: its plan with the chosen changes, its day, and the attempts set so far. */
export function NextAttempt({ attemptId, view, isSetting, onSet, children }: Props) {
  const { date, retests } = view;
  const [on, setOn] = useState(date.earliest);
  const early = on < date.earliest;
  const latest = useRef<HTMLAnchorElement>(null);
  const known = useRef(retests.length);
  // A retest that was just set is where the job goes on.
  useEffect(() => {
    if (retests.length > known.current) latest.current?.focus();
    known.current = retests.length;
  }, [retests.length]);
  return (
    <section aria-label="Retest plan" style={{ marginTop: 32 }}>
      <Heading>Retest plan</Heading>
      {children}
      <Line>
        <div>
          <label htmlFor="retest-day">Day of the retest</label>
          <Input
            id="retest-day"
            className="not-on-paper"
            type="date"
            value={on}
            onChange={(event) => setOn(event.target.value)}
          />
          <span className="only-on-paper"> {on !== "" && day(on)}</span>
        </div>
        <PrimaryButton isDisabled={isSetting || date.blocked !== undefined || on === ""} onPress={() => onSet(on)}>
          Schedule retest
        </PrimaryButton>
        {date.blocked === undefined && on !== "" && (
          <a className="not-on-paper" href={`/api/attempts/${attemptId}/retest/calendar?on=${on}`} download>
            Add to calendar (.ics)
          </a>
        )}
      </Line>
      {date.blocked ? (
        <Caution role="alert">{date.blocked}</Caution>
      ) : (
        <Small as="p">
          Earliest day: {day(date.earliest)}. {capital(date.reason)}
        </Small>
      )}
      {early && date.blocked === undefined && (
        <Caution style={{ marginTop: 8 }}>Earlier than advised. Recovery comes before the date.</Caution>
      )}
      {retests.length > 0 && (
        <Quiet style={{ marginTop: 12 }}>
          {retests.map((one, index) => (
            <span key={one.id} style={{ display: "block" }}>
              <Link
                ref={index === retests.length - 1 ? latest : undefined}
                to={`/attempts/${one.id}/${one.score ? "retest" : "plan"}`}
              >
                Retest on {day(one.doneOn)}
              </Link>
              {one.score ? `: ${one.score}` : ": scheduled with this plan"}
            </span>
          ))}
        </Quiet>
      )}
    </section>
  );
}
