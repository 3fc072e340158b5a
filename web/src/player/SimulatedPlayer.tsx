import { type Ref, useEffect, useImperativeHandle, useRef } from "react";
import type { RecordingScript } from "../api/client";
import type { Player } from "./player";
import { Reel } from "./Reel";
import { draw } from "./scene";

interface Props {
  script: RecordingScript;
  ref: Ref<Player>;
}

/** A simulated recording, drawn thirty frames a second from its script. */
export function SimulatedPlayer({ script, ref }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const reel = useRef<Reel>(new Reel(script));

  useImperativeHandle(ref, () => reel.current, []);

  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context) return;
    const playing = reel.current;
    let handle: number | undefined;
    let shown = -1;
    const paint = () => {
      handle = undefined;
      const at = playing.tick();
      if (at !== shown) {
        draw(context, script, at);
        shown = at;
      }
      if (!playing.paused()) due();
    };
    // Nothing runs while the picture stands.
    const due = () => {
      handle ??= requestAnimationFrame(paint);
    };
    paint();
    const unfollow = playing.follow(due);
    return () => {
      unfollow();
      if (handle !== undefined) cancelAnimationFrame(handle);
      playing.pause();
    };
  }, [script]);

  return <canvas ref={canvas} width={960} height={540} role="img" aria-label="Practice video" />;
}
