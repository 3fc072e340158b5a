import { useMutation } from "@tanstack/react-query";
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from "react";
import styled from "styled-components";
import { api, message, type OutlineView, orProblem, type HeadToHeadSideView } from "../api/client";
import { queryClient } from "../api/queries";
import { Button, Problem } from "../ui/primitives";

const STEP = 0.01;
const LEAST = 0.04;

const Cover = styled.div`
  position: absolute;
  pointer-events: none;
`;

const Box = styled.div`
  position: absolute;
  border: 2px solid var(--ink);
  box-shadow: 0 0 0 1px rgb(0 0 0 / 0.6);
  border-radius: 4px;
  pointer-events: auto;
  cursor: move;
  touch-action: none;
  &:focus-visible {
    outline: 2px solid var(--focus);
    outline-offset: 2px;
  }
  > span {
    position: absolute;
    left: -2px;
    bottom: 100%;
    padding: 0 6px;
    font-size: 12.5px;
    background: rgb(16 27 33 / 0.85);
    white-space: nowrap;
  }
  > i {
    position: absolute;
    right: -6px;
    bottom: -6px;
    width: 14px;
    height: 14px;
    background: var(--ink);
    border-radius: 3px;
    cursor: nwse-resize;
  }
`;

const Add = styled.div`
  position: absolute;
  left: 8px;
  bottom: 8px;
  display: flex;
  gap: 6px;
  pointer-events: auto;
`;

interface Props {
  recordingId: string;
  sides: HeadToHeadSideView[];
  /** Whether there is more than one athlete on the video. */
  shared: boolean;
}

/** Who is to be watched on a video of several: a box each, drawn by hand, moved by pointer or arrow keys. */
export function Outlines({ recordingId, sides, shared }: Props) {
  const cover = useRef<HTMLDivElement>(null);
  const [boxes, setBoxes] = useState<Record<string, OutlineView | undefined>>(() =>
    Object.fromEntries(sides.map((side) => [side.attemptId, side.outline])),
  );
  const [area, setArea] = useState({ left: 0, top: 0, width: 0, height: 0 });
  const keep = useMutation({
    mutationFn: async ({ id, box }: { id: string; box: OutlineView | undefined }) => {
      const params = { path: { id, recordingId } };
      const answer = box
        ? await api.PUT("/api/attempts/{id}/recordings/{recordingId}/outline", { params, body: box })
        : await api.DELETE("/api/attempts/{id}/recordings/{recordingId}/outline", { params });
      orProblem(answer as { data?: unknown; error?: unknown; response: Response });
      await queryClient.invalidateQueries({ queryKey: ["attempt"] });
    },
  });
  // The picture inside its frame: a video that is higher than wide leaves the sides empty.
  useEffect(() => {
    const look = () => {
      const frame = cover.current?.parentElement;
      const picture = frame?.querySelector<HTMLVideoElement | HTMLCanvasElement>("video, canvas");
      if (!frame || !picture) return;
      const wide = picture instanceof HTMLVideoElement ? picture.videoWidth : picture.width;
      const high = picture instanceof HTMLVideoElement ? picture.videoHeight : picture.height;
      const { clientWidth, clientHeight } = frame;
      if (wide === 0 || high === 0) return;
      const scale = Math.min(clientWidth / wide, clientHeight / high);
      const next = {
        left: (clientWidth - wide * scale) / 2,
        top: (clientHeight - high * scale) / 2,
        width: wide * scale,
        height: high * scale,
      };
      setArea((old) => (old.width === next.width && old.left === next.left && old.top === next.top ? old : next));
    };
    const timer = setInterval(look, 400);
    look();
    return () => clearInterval(timer);
  }, []);
  const set = (id: string, box: OutlineView | undefined) => setBoxes((old) => ({ ...old, [id]: box }));
  const put = (id: string, box: OutlineView | undefined) => {
    set(id, box);
    keep.mutate({ id, box });
  };
  const without = sides.filter((side) => !boxes[side.attemptId]);
  return (
    <Cover ref={cover} style={area}>
      {sides.map((side, index) => {
        const box = boxes[side.attemptId];
        return (
          box && (
            <Outline
              key={side.attemptId}
              name={side.name}
              box={box}
              area={area}
              onMove={(next) => set(side.attemptId, next)}
              onPut={(next) => put(side.attemptId, next)}
              tabIndex={index}
            />
          )
        );
      })}
      {shared && without.length > 0 && (
        <Add>
          {without.map((side) => (
            <Button
              key={side.attemptId}
              onPress={() => put(side.attemptId, { x: 0.04 + 0.3 * sides.indexOf(side), y: 0.2, w: 0.26, h: 0.7 })}
            >
              Outline {side.name}
            </Button>
          ))}
        </Add>
      )}
      {keep.isError && <Problem style={{ pointerEvents: "auto" }}>{message(keep.error)}</Problem>}
    </Cover>
  );
}

