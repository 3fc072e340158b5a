import { useState } from "react";
import type { Deck } from "../player/deck";

const CLOSEST = 32;

export interface Zoom {
  /** How many times closer than the whole attempt. */
  factor: number;
  /** Clock time in the middle of what is seen. */
  middleMs: number;
  show: (middleMs: number) => void;
  closer: (() => void) | undefined;
  wider: (() => void) | undefined;
}

/** How closely the strip is looked at, around the playhead. */
export function useZoom(deck: Deck, goMs: number): Zoom {
  const [factor, setFactor] = useState(1);
  const [middleMs, show] = useState(0);
  const to = (wanted: number) => () => {
    show((deck.player?.timeMs() ?? 0) - goMs);
    setFactor(wanted);
  };
  return {
    factor,
    middleMs,
    show,
    closer: factor < CLOSEST ? to(factor * 2) : undefined,
    wider: factor > 1 ? to(factor / 2) : undefined,
  };
}
