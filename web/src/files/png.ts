import { problem } from "../api/client";

/** So many dots for each of the picture's own units, so that it stays sharp on paper. */
const DENSITY = 2;

/** Fetches a picture that is drawn by lines, and saves it as dots. */
export async function savePng(svgUrl: string, name: string): Promise<void> {
  const answer = await fetch(svgUrl);
  if (!answer.ok) throw problem(answer.status, await answer.json().catch(() => undefined));
  const url = URL.createObjectURL(new Blob([await answer.text()], { type: "image/svg+xml" }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement("canvas");
    canvas.width = image.naturalWidth * DENSITY;
    canvas.height = image.naturalHeight * DENSITY;
    canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const png = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
    if (png) saveBlob(png, name);
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** Saves a file as a download. */
export function saveBlob(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
