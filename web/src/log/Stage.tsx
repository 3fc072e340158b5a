import { useState } from "react";
import styled from "styled-components";
import type { AttemptView, RecordingView } from "../api/client";
import { type Deck, useFollowing } from "../player/deck";
import { nextRate, type Player } from "../player/player";
import { RecordingPlayer } from "../player/RecordingPlayer";
import { Lens, type Look, PictureSettings, PLAIN } from "./Picture";
import { Button, Select, Small } from "../ui/primitives";
import { Running } from "./Running";
import type { Zoom } from "./useZoom";
import { ZoomButtons } from "./ZoomButtons";

const Whole = styled.div`
  display: flex;
  flex-direction: column;
  min-height: 0;
  min-width: 0;
`;

const Picture = styled.div`
  position: relative;
  flex: 1;
  min-height: 0;
`;

const Over = styled.div`
  position: absolute;
  left: 20px;
  bottom: 12px;
  right: 20px;
  display: flex;
  justify-content: space-between;
  align-items: flex-end;
  pointer-events: none;
  text-shadow: 0 0 12px rgb(0 0 0 / 0.85);
`;

const Prompt = styled.div`
  position: absolute;
  inset: auto 0 40%;
  padding: 6px 16px;
  background: rgb(12 22 27 / 0.66);
  text-align: center;
  font-size: 22px;
  color: #f7f5f0;
  pointer-events: none;
  @media (max-width: 800px) {
    inset: 0 0 auto;
    font-size: 15px;
  }
`;

const Controls = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 20px;
  @media (max-width: 800px) {
    gap: 6px;
    padding: 6px 10px;
  }
  /* The arrow keys do this. */
  .by-thumb {
    display: none;
    @media (max-width: 800px), (pointer: coarse) {
      display: inline-block;
    }
  }
  @media (max-width: 500px) {
    .by-mouse {
      display: none;
    }
  }
  button,
  select {
    min-height: 30px;
    padding: 3px 10px;
    font-size: 14px;
  }
`;

interface Props {
  attempt: AttemptView;
  recording: RecordingView;
  deck: Deck;
  onRecording: (id: string) => void;
  onAdd: () => void;
  /** Another athlete who is on this video. */
  other: string | undefined;
  onOther: () => void;
  zoom: Zoom;
}

/** The recording, over it the workout clock and the running count, under it how it plays. */
export function Stage({ attempt, recording, deck, zoom, other, onOther, onRecording, onAdd }: Props) {
  const { attach } = deck;
  const [state, setState] = useState({ paused: true, rate: 1 });
  const [look, setLook] = useState<Look>(PLAIN);
  const goMs = recording.goMs;
  useFollowing(deck, (playing) => {
    const now = { paused: playing.paused(), rate: playing.rate() };
    if (now.paused !== state.paused || now.rate !== state.rate) setState(now);
  });

  return (
    <Whole>
      <Picture>
        <Lens {...look}>
          <RecordingPlayer recording={recording} ref={attach} />
        </Lens>
        {goMs === undefined && (
          <Prompt>
            Play to 3-2-1-go and press <b>G</b>. That starts the workout clock.
          </Prompt>
        )}
        <Over>
          <Running attempt={attempt} deck={deck} goMs={goMs} />
        </Over>
      </Picture>
      <Controls>
        <Button onPress={() => (state.paused ? deck.player?.play() : deck.player?.pause())}>
          {state.paused ? "Play" : "Pause"}
        </Button>
        <Button aria-label="Five seconds back" className="by-thumb" onPress={() => leap(deck.player, -5000)}>
          −5 s
        </Button>
        <Button aria-label="Five seconds on" className="by-thumb" onPress={() => leap(deck.player, 5000)}>
          +5 s
        </Button>
        <Button aria-label="One frame back" onPress={() => deck.player?.step(-1)}>
          −1 frame
        </Button>
        <Button aria-label="One frame on" onPress={() => deck.player?.step(1)}>
          +1 frame
        </Button>
        <Button aria-label="Slower" onPress={() => setRate(deck.player, false)}>
          −
        </Button>
        <output aria-label="Speed">{state.rate}×</output>
        <Button aria-label="Faster" onPress={() => setRate(deck.player, true)}>
          +
        </Button>
        <span className="by-mouse">
          <PictureSettings look={look} onLook={setLook} />
        </span>
        <ZoomButtons zoom={zoom} />
        <span style={{ flex: 1 }} />
        {other !== undefined && <Button onPress={onOther}>{other} (O)</Button>}
        {attempt.recordings.length > 1 ? (
          <Select aria-label="Video" value={recording.id} onChange={(event) => onRecording(event.target.value)}>
            {attempt.recordings.map((one) => (
              <option key={one.id} value={one.id}>
                {one.label}
              </option>
            ))}
          </Select>
        ) : (
          <Small>{recording.label}</Small>
        )}
        <Button onPress={onAdd}>Add a video</Button>
      </Controls>
    </Whole>
  );
}

function setRate(player: Player | null, up: boolean) {
  player?.setRate(nextRate(player.rate(), up));
}

function leap(player: Player | null, ms: number) {
  if (player) player.seek(player.timeMs() + ms);
}
