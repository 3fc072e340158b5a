import { Button as AriaButton } from "react-aria-components/Button";
import { Link } from "react-router";
import styled, { css } from "styled-components";

/** What everything one presses or types into looks like. */
export const control = css`
  font: inherit;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--panel);
  color: var(--ink);
  padding: 6px 12px;
  min-height: 34px;
  /* Fades in under the pointer only: fading from refused to allowed, words stand on their own colour on the way. */
  &[data-hovered] {
    background: var(--selected);
    transition: background 120ms;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
    outline-offset: 2px;
  }
  &[data-disabled] {
    color: var(--ink-3);
    border-style: dashed;
  }
`;

export const Button = styled(AriaButton)`
  ${control}
  cursor: pointer;
`;

export const PrimaryButton = styled(AriaButton)`
  ${control}
  cursor: pointer;
  background: var(--ink);
  color: var(--ground);
  border-color: var(--ink);
  font-weight: 600;
  &[data-hovered] {
    background: var(--ink-2);
  }
  &[data-disabled] {
    background: transparent;
    color: var(--ink-3);
    border-color: var(--line);
  }
`;

export const SmallButton = styled(Button)`
  min-height: 26px;
  padding: 1px 9px;
  font-size: 13px;
`;

export const Select = styled.select`
  ${control}
  max-width: 100%;
`;

export const ButtonLink = styled(Link)`
  ${control}
  display: inline-block;
  text-decoration: none;
`;

/** What a screen is about. It can take the focus, so that a step begun elsewhere goes on here. */
export const Page = styled.main.attrs({ tabIndex: -1 })`
  width: 100%;
  max-width: 1180px;
  margin: 0 auto;
  padding: 32px 24px 64px;
  @media (max-width: 620px) {
    padding: 24px 16px 48px;
  }
`;

/** What can be done on a page, in a row below its headline. */
export const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-top: 12px;
`;

export const Panel = styled.section`
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 6px;
  padding: 20px;
`;

export const Sentence = styled.h1`
  font-size: 26px;
  line-height: 1.25;
  font-weight: 560;
  letter-spacing: -0.01em;
  max-width: 34em;
`;

export const Heading = styled.h2`
  font-size: 13px;
  font-weight: 600;
  font-stretch: 88%;
  color: var(--ink-2);
  margin-bottom: 10px;
`;

export const Quiet = styled.p`
  color: var(--ink-2);
`;

export const Small = styled.span`
  font-size: 13px;
  color: var(--ink-3);
`;

export const Problem = styled.p.attrs({ role: "alert" })`
  color: var(--behind);
`;

export const Caution = styled.div.attrs({ role: "note" })`
  background: var(--caution-ground);
  border-left: 3px solid var(--caution);
  border-radius: 0 6px 6px 0;
  padding: 10px 14px;
  font-size: 13.5px;
`;

/** On a narrow screen each row of a table becomes a card: what stands in a cell is said beside it, from its data-label. */
export const stacked = css`
  @media (max-width: 620px) {
    thead {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
    &,
    tbody,
    tfoot {
      display: block;
    }
    tr {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: 4px 12px;
      padding: 8px 0;
      border-top: 1px solid var(--line);
    }
    tr > td {
      border: 0;
      padding: 0;
      text-align: left;
      white-space: normal;
      width: auto;
      min-width: 0;
    }
    td:empty {
      display: none;
    }
    td:first-child,
    td[colspan] {
      grid-column: 1 / -1;
      width: auto;
    }
    td[data-label]::before {
      content: attr(data-label);
      display: block;
      font-size: 12px;
      color: var(--ink-2);
    }
  }
`;

/** Two columns, the left one so many times as wide; one under the other where there is no room. */
export const TwoColumns = styled.div<{ $left: number }>`
  display: grid;
  grid-template-columns: minmax(0, ${({ $left }) => $left}fr) minmax(0, 1fr);
  gap: 40px;
  margin-top: 28px;
  @media screen and (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-stretch: 88%;
  th {
    text-align: right;
    font-weight: 500;
    font-size: 13px;
    color: var(--ink-2);
    padding: 4px 8px;
  }
  td {
    text-align: right;
    padding: 6px 8px;
    border-top: 1px solid var(--line);
  }
  th:first-child,
  td:first-child {
    text-align: left;
    padding-left: 0;
  }
`;
