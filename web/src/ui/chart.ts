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

/** What a chart says of the place pointed at. It keeps room for the longest, so that the page does not jump from place to place. */
export const Readout = styled.p`
  padding: 0 16px 6px;
  min-height: 48px;
  @media (max-width: 600px) {
    min-height: 92px;
  }
  font-size: 14px;
  color: var(--ink-2);
`;
