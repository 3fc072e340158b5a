import { useState } from "react";
import type { VersusView } from "../api/client";
import { Button, Select } from "../ui/primitives";

interface Props {
  versus: VersusView;
  byWork: boolean;
  onStart: (clocks: number[], label: string) => void;
}

/** Starts all recordings at once: at "go", or each at its own first rep of a place. */
export function StartAt({ versus, onStart }: Props) {
  const { slots, sides } = versus;
  const [at, setAt] = useState(-1);
  const slot = slots[at];
  const start = () =>
    slot
      ? onStart(
          slot.spans.map((span) => span.beginMs ?? span.fromMs),
          slot.place,
        )
      : onStart(
          sides.map(() => 0),
          "go",
        );
  return (
    <span style={{ display: "inline-flex", gap: 6, flexWrap: "wrap" }}>
      <Button onPress={start}>Play in step from</Button>
      <Select aria-label="Start all at" value={at} onChange={(event) => setAt(Number(event.target.value))}>
        <option value={-1}>go</option>
        {slots.map((one, index) => (
          <option key={one.atMs} value={index}>
            {one.place}
          </option>
        ))}
      </Select>
    </span>
  );
}
