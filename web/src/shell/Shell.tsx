import { NavLink, Outlet, useMatch } from "react-router";
import styled from "styled-components";
import { OutboxBar } from "../outbox/OutboxBar";
import { skipToContent } from "../ui/focus";
import { NoticeBar } from "../ui/NoticeBar";
import { ButtonLink, Page, Quiet, Sentence } from "../ui/primitives";

const Frame = styled.div`
  min-height: 100%;
  display: flex;
  flex-direction: column;
  /* The log step is as high as the window and no higher; only a window too low for it scrolls. */
  &[data-log] {
    height: 100dvh;
    min-height: 460px;
    @media (max-width: 800px) {
      min-height: 700px;
    }
  }
`;

const Skip = styled.button`
  position: absolute;
  left: 8px;
  top: -60px;
  z-index: 11;
  font: inherit;
  padding: 8px 14px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--panel);
  color: var(--ink);
  &:focus {
    top: 6px;
  }
`;

const Bar = styled.header`
  display: flex;
  align-items: center;
  gap: 4px;
  height: 44px;
  padding: 0 20px;
  border-bottom: 1px solid var(--line);
  background: var(--panel);
  @media (max-width: 620px) {
    padding: 0 10px;
  }
`;

export const Mark = styled(NavLink)`
  display: flex;
  align-items: center;
  gap: 8px;
  font-weight: 680;
  font-stretch: 112%;
  text-decoration: none;
  margin-right: 20px;
  @media (max-width: 620px) {
    margin-right: 0;
    span {
      display: none;
    }
  }
`;

const Place = styled(NavLink)`
  padding: 4px 12px;
  @media (max-width: 620px) {
    padding: 4px 5px;
    font-stretch: 90%;
  }
  border-radius: 6px;
  text-decoration: none;
  color: var(--ink-2);
  &[aria-current="page"] {
    color: var(--ink);
    font-weight: 600;
    box-shadow: inset 0 -2px 0 var(--ink);
    border-radius: 0;
  }
`;

const Add = styled(ButtonLink)`
  white-space: nowrap;
  @media (max-width: 620px) {
    padding: 4px 9px;
    span {
      display: none;
    }
  }
`;

const Spacer = styled.span`
  flex: 1;
`;

/** The straight line, and the wake behind it. */
export function Sign() {
  return (
    <svg width="26" height="16" viewBox="0 0 26 16" aria-hidden>
      <path d="M1 5h24" stroke="currentColor" strokeWidth="1.2" />
      <path d="M1 5c6 0 8 9 13 9s7-3 11-5" fill="none" stroke="currentColor" strokeWidth="2.2" />
    </svg>
  );
}

/** The bar over every place; on the log step the attempt's own bar stands for it, and leaves the room to the recording. */
export function Shell() {
  const onLog = useMatch("/attempts/:id/log") !== null;
  return (
    <Frame data-log={onLog ? true : undefined}>
      <Skip type="button" onClick={skipToContent}>
        Skip to content
      </Skip>
      {!onLog && <Places />}
      <OutboxBar />
      <Outlet />
      <NoticeBar />
    </Frame>
  );
}

function Places() {
  return (
    <Bar>
      <Mark to="/" aria-label="Wake, home">
        <Sign />
        <span>Wake</span>
      </Mark>
      <nav aria-label="Main">
        <Place to="/" end>
          Today
        </Place>
        <Place to="/workouts">Workouts</Place>
        <Place to="/athletes">Athletes</Place>
        <Place to="/data">Data</Place>
      </nav>
      <Spacer />
      <Add to="/attempts/new" aria-label="New attempt">
        New<span> attempt</span>
      </Add>
    </Bar>
  );
}

export function NotFound() {
  return (
    <Page>
      <title>Page not found · Wake</title>
      <Sentence>Page not found.</Sentence>
      <Quiet style={{ margin: "12px 0 20px" }}>Check the address.</Quiet>
      <ButtonLink to="/">Go to Today</ButtonLink>
    </Page>
  );
}
