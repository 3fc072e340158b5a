import type { AttemptView, LogSettings } from "../api/client";
import { Overlay } from "../ui/Overlay";
import { clock } from "../ui/time";
import { ClockBox } from "./ClockBox";
import { NoteBox } from "./NoteBox";
import { KeySheet } from "./KeySheet";
import { LiftBox } from "./LiftBox";
import { Standards } from "./Standards";
import type { LogKeys } from "./useLogKeys";
import { TechniqueBox } from "./TechniqueBox";

interface Props {
  attempt: AttemptView;
  keys: LogKeys;
  settings: LogSettings;
  keep: (settings: LogSettings) => void;
  problem: string | undefined;
  goMs: number;
  sourceId: string | undefined;
  seek: (clockMs: number) => void;
}

/** What keys open over the log step. */
export function LogBoxes({ attempt, keys, settings, keep, problem, goMs, sourceId, seek }: Props) {
  const { log } = attempt;
  const { chosen } = keys;
  const current = log.segments.find((segment) => segment.index === log.currentIndex);
  const done = (doing: () => void) => {
    doing();
    keys.close();
  };
  return (
    <>
      <Overlay title="Keys" isOpen={keys.box === "help"} onClose={keys.close}>
        <KeySheet keys={settings.keys} onKeys={(map) => keep({ ...settings, keys: map })} problem={problem} />
      </Overlay>
      <Overlay title={`Note at ${clock(keys.boxMs - goMs)}`} isOpen={keys.box === "cue"} onClose={keys.close}>
        <NoteBox
          phrases={settings.phrases}
          goodRep={current && attempt.lines[current.lineIndex]?.goodRep}
          onCue={(text, tag) => done(() => keys.mark("CUE", keys.boxMs, { text, tag }))}
          onPhrases={(phrases) => keep({ ...settings, phrases })}
        />
      </Overlay>
      <Overlay title={`Technique at ${clock(keys.boxMs - goMs)}`} isOpen={keys.box === "variant"} onClose={keys.close}>
        <TechniqueBox
          movement={current?.movement}
          known={[...new Set(log.marks.filter((one) => one.kind === "VARIANT").map((one) => one.text))].slice(0, 9)}
          onVariant={(text) => done(() => keys.mark("VARIANT", keys.boxMs, { text }))}
        />
      </Overlay>
      <Overlay title={`Lift at ${clock(keys.boxMs - goMs)}`} isOpen={keys.box === "lift"} onClose={keys.close}>
        <LiftBox
          before={log.nextLift ?? ""}
          onLift={(text, told) => done(() => keys.mark("LIFT", keys.boxMs, { text, ...told }))}
        />
      </Overlay>
      <Overlay title="The clock" isOpen={keys.box === "clock"} onClose={keys.close}>
        <ClockBox
          match={chosen && chosen.recordingId !== sourceId && chosen.clockMs !== undefined ? chosen : undefined}
          onShows={(clockMs, step) => done(() => keys.setGo(keys.boxMs - clockMs, { made: "TYPED", step }))}
          onMatch={() => done(() => keys.setGo(keys.boxMs - (chosen?.clockMs ?? 0)))}
        />
      </Overlay>
      <Overlay title="Video check" isOpen={keys.box === "standards"} onClose={keys.close}>
        <Standards
          log={log}
          onSeek={(clockMs) => done(() => seek(clockMs))}
          onSeen={(text) => done(() => keys.mark("CUE", keys.boxMs, { text, tag: "standard" }))}
        />
      </Overlay>
    </>
  );
}
