import { expect, it } from "vitest";
import { fromChance } from "./ids";

it("ids from chance are of version 4, variant 1 (RFC 9562, 5.4), and differ", () => {
  const ids = Array.from({ length: 200 }, fromChance);
  for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  expect(new Set(ids).size).toBe(200);
});
