import {
  Input as AriaInput,
  Label as AriaLabel,
  TextArea as AriaTextArea,
  ToggleButton as AriaToggle,
  ToggleButtonGroup,
} from "react-aria-components";
import styled, { css } from "styled-components";
import { control } from "./primitives";

const hint = css`
  &::placeholder {
    color: var(--ink-3);
    opacity: 0.75;
    font-style: italic;
  }
`;

export const Toggle = styled(AriaToggle)`
  ${control}
  cursor: pointer;
  &[data-selected] {
    background: var(--ink);
    color: var(--ground);
    border-color: var(--ink);
  }
`;

/** Toggles of which one is chosen. */
export const Toggles = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;

export const Input = styled(AriaInput)`
  ${control}
  ${hint}
  width: 100%;
`;

export const TextArea = styled(AriaTextArea)`
  ${control}
  ${hint}
  width: 100%;
`;

export const Label = styled(AriaLabel)`
  display: block;
  font-size: 13px;
  color: var(--ink-2);
  margin-bottom: 4px;
`;
