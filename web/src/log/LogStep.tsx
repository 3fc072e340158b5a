import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import styled from "styled-components";
import {
  api,
  type AttemptView,
  type LogSettings,
  type MarkView,
  message,
  orProblem,
  type RecordingView,
} from "../api/client";
import { keys as queryKeys, queryClient, useLogSettings } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { type Deck, useDeck } from "../player/deck";
import { Overlay } from "../ui/Overlay";
import { clock, seconds } from "../ui/time";
import { AddRecording } from "./AddRecording";
import { Board } from "./Board";
import { Chosen } from "./Chosen";
import { ClockBox } from "./ClockBox";
import { CueBox } from "./CueBox";
import { LiftBox } from "./LiftBox";
import { KeySheet } from "./KeySheet";
import { Legend } from "./Legend";
import { goAfter, useWaiting } from "../outbox/queue";
import { Saved } from "./Saved";
import { Stage } from "./Stage";
import { Standards } from "./Standards";
import { Strip } from "./Strip";
import { TimeSheet } from "./TimeSheet";
import { VariantBox } from "./VariantBox";
import { useStable } from "../ui/useStable";
import { useLogKeys } from "./useLogKeys";
import { type Marks, useFromElsewhere, useMarks } from "./useMarks";

const Whole = styled.div`
  flex: none;
  height: calc(100dvh - 88px);
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
  /* Its words change with every key: a layer of its own keeps the board from being painted again. */
  contain: layout paint;
  will-change: transform;
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
  const [typing, setTyping] = useState(false);
  const [, setSearch] = useSearchParams();
  const found = attempt.recordings.find((one) => one.id === recordingId) ?? attempt.recordings[0];
  const goMs = useWaiting(marks.waiting, (ops) => found && goAfter(found.goMs, found.id, ops));
  const recording = found && withGo(found, goMs);
  // Marks without a recording came from times: they are looked at where they were typed.
  if (typing || (!recording && !adding && attempt.log.marks.length > 0)) {
    const back = () => {
      setTyping(false);
      setAdding(!recording);
    };
    return (
      <Whole style={{ gridTemplateRows: "1fr" }}>
        <TimeSheet attempt={attempt} onBack={back} />
      </Whole>
    );
  }
  if (!recording || adding) {
    return (
      <Whole style={{ gridTemplateRows: "1fr" }}>
        <AddRecording
          attemptId={attempt.id}
          onTimes={() => setTyping(true)}
          {...(recording ? { onBack: () => setAdding(false) } : {})}
        />
      </Whole>
    );
  }
  return (
    <Logging
      key={recording.id}
      {...{ attempt, marks, recording }}
      onRecording={(id, clockMs) => {
        setRecordingId(id);
        // The other camera opens at the same workout time.
        setSearch({ at: `${Math.round(clockMs)}` }, { replace: true });
      }}
      onAdd={() => setAdding(true)}
    />
  );
}

interface Props {
  attempt: AttemptView;
  marks: Marks;
  recording: RecordingView;
  onRecording: (id: string, clockMs: number) => void;
  onAdd: () => void;
}

function Logging({ attempt, marks, recording, onRecording, onAdd }: Props) {
  const deck = useDeck();
  const [search] = useSearchParams();
  const { settings, keep, problem } = useSettings();
  const keys = useLogKeys({
    attempt,
    marks,
    recording,
    deck,
    startAtMs: startOf(search.get("at")),
    keys: settings.keys,
  });
  const { log } = attempt;
  const { chosen } = keys;
  const elsewhere = useFromElsewhere(log, marks.isOwn);
  const goMs = recording.goMs ?? 0;
  const seek = useStable((clockMs: number) => deck.player?.seek(clockMs + goMs));
  const done = (doing: () => void) => {
    doing();
    keys.close();
  };
  const current = log.segments.find((segment) => segment.index === log.currentIndex);
  return (
    <Whole>
      <Two>
        <Stage {...{ attempt, recording, deck, onAdd }} onRecording={(id) => onRecording(id, clockOf(deck, goMs))} />
        <Right aria-label="Board">
          <Board attempt={attempt} onSeek={seek} />
          <Status role="status" aria-live="polite">
            <span>{keys.notice ?? elsewhere ?? closure(attempt)}</span>
            <Saved marks={marks} />
          </Status>
        </Right>
      </Two>
      <Strip
        attempt={attempt}
        waiting={marks.waiting}
        recording={recording}
        deck={deck}
        chosen={chosen?.id}
        onChoose={keys.choose}
        onMove={(mark, clockMs) => keys.correct(mark, { atMs: toMark(mark, clockMs), made: "STEPPED", step: FRAME_S })}
        onSeek={seek}
      />
      {chosen ? (
        <Chosen
          mark={chosen}
          on={{
            retime: (clockMs, step) => keys.correct(chosen, { atMs: toMark(chosen, clockMs), made: "TYPED", step }),
            rekind: (kind) => keys.correct(chosen, { kind }),
            recount: (reps) => keys.correct(chosen, { reps }),
            reword: (text) => keys.correct(chosen, { text }),
            remove: keys.removeChosen,
            join: keys.joinChosen,
            leave: keys.leave,
          }}
        />
      ) : (
        <Legend log={log} waiting={marks.waiting} keys={settings.keys} />
      )}
      <Overlay title="Keys" isOpen={keys.box === "help"} onClose={keys.close}>
        <KeySheet keys={settings.keys} onKeys={(map) => keep({ ...settings, keys: map })} problem={problem} />
      </Overlay>
      <Overlay title={`Cue at ${clock(keys.boxMs - goMs)}`} isOpen={keys.box === "cue"} onClose={keys.close}>
        <CueBox
          phrases={settings.phrases}
          goodRep={current && attempt.lines[current.lineIndex]?.goodRep}
          onCue={(text, tag) => done(() => keys.mark("CUE", keys.boxMs, { text, tag }))}
          onPhrases={(phrases) => keep({ ...settings, phrases })}
        />
      </Overlay>
      <Overlay
        title={`Another way at ${clock(keys.boxMs - goMs)}`}
        isOpen={keys.box === "variant"}
        onClose={keys.close}
      >
        <VariantBox
          movement={current?.movement}
          known={[...new Set(log.marks.filter((one) => one.kind === "VARIANT").map((one) => one.text))].slice(0, 9)}
          onVariant={(text) => done(() => keys.mark("VARIANT", keys.boxMs, { text }))}
        />
      </Overlay>
      <Overlay title={`Lift at ${clock(keys.boxMs - goMs)}`} isOpen={keys.box === "lift"} onClose={keys.close}>
        <LiftBox
          before={log.lifts.at(-1)?.load ?? ""}
          onLift={(load, made) => done(() => keys.mark("LIFT", keys.boxMs, { text: load, reps: made ? 1 : 0 }))}
        />
      </Overlay>
      <Overlay title="The clock" isOpen={keys.box === "clock"} onClose={keys.close}>
        <ClockBox
          match={chosen && chosen.recordingId !== recording.id && chosen.clockMs !== undefined ? chosen : undefined}
          onShows={(clockMs, step) => done(() => keys.setGo(keys.boxMs - clockMs, { made: "TYPED", step }))}
          onMatch={() => done(() => keys.setGo(keys.boxMs - (chosen?.clockMs ?? 0)))}
        />
      </Overlay>
      <Overlay title="Standards check" isOpen={keys.box === "standards"} onClose={keys.close}>
        <Standards
          log={log}
          onSeek={(clockMs) => done(() => seek(clockMs))}
          onSeen={(text) => done(() => keys.mark("CUE", keys.boxMs, { text, tag: "standard" }))}
        />
      </Overlay>
    </Whole>
  );
}

const FRAME_S = 1 / 30;

/** A clock time in the time of the mark: that of its recording, or the clock itself. */
function toMark(mark: MarkView, clockMs: number): number {
  return Math.round(mark.atMs + clockMs - (mark.clockMs ?? clockMs));
}

function clockOf(deck: Deck, goMs: number): number {
  return (deck.player?.timeMs() ?? 0) - goMs;
}

/** The coach's keys and phrases, kept on the server. */
function useSettings() {
  const query = useLogSettings();
  const save = useMutation({
    mutationFn: async (settings: LogSettings) => orProblem(await api.PUT("/api/settings/log", { body: settings })),
    onSuccess: (settings) => queryClient.setQueryData(queryKeys.logSettings, settings),
  });
  return {
    settings: query.data ?? NO_SETTINGS,
    keep: (settings: LogSettings) => save.mutate(settings),
    problem: save.error ? message(save.error) : undefined,
  };
}

const NO_SETTINGS: LogSettings = { keys: {}, phrases: [] };

function withGo(recording: RecordingView, goMs: number | undefined): RecordingView {
  const moved = { ...recording };
  delete moved.goMs;
  return goMs === undefined ? moved : { ...moved, goMs };
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
