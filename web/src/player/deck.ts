import { useEffect, useEffectEvent, useState } from "react";
import { Followers } from "../ui/followers";
import type { Player } from "./player";

/**
 * Where a screen keeps its player: empty until the recording has loaded. Who follows it hears of every change of the picture and of how
 * it plays, and of nothing while the picture stands.
 */
export class Deck {
  player: Player | null = null;
  private readonly followers = new Followers();
  private unfollow: (() => void) | undefined;

  /** Takes a player in, or lets it go: the ref of a player's component. */
  readonly attach = (player: Player | null): void => {
    this.unfollow?.();
    this.player = player;
    this.unfollow = player?.follow(this.followers.tell);
    this.followers.tell();
  };

  readonly follow = this.followers.add;
}

export function useDeck(): Deck {
  return useState(() => new Deck())[0];
}

/** Does something with the player now, after every change of it, and after every render. */
export function useFollowing(deck: Deck, look: (player: Player) => void): void {
  const looking = useEffectEvent(() => {
    if (deck.player) look(deck.player);
  });
  useEffect(() => deck.follow(() => looking()), [deck]);
  useEffect(() => looking());
}
