import styled from "styled-components";

/** Boxes and words that make one sentence. */
export const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-bottom: 8px;
`;
