import type { ReadingView } from "../api/client";
import { Small } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

const AROUND_MS = 4000;

/** Movements done in more than one way, and what went differently after a note. */
export function Techniques({ reading, onPlay }: Props) {
  const { clock } = useTimes();
  return (
    <>
      {reading.techniques.map((technique) => (
        <div key={technique.movement} style={{ marginBottom: 12 }}>
          <strong>{technique.movement}</strong>
          <ul style={{ margin: "4px 0", paddingLeft: 18 }}>
            {technique.techniques.map((technique) => (
              <li key={technique.name}>
                {technique.name}: {technique.pace} each
                {technique.range && ` (${technique.range}, ${technique.figures} sets)`}.{" "}
                <Play
                  what={technique.name}
                  fromMs={technique.fromMs}
                  toMs={technique.fromMs + 2 * AROUND_MS}
                  onPlay={onPlay}
                />
                {technique.instead && (
                  <>
                    {" "}
                    <Small>{technique.instead}</Small>
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
