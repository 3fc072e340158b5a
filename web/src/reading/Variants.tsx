import type { ReadingView } from "../api/client";
import { Small } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

const AROUND_MS = 4000;

/** Movements done in more than one way, and what went differently after a cue. */
export function Variants({ reading, onPlay }: Props) {
  const { clock } = useTimes();
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
                <Play what={way.name} fromMs={way.fromMs} toMs={way.fromMs + 2 * AROUND_MS} onPlay={onPlay} />
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
          <Play
            what={cue.text}
            fromMs={cue.atMs - AROUND_MS}
            toMs={cue.atMs + AROUND_MS}
            says={clock(cue.atMs)}
            onPlay={onPlay}
          />
        </p>
      ))}
    </>
  );
}
