import type { ReadingView } from "../api/client";
import { wallClock } from "../ui/time";

type Scale = (ms: number) => number;

const STEPS = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 1200, 3600].map((seconds) => seconds * 1000);
const MOST_LINES = 5;
const CHARACTER = 4.9;
const CLOCK = 38;

/** Where the quiet lines of so many seconds ahead and behind lie; a few, never the middle one. */
export function lines(mostMs: number, leastMs: number): number[] {
  const step = STEPS.find((one) => Math.floor(mostMs / one) + Math.floor(-leastMs / one) <= MOST_LINES) ?? mostMs;
  const above = Array.from({ length: Math.floor(mostMs / step) }, (_, index) => (index + 1) * step);
  const below = Array.from({ length: Math.floor(-leastMs / step) }, (_, index) => -(index + 1) * step);
  return [...above, ...below];
}

/** What such a line is called: "20 s", from a minute on "1:30". */
export function lineWords(ms: number): string {
  const whole = Math.abs(ms) / 1000;
  return whole < 60 ? `${whole} s` : wallClock(Math.abs(ms));
}

/** The names that fit under their segments: amount and movement, or the movement alone; none under what is a whole round. */
export function names({ borders, bands }: Pick<ReadingView, "borders" | "bands">, x: Scale) {
  return borders.flatMap((border) => {
    if (bands.some((band) => band.words === border.label)) return [];
    const room = x(border.workToMs) - x(border.workFromMs);
    const middle = (x(border.workFromMs) + x(border.workToMs)) / 2;
    const name = [border.label.replace(/ @.*/, ""), border.movement].find((one) => one.length * CHARACTER <= room);
    return name === undefined ? [] : [{ at: border.segmentIndex, name, middle }];
  });
}

/** The clock under the ends of rounds, or of segments where there are no rounds; as many as there is room for. */
export function clocks({ bands, borders }: ReadingView, x: Scale) {
  const last = borders.at(-1);
  const ends = bands.length > 0 && last ? [...bands.filter((band) => band.workToMs < last.workToMs), last] : borders;
  let free = Infinity;
  return ends
    .map(({ workToMs, endMs }) => ({ at: x(workToMs), endMs }))
    .toReversed()
    .filter(({ at }) => {
      if (at + CLOCK / 2 > free) return false;
      free = at - CLOCK / 2;
      return true;
    });
}

/** Which round numbers are written: all, or every fifth where they are narrow. */
export function numbered(bands: ReadingView["bands"], x: Scale) {
  const narrowest = Math.min(...bands.map((band) => x(band.workToMs) - x(band.workFromMs)));
  return narrowest >= 16 ? bands : bands.filter((band) => band.number === 1 || band.number % 5 === 0);
}