interface OutlineProps {
  name: string;
  box: OutlineView;
  area: { width: number; height: number };
  tabIndex: number;
  onMove: (box: OutlineView) => void;
  /** It is let go; nothing takes it away. */
  onPut: (box: OutlineView | undefined) => void;
}

function Outline({ name, box, area, onMove, onPut }: OutlineProps) {
  const drag = useRef<{ x: number; y: number; box: OutlineView; size: boolean }>(undefined);
  const take = (event: PointerEvent<HTMLElement>, size: boolean) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, y: event.clientY, box, size };
  };
  const pull = (event: PointerEvent<HTMLElement>) => {
    const from = drag.current;
    if (!from || area.width === 0) return;
    const dx = (event.clientX - from.x) / area.width;
    const dy = (event.clientY - from.y) / area.height;
    onMove(from.size ? sized(from.box, dx, dy) : moved(from.box, dx, dy));
  };
  const release = () => {
    if (drag.current) onPut(box);
    drag.current = undefined;
  };
  const key = (event: KeyboardEvent) => {
    const dx = event.key === "ArrowRight" ? STEP : event.key === "ArrowLeft" ? -STEP : 0;
    const dy = event.key === "ArrowDown" ? STEP : event.key === "ArrowUp" ? -STEP : 0;
    const gone = event.key === "Delete" || event.key === "Backspace";
    if (dx === 0 && dy === 0 && !gone) return;
    event.preventDefault();
    event.stopPropagation();
    onPut(gone ? undefined : event.shiftKey ? sized(box, dx, dy) : moved(box, dx, dy));
  };
  return (
    <Box
      role="group"
      tabIndex={0}
      data-keys
      aria-label={`Outline of ${name}: arrow keys move it, with Shift they size it, Delete removes it`}
      style={{ left: pc(box.x), top: pc(box.y), width: pc(box.w), height: pc(box.h) }}
      onKeyDown={key}
      onPointerDown={(event) => take(event, false)}
      onPointerMove={pull}
      onPointerUp={release}
      onPointerCancel={release}
    >
      <span>{name}</span>
      <i
        onPointerDown={(event) => take(event, true)}
        onPointerMove={pull}
        onPointerUp={(event) => {
          event.stopPropagation();
          release();
        }}
      />
    </Box>
  );
}

const pc = (share: number) => `${100 * share}%`;

function moved(box: OutlineView, dx: number, dy: number): OutlineView {
  return { ...box, x: within(box.x + dx, 0, 1 - box.w), y: within(box.y + dy, 0, 1 - box.h) };
}

function sized(box: OutlineView, dx: number, dy: number): OutlineView {
  return { ...box, w: within(box.w + dx, LEAST, 1 - box.x), h: within(box.h + dy, LEAST, 1 - box.y) };
}

function within(value: number, least: number, most: number): number {
  return Math.min(Math.max(least, value), Math.max(least, most));
}
