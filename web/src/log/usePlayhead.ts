import { useEffect, useRef } from "react";
import { useSearchParams } from "react-router";
import { type Deck, useFollowing } from "../player/deck";
import type { Source } from "./useMarking";

/** The clock time to open at: the one asked for, or where this window left the recording. */
export function usePlayhead(deck: Deck, attemptId: string, { id, goMs = 0 }: Source): number | undefined {
  const [search] = useSearchParams();
  const place = `wake playhead ${attemptId} ${id ?? ""}`;
  const left = useRef<number>(undefined);
  useFollowing(deck, (playing) => {
    if (playing.durationMs() > 0) left.current = playing.timeMs() - goMs;
  });
  useEffect(() => {
    const keep = () => {
      if (left.current !== undefined) sessionStorage.setItem(place, `${Math.round(left.current)}`);
    };
    window.addEventListener("pagehide", keep);
    return () => {
      window.removeEventListener("pagehide", keep);
      keep();
    };
  }, [place]);
  return timeOf(search.get("at")) ?? timeOf(sessionStorage.getItem(place));
}

function timeOf(text: string | null): number | undefined {
  const ms = Number(text ?? Number.NaN);
  return Number.isFinite(ms) ? ms : undefined;
}
