/** Those who want to hear of a change. */
export class Followers {
  private readonly all = new Set<() => void>();

  /** Adds one; what comes back takes it off again. */
  readonly add = (changed: () => void): (() => void) => {
    this.all.add(changed);
    return () => void this.all.delete(changed);
  };

  readonly tell = (): void => {
    for (const changed of [...this.all]) changed();
  };
}
