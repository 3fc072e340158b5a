import { render } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { TraceLine } from "./TraceLine";
import type { SeriesView } from "./useTraces";

const series = (kind: SeriesView["kind"]): SeriesView => ({
  kind,
  words: "Heart rate",
  unit: "beats/min",
  low: 100,
  high: 200,
  span: "100 to 200 beats/min",
  points: [
    { atMs: 0, value: 100, starts: true },
    { atMs: 1000, value: 200, starts: false },
    { atMs: 9000, value: 150, starts: true },
    { atMs: 10_000, value: 150, starts: false },
  ],
});

function path(kind: SeriesView["kind"]) {
  const { container } = render(
    <svg>
      <TraceLine of={series(kind)} x={({ atMs }) => atMs / 100} top={0} bottom={50} />
    </svg>,
  );
  return container.querySelector("path")?.getAttribute("d");
}

describe("a trace", () => {
  it("is not joined over what was not noted", () => {
    expect(path("HEART")).toBe("M0,50L10,0M90,25L100,25");
  });

  it("lies higher the quicker the pace", () => {
    expect(path("PACE")).toBe("M0,0L10,50M90,25L100,25");
  });
});
