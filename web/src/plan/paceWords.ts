/** The pace without the seconds that stand in the field already. */
export function shortPace(words: string): string {
  return words.includes(",") ? words.slice(words.indexOf(",") + 1).trim() : words;
}
