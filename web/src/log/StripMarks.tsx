import { memo, type PointerEvent, useState } from "react";
import styled from "styled-components";
import type { MarkView } from "../api/client";
import { clock } from "../ui/time";
import { BAND_H, BAND_Y, scaleOf, type Window } from "./StripBand";
import { KINDS } from "./kinds";

const HEIGHT = 12;
/** How near a pointer must come to a mark, pixels. */
const REACH = 4;

const Row = styled.div`
  position: absolute;
  top: ${BAND_Y + BAND_H}px;
  left: 0;
  right: 0;
  height: ${HEIGHT}px;
  touch-action: none;
  /* A layer of its own: what changes beside it does not have it painted again. */
  will-change: transform;
  svg {
    pointer-events: none;
  }
`;

const Tick = styled.button`
  all: unset;
  position: absolute;
  top: 0;
  width: 7px;
  height: ${HEIGHT}px;
  margin-left: -3px;
  cursor: pointer;
  &::before {
    content: "";
    position: absolute;
    left: 3px;
    top: 0;
    width: 1px;
    height: 7px;
    background: var(--ink-2);
  }
  &[aria-pressed="true"]::before {
    width: 5px;
    left: 1px;
    height: 10px;
    background: var(--ink);
  }
  &[data-odd]::before {
    background: var(--caution);
    width: 3px;
  }
  &:focus-visible {
    outline: 2px solid var(--focus);
  }
`;

const FRAME_MS = 1000 / 30;

/** The nearest thirtieth of a second. */
function onFrame(ms: number): number {
  return Math.round(Math.max(0, Math.round(ms / FRAME_MS) * FRAME_MS));
}

interface Props extends Window {
  marks: MarkView[];
  chosen: string | undefined;
  onChoose: (mark: MarkView) => void;
  /** A mark was dragged to another clock time, on a frame. */
  onMove: (mark: MarkView, clockMs: number) => void;
  /** Where a mark is being dragged to; undefined once it is let go. */
  onDrag: (clockMs: number | undefined) => void;
  onSeek: (clockMs: number) => void;
}

interface Drag {
  mark: MarkView;
  fromX: number;
  /** Undefined until it has been pulled far enough to be meant. */
  toMs: number | undefined;
}

/**
 * The marks of an attempt, to be chosen or dragged. There may be thousands: they are one drawing, and only what is chosen, dragged,
 * worded or does not fit is an element of its own.
 */
export const StripMarks = memo(function StripMarks({
  marks,
  chosen,
  onChoose,
  onMove,
  onDrag,
  onSeek,
  ...window
}: Props) {
  const [drag, setDrag] = useState<Drag>();
  const x = scaleOf(window);
  const near = (at: number) => nearest(marks, x, at);
  const stands = (mark: MarkView) =>
    mark.rejected !== undefined || mark.text !== "" || mark.id === chosen || mark.id === drag?.mark.id;
  const shown = marks.filter(stands);

  const take = (event: PointerEvent<HTMLElement>) => {
    const mark = near(placeOf(event));
    if (!mark) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setDrag({ mark, fromX: placeOf(event), toMs: undefined });
  };
  const pull = (event: PointerEvent<HTMLElement>) => {
    const at = placeOf(event);
    if (!drag) {
      event.currentTarget.style.cursor = near(at) ? "pointer" : "default";
    } else if (drag.toMs !== undefined || Math.abs(at - drag.fromX) > REACH - 1) {
      const toMs = onFrame(x.invert(at));
      setDrag({ ...drag, toMs });
      onDrag(toMs);
    }
  };
  const release = (event: PointerEvent<HTMLElement>) => {
    if (!drag) onSeek(x.invert(placeOf(event)));
    else if (drag.toMs === undefined) onChoose(drag.mark);
    else onMove(drag.mark, drag.toMs);
    forget();
  };
  const forget = () => {
    setDrag(undefined);
    onDrag(undefined);
  };

  return (
    <Row onPointerDown={take} onPointerMove={pull} onPointerUp={release} onPointerCancel={forget}>
      <Drawing marks={marks} {...window} />
      {shown.map((mark) => (
        <Tick
          key={mark.id}
          type="button"
          tabIndex={mark.id === chosen ? 0 : -1}
          aria-pressed={mark.id === chosen}
          aria-label={`${KINDS[mark.kind]} at ${clock(mark.clockMs ?? 0)}`}
          data-odd={mark.rejected ? true : undefined}
          style={{ left: x((mark.id === drag?.mark.id ? drag.toMs : undefined) ?? mark.clockMs ?? 0) }}
          title={mark.rejected ?? mark.text}
          // A pointer has chosen it already; this is the keyboard.
          onClick={(event) => event.detail === 0 && onChoose(mark)}
        />
      ))}
    </Row>
  );
});

const Drawing = memo(function Drawing({ marks, from, span, width }: Window & { marks: MarkView[] }) {
  const x = scaleOf({ from, span, width });
  const places = marks.map((mark) => x(mark.clockMs ?? 0)).filter((place) => place >= 0 && place <= width);
  return (
    <svg width={width} height={HEIGHT} aria-hidden>
      <path d={places.map((place) => `M${place.toFixed(1)} 0v7`).join("")} stroke="var(--ink-2)" />
    </svg>
  );
});

/** Pixels from the left end of the strip. */
function placeOf(event: PointerEvent<HTMLElement>): number {
  return event.clientX - event.currentTarget.getBoundingClientRect().left;
}

function nearest(marks: MarkView[], x: (ms: number) => number, place: number): MarkView | undefined {
  let best: MarkView | undefined;
  let least = REACH;
  for (const mark of marks) {
    const away = Math.abs(x(mark.clockMs ?? 0) - place);
    if (away < least) {
      best = mark;
      least = away;
    }
  }
  return best;
}
