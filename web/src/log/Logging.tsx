import { useEffect, useReducer, useState } from "react";
import { useNavigate } from "react-router";
import styled from "styled-components";
import type { AttemptView, MarkView, RecordingView } from "../api/client";
import { type Deck, useDeck } from "../player/deck";
import type { RigClock } from "../player/RigClock";
import { Button } from "../ui/primitives";
import { Told } from "../ui/useTimes";
import { useStable } from "../ui/useStable";
import { Board } from "./Board";
import { Chosen } from "./Chosen";
import { closure } from "./closure";
import { Keypad } from "./Keypad";
import { LogBoxes } from "./LogBoxes";
import { RigStage } from "./RigStage";
import { Saved } from "./Saved";
import { Stage } from "./Stage";
import { Strip } from "./Strip";
import { useLogKeys } from "./useLogKeys";
import { useLogSettingsKept } from "./useLogSettingsKept";
import type { Source } from "./useMarking";
import { type Marks, useFromElsewhere } from "./useMarks";
import { usePlayhead } from "./usePlayhead";
import { useZoom } from "./useZoom";
import { isOver } from "./isOver";

const Whole = styled.main.attrs({ tabIndex: -1 })`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto auto;
`;

/** Stage and board take what is left and no more; where there is no room beside, the board is a ribbon of three lines under the stage. */
const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(320px, 1fr);
  grid-template-rows: minmax(0, 1fr);
  min-height: 0;
  @media (max-width: 800px) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) 176px;
    &[data-board] {
      grid-template-rows: 0 minmax(0, 1fr);
      > :first-child {
        overflow: hidden;
      }
    }
  }
`;

const Right = styled.section`
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-left: 1px solid var(--line);
  @media (max-width: 800px) {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
`;

const Status = styled.div`
  /* Its words change with every key: a layer of its own keeps the board from being painted again. */
  contain: layout paint;
  will-change: transform;
  border-top: 1px solid var(--line);
  padding: 8px 14px;
  font-size: 14px;
  min-height: 56px;
  display: flex;
  align-items: center;
  gap: 12px;
  > div {
    flex: 1;
    min-width: 0;
    display: grid;
  }
  @media (max-width: 800px) {
    padding: 4px 12px;
  }
`;

const OnlyNarrow = styled.span`
  display: none;
  @media (max-width: 800px) {
    display: inline;
  }
`;

interface Props {
  attempt: AttemptView;
  marks: Marks;
  source: Source;
  /** To another way of logging it: another recording, or none. */
  onLeave: () => void;
  recording?: RecordingView;
  onRecording?: (id: string, clockMs: number) => void;
  rig?: RigClock;
}

/** One attempt being logged, from a recording or from the clock at the rig. */
export function Logging({ attempt, marks, source, recording, rig, onRecording, onLeave }: Props) {
  const deck = useDeck();
  const [, started] = useReducer((count: number) => count + 1, 0);
  const [board, setBoard] = useState(false);
  useEffect(() => {
    if (!rig) return undefined;
    deck.attach(rig);
    return () => deck.attach(null);
  }, [deck, rig]);
  const from: Source = rig ? { id: undefined, ...(rig.started() ? { goMs: 0 } : {}) } : source;
  const goMs = from.goMs ?? 0;
  const { settings, keep, problem } = useLogSettingsKept();
  const zoom = useZoom(deck, goMs);
  const startAtMs = usePlayhead(deck, attempt.id, from);
  const navigate = useNavigate();
  const read = () => void navigate(`/attempts/${attempt.id}/reading`);
  const other = attempt.onVideo.filter((one) => one.recordingId === recording?.id);
  const toOther = (mediaMs: number) => {
    const next = nextOn(other, attempt);
    if (next) void navigate(`/attempts/${next.attemptId}/log?at=${Math.round(mediaMs - (next.goMs ?? goMs))}`);
    return next !== undefined;
  };
  const keys = useLogKeys({
    attempt,
    marks,
    source: from,
    deck,
    zoom,
    startAtMs,
    keys: settings.keys,
    onRead: read,
    onOther: toOther,
  });
  const { log } = attempt;
  const { chosen } = keys;
  const elsewhere = useFromElsewhere(log, marks.isOwn);
  const seek = useStable((clockMs: number) => deck.player?.seek(clockMs + goMs));
  const over = isOver(log);
  return (
    <Told value={log.digits}>
      <Whole>
        <h1 className="visually-hidden">Log of the attempt</h1>
        <Two data-board={board ? true : undefined}>
          {recording ? (
            <Stage
              {...{ attempt, recording, deck, zoom }}
              onRecording={(id) => onRecording?.(id, clockOf(deck, goMs))}
              onAdd={onLeave}
              other={nextOn(other, attempt)?.athlete}
              onOther={() => toOther(deck.player?.timeMs() ?? 0)}
            />
          ) : (
            rig && <RigStage {...{ attempt, rig, deck, onLeave }} isMarked={log.marks.length > 0} onClock={started} />
          )}
          <Right aria-label="Board">
            <Board attempt={attempt} onSeek={seek} />
            <Status>
              <div role="status" aria-live="polite">
                <span>{keys.notice ?? elsewhere ?? closure(attempt)}</span>
                <Saved marks={marks} />
              </div>
              {over && <Button onPress={read}>Review (Enter)</Button>}
              <OnlyNarrow>
                <Button onPress={() => setBoard(!board)}>{board ? "Smaller" : "Whole board"}</Button>
              </OnlyNarrow>
            </Status>
          </Right>
        </Two>
        <Strip
          attempt={attempt}
          waiting={marks.waiting}
          source={from}
          deck={deck}
          zoom={zoom}
          chosen={chosen?.id}
          other={nextOn(other, attempt)}
          onChoose={keys.choose}
          onMove={(mark, clockMs) =>
            keys.correct(mark, { atMs: toMark(mark, clockMs), made: "STEPPED", step: FRAME_S })
          }
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
              relift: (reps, tag) => keys.correct(chosen, { reps, tag }),
              remove: keys.removeChosen,
              join: keys.joinChosen,
              leave: keys.leave,
            }}
          />
        ) : (
          <Keypad
            log={log}
            waiting={marks.waiting}
            keys={settings.keys}
            beforeGo={from.goMs === undefined}
            onAction={keys.perform}
          />
        )}
        <LogBoxes {...{ attempt, keys, settings, keep, problem, goMs, seek }} sourceId={from.id} />
      </Whole>
    </Told>
  );
}

/** The athlete on the video in the next lane, or where none are told whose name comes next; after the last the first. */
function nextOn(others: AttemptView["onVideo"], { lane, athlete }: AttemptView) {
  const after = ({ lane: other, athlete: name }: (typeof others)[number]) =>
    lane !== undefined && other !== undefined ? other > lane : name > athlete;
  return others.find(after) ?? others[0];
}

const FRAME_S = 1 / 30;

/** A clock time in the time of the mark: that of its recording, or the clock itself. */
function toMark(mark: MarkView, clockMs: number): number {
  return Math.round(mark.atMs + clockMs - (mark.clockMs ?? clockMs));
}

function clockOf(deck: Deck, goMs: number): number {
  return (deck.player?.timeMs() ?? 0) - goMs;
}
