import { Followers } from "../ui/followers";
import type { Player, Stretch } from "./player";

/** A recording that plays along: its media time at the common start. */
export interface Track {
  player: Player;
  baseMs: number;
}

/** From here on a recording is sent to its place; below it is let catch up, which nobody sees. */
const JUMP_MS = 250;
/** From here on it is let catch up, until it is so near. */
const OFF_MS = 14;
const NEAR_MS = 4;
/** How fast a recording catches up at most, as a share of its speed. */
const MOST_SHARE = 0.2;
/** Within so much it catches up the slower the nearer it is. */
const SOFT_MS = 150;

/**
 * Several recordings in step. Each has its own media time at the common start; the first that is within its video leads, and the others
 * are kept beside it: by a speed a little higher or lower, and where they are far off by a jump, after which all go on together.
 */
export class Lockstep {
  private readonly tracks: Track[];
  private readonly followers = new Followers();
  private going = false;
  /** Whether they stand until all have found the place they were sent to. */
  private holding = false;
  private speed = 1;
  private atMs = 0;
  private stretch: Stretch | undefined;
  private frame: number | undefined;

  constructor(tracks: Track[]) {
    this.tracks = tracks;
  }

  readonly follow = this.followers.add;

  /** Time since the common start, below 0 before it. */
  timeMs(): number {
    const leader = this.going && !this.holding ? this.leader() : undefined;
    return leader ? leader.player.nowMs() - leader.baseMs : this.atMs;
  }

  playing(): boolean {
    return this.going;
  }

  rate(): number {
    return this.speed;
  }

  setRate(rate: number): void {
    this.speed = rate;
    for (const { player } of this.tracks) player.setRate(rate);
    this.followers.tell();
  }

  /** Plays a stretch, counted from the common start, again and again; undefined ends it. */
  loop(stretch: Stretch | undefined): void {
    this.stretch = stretch;
    if (stretch) this.seek(stretch.fromMs);
    this.followers.tell();
  }

  looping(): boolean {
    return this.stretch !== undefined;
  }

  play(): void {
    if (this.going) return;
    this.going = true;
    this.seek(this.atMs);
    this.due();
  }

  pause(): void {
    const at = this.timeMs();
    this.going = false;
    this.holding = false;
    this.stand(at);
  }

  /** Sends all to a time since the common start; where no video shows anything, to the nearest that one does. */
  seek(toMs: number): void {
    this.holding = this.going;
    const first = Math.min(...this.tracks.map(({ baseMs }) => -baseMs));
    const last = Math.max(...this.tracks.map(({ player, baseMs }) => player.durationMs() - player.frameMs() - baseMs));
    // How long a video is may not be known yet.
    this.stand(Math.max(first, last > first ? Math.min(toMs, last) : toMs));
  }

  /** One track's sound, and no other's. */
  hear(index: number): void {
    this.tracks.forEach(({ player }, at) => player.mute(at !== index));
  }

  /** Lets all go. */
  end(): void {
    this.going = false;
    if (this.frame !== undefined) cancelAnimationFrame(this.frame);
    for (const { player } of this.tracks) {
      player.pause();
      player.mute(false);
    }
  }

  private stand(atMs: number): void {
    this.atMs = atMs;
    for (const { player, baseMs } of this.tracks) {
      player.pause();
      player.setRate(this.speed);
      player.seek(Math.max(0, baseMs + atMs));
    }
    this.followers.tell();
  }

  private due(): void {
    this.frame = requestAnimationFrame(() => {
      this.turn();
      if (this.going) this.due();
    });
  }

  /** One look at all of them; done before every picture. */
  turn(): void {
    if (!this.going) return;
    if (this.holding) {
      if (!this.tracks.every(({ player }) => player.ready())) return;
      this.holding = false;
      for (const track of this.tracks) if (this.within(track, this.atMs)) track.player.play();
    }
    const leader = this.leader();
    if (!leader) {
      this.pause();
      return;
    }
    this.atMs = leader.player.nowMs() - leader.baseMs;
    if (this.stretch && this.atMs >= this.stretch.toMs) {
      this.seek(this.stretch.fromMs);
      return;
    }
    for (const track of this.tracks) if (track !== leader) this.keep(track);
    this.followers.tell();
  }

  private leader(): Track | undefined {
    return this.tracks.find(
      (track) => !track.player.paused() && this.within(track, track.player.nowMs() - track.baseMs),
    );
  }

  private within({ player, baseMs }: Track, atMs: number): boolean {
    return baseMs + atMs >= 0 && baseMs + atMs < player.durationMs() - player.frameMs();
  }

  private keep(track: Track): void {
    const { player, baseMs } = track;
    if (!this.within(track, this.atMs)) {
      if (!player.paused()) player.pause();
      return;
    }
    const off = player.nowMs() - (baseMs + this.atMs);
    if (player.paused() || Math.abs(off) > JUMP_MS) {
      if (!player.ready()) return;
      player.seek(baseMs + this.atMs);
      player.play();
      return;
    }
    const catching = Math.abs(player.rate() - this.speed) > 0.001;
    const share =
      Math.abs(off) < (catching ? NEAR_MS : OFF_MS) ? 0 : Math.max(-MOST_SHARE, Math.min(MOST_SHARE, off / SOFT_MS));
    const wanted = this.speed * (1 - share);
    // A video changes its speed with some effort: not for a hair.
    if (Math.abs(player.rate() - wanted) > (share === 0 ? 0.001 : 0.02)) player.setRate(wanted);
  }
}
