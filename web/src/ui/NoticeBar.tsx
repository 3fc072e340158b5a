import { useSyncExternalStore } from "react";
import styled from "styled-components";
import { notices, unsay } from "./notices";
import { SmallButton } from "./primitives";

const Bar = styled.div`
  position: fixed;
  left: 50%;
  bottom: 18px;
  transform: translateX(-50%);
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 9px 16px;
  border-radius: 6px;
  border: 1px solid var(--line);
  background: var(--panel);
  color: var(--ink);
  max-width: 92vw;
  z-index: 9;
`;

/** Says at the foot of the screen what was just done, with the way back. */
export function NoticeBar() {
  const notice = useSyncExternalStore(notices.subscribe, notices.now);
  return (
    <div aria-live="polite">
      {notice && (
        <Bar>
          <span>{notice.words}</span>
          {notice.way && (
            <SmallButton
              onPress={() => {
                notice.way?.act();
                unsay();
              }}
            >
              {notice.way.words}
            </SmallButton>
          )}
        </Bar>
      )}
    </div>
  );
}
