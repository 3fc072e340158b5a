import { describe, expect, it } from "vitest";
import { border, reading } from "../testing/sample";
import { clocks, lines, names, numbered } from "./wakeScale";

const px = (perSecond: number) => (ms: number) => (ms / 1000) * perSecond;

describe("the scale of the wake", () => {
  it("draws a few round seconds on both sides, never the middle", () => {
    expect(lines(4000, -88_800)).toEqual([-15_000, -30_000, -45_000, -60_000, -75_000]);
    expect(lines(2000, -2000)).toEqual([1000, 2000, -1000, -2000]);
    expect(lines(2_000_000, -9_000_000)).toHaveLength(2);
  });

  it("names a segment only where the name fits, the movement alone where the amount does not", () => {
    const wide = border(0, 0, { label: "12 toes-to-bar @ 2 kg", movement: "toes-to-bar", workToMs: 100_000 });
    expect(names({ borders: [wide], bands: [] }, px(1)).map((one) => one.name)).toEqual(["12 toes-to-bar"]);
    expect(names({ borders: [wide], bands: [] }, px(0.6)).map((one) => one.name)).toEqual(["toes-to-bar"]);
    expect(names({ borders: [wide], bands: [] }, px(0.3))).toEqual([]);
  });

  it("writes the clock under the ends of rounds, the end always, none over another", () => {
    const bands = Array.from({ length: 20 }, (_, index) => ({
      number: index + 1,
      words: `round ${index + 1}`,
      workFromMs: 10_000 * index,
      workToMs: 10_000 * (index + 1),
      endMs: 11_000 * (index + 1),
    }));
    const read = reading({ bands, borders: [border(0, 0, { workToMs: 200_000, endMs: 220_000 })] });
    const roomy = clocks(read, px(5));
    expect(roomy).toHaveLength(20);
    const tight = clocks(read, px(2));
    expect(tight[0]?.endMs).toBe(220_000);
    tight.slice(1).forEach((one, index) => expect((tight[index]?.at ?? 0) - one.at).toBeGreaterThanOrEqual(38));
  });

  it("numbers every fifth round where they are narrow", () => {
    const bands = Array.from({ length: 20 }, (_, index) => ({
      number: index + 1,
      words: `round ${index + 1}`,
      workFromMs: 1000 * index,
      workToMs: 1000 * (index + 1),
      endMs: 0,
    }));
    expect(numbered(bands, px(20))).toHaveLength(20);
    expect(numbered(bands, px(10)).map((band) => band.number)).toEqual([1, 5, 10, 15, 20]);
  });
});
