import { useContext } from "react";
import { Small, SmallButton } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { OnVideo } from "./onVideo";

interface Props {
  /** What is seen there; said to who cannot see the button. */
  what: string;
  fromMs: number;
  toMs: number;
  /** What stands on the button; the clock it starts at where nothing is given. */
  says?: string;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Plays a stretch of the clock in the corner; where nothing was filmed it says when that was. */
export function Play({ what, fromMs, toMs, says, onPlay }: Props) {
  const { clock } = useTimes();
  const filmed = useContext(OnVideo);
  if (!filmed) return <Small>{says ?? `at ${clock(fromMs)}`}</Small>;
  return (
    <SmallButton
      aria-label={`Play ${what} at ${clock(Math.max(0, fromMs))}`}
      onPress={() => onPlay(Math.max(0, fromMs), toMs, what)}
    >
      ▸ {says ?? clock(fromMs)}
    </SmallButton>
  );
}
