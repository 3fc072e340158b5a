import { Link } from "react-router";
import styled from "styled-components";
import type { LimitedView } from "../api/client";
import { Small } from "../ui/primitives";
import { day } from "../ui/time";

const Rows = styled.ol`
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 92px minmax(90px, 150px) minmax(0, 1fr);
    gap: 12px;
    align-items: center;
    padding: 3px 0;
    font-stretch: 88%;
  }
  @media (max-width: 620px) {
    li {
      grid-template-columns: 84px minmax(0, 1fr);
    }
    li > span:last-child {
      grid-column: 1 / -1;
    }
  }
`;

const Track = styled.span`
  position: relative;
  display: block;
  height: 16px;
  border-bottom: 1px solid var(--line);
  i {
    position: absolute;
    bottom: 0;
    width: 10px;
    margin-left: -5px;
    background: var(--behind);
  }
`;

/** Which movement lost the most in each attempt, and where in it: the place along the line is the clock, the height how much. */
export function Limiters({ of, says }: { of: LimitedView[]; says: string }) {
  return (
    <>
      {says && <p>{says}</p>}
      <Rows>
        {of.map((one) => (
          <li key={one.attemptId} title={one.says}>
            <Link to={`/attempts/${one.attemptId}/reading`}>{day(one.on)}</Link>
            <span>{one.movement}</span>
            <Track role="img" aria-label={one.says}>
              <i style={{ left: `${100 * one.atShare}%`, height: `${Math.max(3, 16 * one.lostShare)}px` }} />
            </Track>
          </li>
        ))}
      </Rows>
      <Small as="p" style={{ marginTop: 4 }}>
        Each line is one attempt, start to finish. The bar shows where most time was lost; taller = more.
      </Small>
    </>
  );
}
