/**
 * The browser's storage, and what it has no room for: that stays in memory, so that nothing stops by it and nothing is lost while the page is
 * open. As soon as there is room it goes into the storage.
 */
export class Shelf {
  private readonly storage: Storage;
  private readonly memory = new Map<string, string>();
  /** Told of what stays in memory, for the other windows. */
  onUnkept: (place: string, value: string) => void = () => undefined;

  constructor(storage: Storage) {
    this.storage = storage;
  }

  set(place: string, value: string): void {
    if (this.stores(place, value)) {
      this.memory.delete(place);
      return;
    }
    this.memory.set(place, value);
    this.onUnkept(place, value);
  }

  /** Takes in what another window has no room for. */
  hold(place: string, value: string): void {
    this.memory.set(place, value);
  }

  get(place: string): string | null {
    return this.memory.get(place) ?? this.storage.getItem(place);
  }

  remove(place: string): void {
    this.memory.delete(place);
    this.storage.removeItem(place);
    for (const [waiting, value] of this.memory) {
      if (!this.stores(waiting, value)) break;
      this.memory.delete(waiting);
    }
  }

  /** The places that begin so, in order. */
  places(prefix: string): string[] {
    const found = new Set([...this.memory.keys()].filter((place) => place.startsWith(prefix)));
    for (let i = 0; i < this.storage.length; i++) {
      const place = this.storage.key(i);
      if (place?.startsWith(prefix)) found.add(place);
    }
    return [...found].sort();
  }

  /** How many entries would be lost with the page. */
  unkept(): number {
    return this.memory.size;
  }

  private stores(place: string, value: string): boolean {
    try {
      this.storage.setItem(place, value);
      return true;
    } catch {
      return false;
    }
  }
}
