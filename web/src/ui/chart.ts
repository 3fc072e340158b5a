import styled from "styled-components";

/** What a picture over the clock or the work stands in. */
export const ChartFrame = styled.div`
  position: relative;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 6px;
  padding: 8px 0 0;
  svg {
    display: block;
    outline-offset: -3px;
  }
  text {
    fill: var(--ink-2);
    font-size: 12px;
    font-stretch: 80%;
  }
`;

/** What is pointed at on it, in words. */
export const Readout = styled.p`
  padding: 0 16px;
  font-size: 14px;
  color: var(--ink-2);
`;
