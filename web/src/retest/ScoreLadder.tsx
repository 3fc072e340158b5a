import styled from "styled-components";
import type { ProjectionView } from "../api/client";

const Ladder = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  border-left: 2px solid var(--ink);
  li {
    position: relative;
    padding: 10px 0 10px 20px;
  }
  li::before {
    content: "";
    position: absolute;
    left: 0;
    top: 26px;
    width: 12px;
    border-top: 2px solid var(--ink);
  }
  li[data-range]::before {
    border-top-style: dashed;
  }
  b {
    display: block;
    font-size: 30px;
    line-height: 1.15;
    font-weight: 620;
    font-stretch: 80%;
  }
  span {
    color: var(--ink-2);
    font-size: 14px;
  }
`;

/** First attempt at the foot, what the changes would make of it above. */
export function ScoreLadder({ view }: { view: ProjectionView }) {
  const { before, together, onEvidence } = view;
  return (
    <Ladder aria-label="Scores, the best on top">
      <li data-range>
        <b style={{ color: "var(--ahead)" }}>{together.words}</b>
        <span>if everything chosen lands</span>
      </li>
      <li data-range>
        <b>{onEvidence.words}</b>
        <span>on evidence: as far as the athlete has shown it</span>
      </li>
      <li>
        <b>{before.words}</b>
        <span>this attempt</span>
      </li>
    </Ladder>
  );
}
