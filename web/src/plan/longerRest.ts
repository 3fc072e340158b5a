import type { PacingJson } from "../api/client";

/** "20 after 2", or nothing. */
export function longerRestWritten(rest: PacingJson["longerRest"]): string {
  return rest ? `${rest.ms / 1000} after ${rest.afterSet}` : "";
}

/** Reads what was typed: empty takes the longer rest away, what does not fit leaves it as it was. */
export function withLongerRest(pacing: PacingJson, text: string): PacingJson {
  const { longerRest: before, ...others } = pacing;
  if (text.trim() === "") return others;
  const read = /^\s*(\d+(?:\.\d+)?)\s*s?\s*(?:after|\/)\s*(?:set\s*)?(\d+)\s*$/i.exec(text);
  if (read) return { ...others, longerRest: { ms: Math.round(Number(read[1]) * 1000), afterSet: Number(read[2]) } };
  return before ? { ...others, longerRest: before } : others;
}
