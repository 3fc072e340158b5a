import styled from "styled-components";
import { Button } from "../ui/primitives";
import type { Zoom } from "./useZoom";

const Row = styled.div`
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: 13px;
  color: var(--ink-2);
`;

/** Closer to the playhead on the strip, and back to the whole attempt. */
export function ZoomButtons({ zoom }: { zoom: Zoom }) {
  return (
    <Row className="by-mouse" role="group" aria-label="Timeline zoom">
      <Button aria-label="Show more of the attempt" isDisabled={!zoom.wider} onPress={() => zoom.wider?.()}>
        −
      </Button>
      <span>{zoom.factor === 1 ? "fit" : `zoom ${zoom.factor}×`}</span>
      <Button aria-label="Look closer at the playhead" isDisabled={!zoom.closer} onPress={() => zoom.closer?.()}>
        +
      </Button>
    </Row>
  );
}
