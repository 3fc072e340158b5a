import { useState } from "react";
import styled from "styled-components";
import type { MarkKind, MarkView } from "../api/client";
import { Select, SmallButton } from "../ui/primitives";
import { clock } from "../ui/time";
import { KINDS } from "./kinds";

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding: 2px 20px 8px;
  font-size: 13.5px;
  input,
  select {
    font: inherit;
    min-height: 28px;
    padding: 2px 8px;
    border: 1px solid var(--line);
    border-radius: 6px;
    background: var(--panel);
    color: var(--ink);
  }
`;

/** What a mark can be turned into: those that say something by their time alone. */
const PLAIN: MarkKind[] = ["BEGIN", "REP", "OFF", "ON", "DONE", "NO_REP", "MISS", "TRIP", "STOP"];

export interface Corrections {
  retime: (clockMs: number, step: number) => void;
  rekind: (kind: MarkKind) => void;
  recount: (reps: number) => void;
  reword: (text: string) => void;
  /** How a lift came out: reps made, and the tag that says so. */
  relift: (reps: number, tag: string) => void;
  remove: () => void;
  join: () => void;
  leave: () => void;
}

interface Props {
  mark: MarkView;
  on: Corrections;
}

/** The chosen mark, to be corrected: its time, its kind, the reps of its set, or taken out. */
export function Chosen({ mark, on }: Props) {
  const counts = mark.kind === "OFF";
  const plain = PLAIN.includes(mark.kind);
  return (
    <Bar role="group" aria-label="Selected mark" data-chosen>
      {plain ? (
        <Select
          aria-label="What was seen"
          value={mark.kind}
          onChange={(event) => on.rekind(event.target.value as MarkKind)}
        >
          {PLAIN.map((kind) => (
            <option key={kind} value={kind}>
              {KINDS[kind]}
            </option>
          ))}
        </Select>
      ) : (
        <strong>{KINDS[mark.kind]}</strong>
      )}
      <Typed
        key={`${mark.id} ${mark.clockMs ?? ""}`}
        label="Time of the mark"
        value={clock(mark.clockMs ?? 0)}
        width={84}
        onKeep={(text) => {
          const read = readClock(text);
          if (read) on.retime(read.ms, read.step);
        }}
      />
      {counts && (
        <>
          <span>reps of the set</span>
          <Typed
            key={`${mark.id} ${mark.reps}`}
            label="Reps of the set"
            value={mark.reps ? `${mark.reps}` : ""}
            width={56}
            onKeep={(text) => /^\d{1,4}$/.test(text) && on.recount(Number(text))}
          />
        </>
      )}
      {mark.kind === "CUE" && (
        <Typed
          key={mark.text}
          label="Text of the note"
          value={mark.text}
          width={280}
          onKeep={(text) => on.reword(text)}
        />
      )}
      {mark.kind === "LIFT" && (
        <>
          <Typed
            key={mark.text}
            label="Load of the lift"
            value={mark.text}
            width={150}
            onKeep={(text) => text !== "" && on.reword(text)}
          />
          <Select
            aria-label="Result of the lift"
            value={mark.tag === "open" ? "open" : mark.reps > 0 ? "made" : "missed"}
            onChange={({ target }) => on.relift(target.value === "made" ? 1 : 0, target.value === "open" ? "open" : "")}
          >
            <option value="open">set by later marks</option>
            <option value="made">made</option>
            <option value="missed">missed</option>
          </Select>
        </>
      )}
      {mark.rejected && <span style={{ color: "var(--caution)" }}>{mark.rejected}</span>}
      {(mark.kind === "OFF" || mark.kind === "ON") && <SmallButton onPress={on.join}>Join sets (J)</SmallButton>}
      <SmallButton onPress={on.remove}>Delete (Del)</SmallButton>
      <SmallButton onPress={on.leave}>Close (Esc)</SmallButton>
      <span style={{ color: "var(--ink-3)" }}>[ ] one frame · , . previous/next mark</span>
    </Bar>
  );
}

interface TypedProps {
  label: string;
  value: string;
  width: number;
  onKeep: (text: string) => void;
}

function Typed({ label, value, width, onKeep }: TypedProps) {
  const [text, setText] = useState(value);
  const keep = () => {
    if (text.trim() !== value) onKeep(text.trim());
  };
  return (
    <input
      aria-label={label}
      value={text}
      style={{ width }}
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === "Enter") keep();
        if (event.key === "Escape") {
          setText(value);
          event.currentTarget.blur();
        }
      }}
    />
  );
}

/** Reads m:ss or m:ss.d as milliseconds, with the worth of its last digit in seconds. */
export function readClock(text: string): { ms: number; step: number } | undefined {
  const read = /^(?:(\d{1,2}):)?(\d{1,3}):([0-5]\d)(?:[.](\d{1,3}))?$/.exec(text.trim());
  if (!read) return undefined;
  const [, hours = "0", minutes = "0", seconds = "0", fraction = ""] = read;
  const whole = (Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds);
  return { ms: whole * 1000 + Number(fraction.padEnd(3, "0")), step: 10 ** -fraction.length };
}
