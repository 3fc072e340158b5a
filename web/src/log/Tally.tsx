const STROKE = 7;
const FIVE = 5 * STROKE + 6;

interface Props {
  count: number;
  of: number;
}

/** Tally marks in fives, as they are chalked on a board. */
export function Tally({ count, of }: Props) {
  const fives = Math.floor(count / 5);
  const width = Math.max(10, fives * FIVE + (count % 5) * STROKE + 2);
  const strokes = Array.from({ length: count }, (_, index) => index);
  return (
    <svg width={width} height={18} role="img" aria-label={`${count} of ${of}`}>
      {strokes.map((index) => {
        const x = Math.floor(index / 5) * FIVE + (index % 5) * STROKE + 2;
        const across = index % 5 === 4;
        return across ? (
          <path key={index} d={`M${x - 4 * STROKE - 3} 14 L${x - 2} 4`} stroke="currentColor" strokeWidth="2" />
        ) : (
          <path key={index} d={`M${x} 2 V16`} stroke="currentColor" strokeWidth="2" />
        );
      })}
    </svg>
  );
}
