import { SliderThumb, SliderTrack } from "react-aria-components";
import styled from "styled-components";

export const Track = styled(SliderTrack)`
  height: 24px;
  width: 100%;
  &::before {
    content: "";
    position: absolute;
    top: 11px;
    width: 100%;
    height: 2px;
    background: var(--line);
  }
`;

export const Thumb = styled(SliderThumb)`
  top: 12px;
  width: 10px;
  height: 20px;
  border-radius: 3px;
  background: var(--ink);
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
    outline-offset: 2px;
  }
`;
