import { useState } from "react";
import { useSearchParams } from "react-router";
import styled from "styled-components";
import type { RecordingView } from "../api/client";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { goAfter, useWaiting } from "../outbox/queue";
import { RigClock } from "../player/RigClock";
import { AddRecording } from "./AddRecording";
import { Logging } from "./Logging";
import { TimeSheet } from "./TimeSheet";
import { useMarks } from "./useMarks";
import { isOver } from "./isOver";

const Whole = styled.main.attrs({ tabIndex: -1 })`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  overflow: auto;
`;

type Way = "recording" | "adding" | "typing" | "rig";

/** The log step: eyes on the athlete, hands on the keys. */
export function LogStep() {
  const attempt = useOpenAttempt();
  const marks = useMarks(attempt);
  const [rig] = useState(() => new RigClock(attempt.id, localStorage));
  const { log } = attempt;
  const over = isOver(log);
  // Opened at the rig, it stays there also when the last mark ends it: that is where it says so.
  const [atRig] = useState(() => rig.started() && !over);
  const [recordingId, setRecordingId] = useState<string>();
  const [way, setWay] = useState<Way>();
  const [, setSearch] = useSearchParams();
  const found = attempt.recordings.find((one) => one.id === recordingId) ?? attempt.recordings[0];
  const goMs = useWaiting(marks.waiting, (ops) => found && goAfter(found.goMs, found.id, ops));
  const recording = found && withGo(found, goMs);
  const back = () => setWay(recording ? "recording" : "adding");
  // Marks without a recording came from times, or from the clock at the rig: they are looked at where times are typed.
  const usual = recording ? "recording" : atRig ? "rig" : log.marks.length > 0 ? "typing" : "adding";
  switch (way ?? usual) {
    case "typing":
      return (
        <Whole>
          <h1 className="visually-hidden">Times of the attempt</h1>
          <TimeSheet attempt={attempt} onBack={back} />
        </Whole>
      );
    case "rig":
      return <Logging key="rig" {...{ attempt, marks, rig }} source={{ id: undefined }} onLeave={back} />;
    case "recording":
      if (recording) {
        return (
          <Logging
            key={recording.id}
            {...{ attempt, marks, recording }}
            source={recording}
            onRecording={(id, clockMs) => {
              setRecordingId(id);
              // The other camera opens at the same workout time.
              setSearch({ at: `${Math.round(clockMs)}` }, { replace: true });
            }}
            onLeave={() => setWay("adding")}
          />
        );
      }
  }
  return (
    <Whole>
      <h1 className="visually-hidden">Video of the attempt</h1>
      <AddRecording
        attemptId={attempt.id}
        onTimes={() => setWay("typing")}
        {...(recording ? { onBack: () => setWay("recording") } : { onRig: () => setWay("rig") })}
        onAdded={(id) => {
          if (id !== undefined) setRecordingId(id);
          setWay("recording");
        }}
      />
    </Whole>
  );
}

function withGo(recording: RecordingView, goMs: number | undefined): RecordingView {
  const moved = { ...recording };
  delete moved.goMs;
  return goMs === undefined ? moved : { ...moved, goMs };
}
