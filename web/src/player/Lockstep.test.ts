import { beforeEach, describe, expect, it, vi } from "vitest";
import { Lockstep } from "./Lockstep";
import type { Player } from "./player";

/** A video that runs off by a share of its speed, and takes some turns to find a place. */
class Video implements Player {
  private at = 0;
  private running = false;
  private speed = 1;
  private seeking = 0;
  jumps = 0;
  silent = false;

  constructor(
    private readonly length: number,
    private readonly off = 0,
  ) {}

  pass(ms: number) {
    if (this.seeking > 0) this.seeking--;
    else if (this.running) this.at = Math.min(this.length, this.at + ms * this.speed * (1 + this.off));
  }

  timeMs = () => this.at;
  nowMs = () => this.at;
  durationMs = () => this.length;
  frameMs = () => 33;
  paused = () => !this.running;
  ready = () => this.seeking === 0;
  looping = () => false;
  rate = () => this.speed;
  play() {
    this.running = true;
  }
  pause() {
    this.running = false;
  }
  seek(ms: number) {
    this.at = ms;
    this.jumps++;
    this.seeking = 3;
  }
  step() {}
  setRate(rate: number) {
    this.speed = rate;
  }
  loop() {}
  mute(silent: boolean) {
    this.silent = silent;
  }
  follow = () => () => undefined;
}

const TURN_MS = 16;

describe("recordings in step", () => {
  beforeEach(() => {
    vi.stubGlobal("requestAnimationFrame", () => 1);
    vi.stubGlobal("cancelAnimationFrame", () => undefined);
  });

  const setUp = (one: Video, other: Video) => {
    const step = new Lockstep([
      { player: one, baseMs: 5000 },
      { player: other, baseMs: 12_000 },
    ]);
    const pass = (ms: number, look = () => {}) => {
      for (let at = 0; at < ms; at += TURN_MS) {
        one.pass(TURN_MS);
        other.pass(TURN_MS);
        step.turn();
        look();
      }
    };
    return { step, pass };
  };

  it("starts each at their own time place, and only once all have found it", () => {
    const [one, other] = [new Video(60_000), new Video(60_000)];
    const { step, pass } = setUp(one, other);
    step.seek(2000);
    step.play();
    expect(one.nowMs()).toBe(7000);
    expect(other.nowMs()).toBe(14_000);
    step.turn();
    expect(one.paused()).toBe(true);
    pass(1000);
    expect(one.paused()).toBe(false);
    expect(step.timeMs()).toBeGreaterThan(2800);
    expect(other.nowMs() - one.nowMs()).toBeCloseTo(7000);
  });

  it.each([1, 0.5, 2])("keeps a video that runs off within a frame at %d×, without a jump", (rate) => {
    const [one, other] = [new Video(900_000), new Video(900_000, 0.01)];
    const { step, pass } = setUp(one, other);
    step.setRate(rate);
    step.play();
    pass(500);
    const { jumps } = other;
    let most = 0;
    pass(300_000, () => (most = Math.max(most, Math.abs(other.nowMs() - one.nowMs() - 7000))));
    expect(most).toBeLessThan(33);
    expect(other.jumps).toBe(jumps);
  });

  it("is in step again after a seek while playing", () => {
    const [one, other] = [new Video(60_000), new Video(60_000, 0.02)];
    const { step, pass } = setUp(one, other);
    step.play();
    pass(3000);
    step.seek(20_000);
    pass(1000);
    expect(step.playing()).toBe(true);
    expect(Math.abs(other.nowMs() - one.nowMs() - 7000)).toBeLessThan(33);
    expect(step.timeMs()).toBeGreaterThan(20_500);
  });

  it("goes round a stretch, each on its own film", () => {
    const [one, other] = [new Video(60_000), new Video(60_000)];
    const { step, pass } = setUp(one, other);
    step.play();
    step.loop({ fromMs: 4000, toMs: 8000 });
    const seen: number[] = [];
    pass(20_000, () => seen.push(step.timeMs()));
    expect(Math.max(...seen)).toBeLessThan(8100);
    expect(Math.min(...seen)).toBeGreaterThanOrEqual(4000);
    step.loop(undefined);
    pass(10_000);
    expect(step.timeMs()).toBeGreaterThan(8100);
  });

  it("goes on with the other where one video is over, and stops with the last", () => {
    const [one, other] = [new Video(9000), new Video(30_000)];
    const { step, pass } = setUp(one, other);
    step.play();
    pass(8000);
    expect(one.paused()).toBe(true);
    expect(other.paused()).toBe(false);
    expect(step.timeMs()).toBeGreaterThan(7000);
    pass(20_000);
    expect(step.playing()).toBe(false);
  });

  it("goes no further than a video shows anything", () => {
    const [one, other] = [new Video(9000), new Video(30_000)];
    const { step, pass } = setUp(one, other);
    step.play();
    step.seek(-60_000);
    pass(500);
    expect(step.playing()).toBe(true);
    expect(step.timeMs()).toBeGreaterThan(-12_000);
    expect(other.nowMs()).toBeGreaterThan(0);
    step.seek(90_000);
    expect(other.nowMs()).toBeLessThan(30_000);
    expect(step.timeMs()).toBeLessThan(18_000);
  });

  it("waits for a video that begins later", () => {
    const [one, other] = [new Video(60_000), new Video(60_000)];
    const step = new Lockstep([
      { player: one, baseMs: 20_000 },
      { player: other, baseMs: 1000 },
    ]);
    step.seek(-3000);
    step.play();
    for (let at = 0; at < 2000; at += TURN_MS) {
      one.pass(TURN_MS);
      other.pass(TURN_MS);
      step.turn();
    }
    expect(other.paused()).toBe(true);
    for (let at = 0; at < 3000; at += TURN_MS) {
      one.pass(TURN_MS);
      other.pass(TURN_MS);
      step.turn();
    }
    expect(other.paused()).toBe(false);
    expect(Math.abs(one.nowMs() - 19_000 - other.nowMs())).toBeLessThan(60);
  });

  it("lets one be heard, and gives the sound back at the end", () => {
    const [one, other] = [new Video(9000), new Video(9000)];
    const { step } = setUp(one, other);
    step.hear(1);
    expect([one.silent, other.silent]).toEqual([true, false]);
    step.hear(0);
    expect([one.silent, other.silent]).toEqual([false, true]);
    step.end();
    expect([one.silent, other.silent]).toEqual([false, false]);
  });
});
