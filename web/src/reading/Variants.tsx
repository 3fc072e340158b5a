import type { ReadingView } from "../api/client";
import { Small, SmallButton } from "../ui/primitives";
import { clock } from "../ui/time";

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

const AROUND_MS = 4000;

/** Movements done in more than one way, and what went differently after a cue. */
export function Variants({ reading, onPlay }: Props) {
  return (
    <>
      {reading.variants.map((variant) => (
        <div key={variant.movement} style={{ marginBottom: 12 }}>
          <strong>{variant.movement}</strong>
          <ul style={{ margin: "4px 0", paddingLeft: 18 }}>
            {variant.ways.map((way) => (
              <li key={way.name}>
                {way.name}: {way.pace} each
                {way.range && ` (${way.range}, ${way.figures} sets)`}.{" "}
                <SmallButton
                  aria-label={`Play ${way.name} at ${clock(way.fromMs)}`}
                  onPress={() => onPlay(way.fromMs, way.fromMs + 2 * AROUND_MS, way.name)}
                >
                  ▸ {clock(way.fromMs)}
                </SmallButton>
                {way.instead && (
                  <>
                    {" "}
                    <Small>{way.instead}</Small>
                  </>
                )}
              </li>
            ))}
          </ul>
        </div>
      ))}
      {reading.cueEffects.map((cue) => (
        <p key={cue.atMs} style={{ margin: "4px 0" }}>
          After “{cue.text}”: {cue.words}{" "}
          <SmallButton
            aria-label={`Play “${cue.text}” at ${clock(cue.atMs)}`}
            onPress={() => onPlay(Math.max(0, cue.atMs - AROUND_MS), cue.atMs + AROUND_MS, cue.text)}
          >
            ▸ {clock(cue.atMs)}
          </SmallButton>
        </p>
      ))}
    </>
  );
}
