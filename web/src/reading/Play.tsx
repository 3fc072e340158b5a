import { SmallButton } from "../ui/primitives";
import { clock } from "../ui/time";

interface Props {
  /** What is seen there; said to who cannot see the button. */
  what: string;
  fromMs: number;
  toMs: number;
  /** What stands on the button; the clock it starts at where nothing is given. */
  says?: string;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Plays a stretch of the clock in the corner. */
export function Play({ what, fromMs, toMs, says, onPlay }: Props) {
  return (
    <SmallButton
      aria-label={`Play ${what} at ${clock(Math.max(0, fromMs))}`}
      onPress={() => onPlay(Math.max(0, fromMs), toMs, what)}
    >
      ▸ {says ?? clock(fromMs)}
    </SmallButton>
  );
}
