import { useState } from "react";
import type { HeadToHeadView } from "../api/client";
import { Button, Select } from "../ui/primitives";

interface Props {
  versus: HeadToHeadView;
  onStart: (clocks: number[], label: string) => void;
}

/** Starts all recordings at once: at "go", each at their own time first rep of a place, or all at the clock at which the first comes there. */
export function StartAt({ versus, onStart }: Props) {
  const { slots, sides } = versus;
  const [at, setAt] = useState(-1);
  const [own, setOwn] = useState(true);
  const slot = slots[at];
  const start = () => {
    const clocks = slot?.spans.map((span) => span.beginMs ?? span.fromMs) ?? sides.map(() => 0);
    onStart(own ? clocks : clocks.map(() => clocks[0] ?? 0), slot?.place ?? "go");
  };
  return (
    <span style={{ display: "inline-flex", gap: 6, flexWrap: "wrap" }}>
      <Button onPress={start}>Play side by side from</Button>
      <Select aria-label="Start all at" value={at} onChange={(event) => setAt(Number(event.target.value))}>
        <option value={-1}>go</option>
        {slots.map((one, index) => (
          <option key={one.atMs} value={index}>
            {one.place}
          </option>
        ))}
      </Select>
      {slot && (
        <Select
          aria-label="Line up by movement or by clock"
          value={own ? "work" : "clock"}
          onChange={(event) => setOwn(event.target.value === "work")}
        >
          <option value="work">each at their own time</option>
          <option value="clock">all at the clock of {sides[0]?.name}</option>
        </Select>
      )}
    </span>
  );
}
