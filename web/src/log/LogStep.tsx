import { useRef, useState } from "react";
import { useSearchParams } from "react-router";
import styled from "styled-components";
import type { AttemptView, RecordingView } from "../api/client";
import { useOpenAttempt } from "../attempt/AttemptPage";
import type { Player } from "../player/player";
import { Overlay } from "../ui/Overlay";
import { clock, seconds } from "../ui/time";
import { AddRecording } from "./AddRecording";
import { Board } from "./Board";
import { CueBox } from "./CueBox";
import { LiftBox } from "./LiftBox";
import { KeySheet, Legend } from "./Legend";
import { goAfter } from "./queue";
import { Stage } from "./Stage";
import { Strip } from "./Strip";
import { useLogKeys } from "./useLogKeys";
import { type Marks, useMarks } from "./useMarks";

const Whole = styled.div`
  flex: 1;
  min-height: 0;
  height: calc(100vh - 88px);
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto auto;
`;

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(320px, 1fr);
  min-height: 0;
  @media (max-width: 800px) {
    grid-template-columns: 1fr;
    grid-template-rows: 1fr 1fr;
  }
`;

const Right = styled.section`
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-left: 1px solid var(--line);
`;

const Status = styled.div`
  border-top: 1px solid var(--line);
  padding: 8px 14px;
  font-size: 14px;
  min-height: 56px;
  display: grid;
  align-content: center;
  b {
    font-weight: 600;
  }
`;

/** The log step: eyes on the athlete, hands on the keys. */
export function LogStep() {
  const attempt = useOpenAttempt();
  const marks = useMarks(attempt);
  const [recordingId, setRecordingId] = useState<string>();
  const [adding, setAdding] = useState(false);
  const found = attempt.recordings.find((one) => one.id === recordingId) ?? attempt.recordings[0];
  const recording = found && withGo(found, marks);
  if (!recording || adding) {
    return (
      <Whole style={{ gridTemplateRows: "1fr" }}>
        <AddRecording attemptId={attempt.id} {...(recording ? { onBack: () => setAdding(false) } : {})} />
      </Whole>
    );
  }
  return (
    <Logging
      key={recording.id}
      {...{ attempt, marks, recording }}
      onRecording={setRecordingId}
      onAdd={() => setAdding(true)}
    />
  );
}

interface Props {
  attempt: AttemptView;
  marks: Marks;
  recording: RecordingView;
  onRecording: (id: string) => void;
  onAdd: () => void;
}

function Logging({ attempt, marks, recording, onRecording, onAdd }: Props) {
  const player = useRef<Player>(null);
  const [search] = useSearchParams();
  const keys = useLogKeys({ attempt, marks, recording, player, startAtMs: startOf(search.get("at")) });
  const { log } = attempt;
  const seek = (clockMs: number) => player.current?.seek(clockMs + (recording.goMs ?? 0));
  return (
    <Whole>
      <Two>
        <Stage {...{ attempt, recording, player, onRecording, onAdd }} />
        <Right aria-label="Board">
          <Board attempt={attempt} onSeek={seek} />
          <Status role="status" aria-live="polite">
            <span>{keys.notice ?? closure(attempt)}</span>
            <span style={{ color: "var(--ink-2)" }}>{saved(marks)}</span>
          </Status>
        </Right>
      </Two>
      <Strip
        attempt={attempt}
        goMs={recording.goMs}
        durationMs={recording.durationMs ?? 0}
        player={player}
        chosen={keys.chosen?.id}
        onChoose={keys.choose}
        onSeek={seek}
      />
      <Legend log={log} resting={keys.resting} chosen={keys.chosen} />
      <Overlay title="Keys" isOpen={keys.help} onClose={keys.close}>
        <KeySheet />
      </Overlay>
      <Overlay title={`Cue at ${clock(keys.cueAtMs ?? 0)}`} isOpen={keys.cueAtMs !== undefined} onClose={keys.close}>
        <CueBox onCue={keys.cue} />
      </Overlay>
      <Overlay title={`Lift at ${clock(keys.liftAtMs ?? 0)}`} isOpen={keys.liftAtMs !== undefined} onClose={keys.close}>
        <LiftBox before={log.lifts.at(-1)?.load ?? ""} onLift={keys.lift} />
      </Overlay>
    </Whole>
  );
}

function withGo({ goMs, ...recording }: RecordingView, { waiting }: Marks): RecordingView {
  const go = goAfter(goMs, recording.id, waiting);
  return go === undefined ? recording : { ...recording, goMs: go };
}

function startOf(at: string | null): number | undefined {
  const ms = Number(at ?? Number.NaN);
  return Number.isFinite(ms) ? ms : undefined;
}

function closure({ log }: AttemptView): string {
  if (log.waitingForGo > 0) return `${log.waitingForGo} marks wait for “go” (G).`;
  if (log.marks.length === 0) return "Nothing marked yet. A marks the first action, F each rep, D a movement done.";
  const parts = log.segments.flatMap((segment) => (segment.split ? [segment.split] : []));
  const unclear = log.unseparatedMs > 0 ? `, ${seconds(log.unseparatedMs)} s of it unseparated` : "";
  return `${clock(log.clockMs)} on the clock, all of it in ${parts.length} segments${unclear}.`;
}

function saved({ waiting, offline }: Marks): string {
  if (offline) {
    return `Wake is not answering. Keep logging: ${waiting.length} ${waiting.length === 1 ? "mark waits" : "marks wait"} here and will be sent.`;
  }
  return waiting.length > 0 ? "Saving…" : "All marks saved.";
}
