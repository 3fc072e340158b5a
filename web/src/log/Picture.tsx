import { type ReactNode, useRef, useState } from "react";
import { Dialog, DialogTrigger, Label, Popover, Slider } from "react-aria-components";
import styled from "styled-components";
import { Button } from "../ui/primitives";
import { Thumb, Track } from "../ui/slider";

/** How the picture is looked at: enlarged, and lit for dark gyms. Nothing of it changes the recording. */
export interface Look {
  zoom: number;
  brightness: number;
  contrast: number;
}

export const PLAIN: Look = { zoom: 1, brightness: 1, contrast: 1 };

const Frame = styled.div`
  position: absolute;
  inset: 0;
  overflow: hidden;
  touch-action: none;
`;

const Sheet = styled(Popover)`
  background: var(--panel);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: 6px;
  padding: 14px 18px;
  width: 260px;
`;

interface LensProps extends Look {
  children: ReactNode;
}

/** Shows the recording as it is looked at; enlarged, it is dragged about. */
export function Lens({ zoom, brightness, contrast, children }: LensProps) {
  // Where the picture is dragged to, as shares of the frame.
  const [shift, setShift] = useState({ x: 0, y: 0 });
  const from = useRef<{ x: number; y: number }>(undefined);
  const reach = (zoom - 1) / 2;
  const limited = (share: number) => Math.min(reach, Math.max(-reach, share));
  const at = { x: limited(shift.x), y: limited(shift.y) };
  return (
    <Frame
      style={zoom > 1 ? { cursor: "grab" } : {}}
      onPointerDown={(event) => {
        if (zoom === 1) return;
        const { clientWidth, clientHeight } = event.currentTarget;
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX / clientWidth - at.x, y: event.clientY / clientHeight - at.y };
      }}
      onPointerMove={(event) => {
        const start = from.current;
        const { clientWidth, clientHeight } = event.currentTarget;
        if (start) setShift({ x: event.clientX / clientWidth - start.x, y: event.clientY / clientHeight - start.y });
      }}
      onPointerUp={() => {
        from.current = undefined;
      }}
    >
      <div
        style={{
          width: "100%",
          height: "100%",
          transform: zoom > 1 ? `translate(${100 * at.x}%, ${100 * at.y}%) scale(${zoom})` : undefined,
          filter: brightness === 1 && contrast === 1 ? undefined : `brightness(${brightness}) contrast(${contrast})`,
        }}
      >
        {children}
      </div>
    </Frame>
  );
}

interface SettingsProps {
  look: Look;
  onLook: (look: Look) => void;
}

const SETTINGS: { part: keyof Look; name: string; from: number; to: number }[] = [
  { part: "zoom", name: "Zoom", from: 1, to: 4 },
  { part: "brightness", name: "Brightness", from: 0.5, to: 3 },
  { part: "contrast", name: "Contrast", from: 0.5, to: 2.5 },
];

/** Enlarging, brightness and contrast. */
export function PictureSettings({ look, onLook }: SettingsProps) {
  return (
    <DialogTrigger>
      <Button>Picture</Button>
      <Sheet className="stage-dark" placement="top">
        <Dialog aria-label="Picture" style={{ outline: "none", display: "grid", gap: 10 }}>
          {SETTINGS.map(({ part, name, from, to }) => (
            <Slider
              key={part}
              minValue={from}
              maxValue={to}
              step={0.1}
              value={look[part]}
              onChange={(value) => onLook({ ...look, [part]: value })}
            >
              <Label>
                {name} {look[part].toFixed(1)}×
              </Label>
              <Track>
                <Thumb aria-label={name} />
              </Track>
            </Slider>
          ))}
          <Button onPress={() => onLook(PLAIN)}>Reset</Button>
        </Dialog>
      </Sheet>
    </DialogTrigger>
  );
}
