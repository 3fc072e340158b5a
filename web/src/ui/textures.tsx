/** The textures that say what kind of time a stretch is: the same on the strip, in the wake and in legends. */
export function Textures() {
  return (
    <defs>
      <pattern id="texture-rest" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="2" height="6" fill="currentColor" />
      </pattern>
      <pattern id="texture-unseparated" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="1.1" fill="currentColor" opacity="0.7" />
        <circle cx="5.5" cy="5.5" r="1.1" fill="currentColor" opacity="0.7" />
      </pattern>
      <pattern id="texture-blind" width="9" height="9" patternUnits="userSpaceOnUse">
        <path d="M0 4.5 H9 M4.5 0 V9" stroke="currentColor" strokeWidth="0.8" opacity="0.6" />
      </pattern>
    </defs>
  );
}

/** A stretch of time drawn in its texture. */
export function Stretch({
  kind,
  x,
  y,
  width,
  height,
}: {
  kind: string;
  x: number;
  y: number;
  width: number;
  height: number;
}) {
  const wide = Math.max(0.5, width);
  if (kind === "transition") {
    return <path d={`M${x} ${y + height / 2} h${wide}`} stroke="currentColor" strokeWidth="1" />;
  }
  if (kind === "wait") return null;
  const fill = kind === "work" ? "currentColor" : `url(#texture-${kind})`;
  return (
    <g>
      <rect x={x} y={y} width={wide} height={height} fill={fill} />
      {kind !== "work" && (
        <rect
          x={x}
          y={y}
          width={wide}
          height={height}
          fill="none"
          stroke="currentColor"
          strokeWidth="0.6"
          opacity="0.5"
        />
      )}
    </g>
  );
}

const KINDS: [string, string][] = [
  ["work", "work"],
  ["rest", "rest"],
  ["transition", "transition"],
  ["unseparated", "unassigned"],
];

/** What the textures mean. */
export function TextureKey() {
  return (
    <span style={{ display: "inline-flex", flexWrap: "wrap", gap: "2px 14px", fontSize: 12.5 }}>
      {KINDS.map(([kind, name]) => (
        <span key={kind} style={{ display: "inline-flex", gap: 5, alignItems: "center" }}>
          <svg width="22" height="10" aria-hidden>
            <Textures />
            <Stretch kind={kind} x={0} y={0} width={22} height={10} />
          </svg>
          {name}
        </span>
      ))}
    </span>
  );
}
