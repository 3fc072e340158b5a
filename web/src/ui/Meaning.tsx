import type { ReactNode } from "react";
import { Small } from "./primitives";

/** What a word of the house means, for who asks. */
export function Meaning({ of, children }: { of: string; children: ReactNode }) {
  return (
    <details>
      <Small as="summary">What “{of}” means</Small>
      <Small as="p">{children}</Small>
    </details>
  );
}
