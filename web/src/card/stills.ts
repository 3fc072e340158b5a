import { api, type AttemptView, type CardView, orProblem, problem, type RecordingView } from "../api/client";
import { draw } from "../player/scene";

const WIDTH = 400;
const HEIGHT = 225;
const QUALITY = 0.72;
/** A finding's moment begins with it; what it shows comes a little later. */
const INTO_MS = 800;
const LONGEST_WAIT_MS = 8000;

type Moment = CardView["moments"][number];

export interface Still {
  caption: string;
  mediaType: string;
  base64: string;
}

/** The recording moments are taken from: the first that "go" is set on. */
export function videoOf(attempt: AttemptView): RecordingView | undefined {
  return attempt.recordings.find((one) => one.goMs !== undefined);
}

/** Pictures of moments, taken from the recording as it plays. */
export async function stills(video: RecordingView, moments: Moment[]): Promise<Still[]> {
  const paint = await painter(video);
  const taken: Still[] = [];
  for (const moment of moments) {
    const canvas = document.createElement("canvas");
    canvas.width = WIDTH;
    canvas.height = HEIGHT;
    const context = canvas.getContext("2d");
    if (!context) continue;
    await paint(context, (video.goMs ?? 0) + moment.fromMs + INTO_MS);
    const [head = "", base64 = ""] = canvas.toDataURL("image/jpeg", QUALITY).split(",");
    taken.push({ caption: moment.caption.slice(0, 400), mediaType: head.slice(5, head.indexOf(";")), base64 });
  }
  return taken;
}

type Paint = (context: CanvasRenderingContext2D, mediaMs: number) => Promise<void>;

async function painter(video: RecordingView): Promise<Paint> {
  return video.kind === "VIDEO" ? decoded(video) : simulated(video);
}

async function simulated(video: RecordingView): Promise<Paint> {
  const script = orProblem(await api.GET("/api/recordings/{id}/script", { params: { path: { id: video.id } } }));
  const whole = document.createElement("canvas");
  whole.width = 960;
  whole.height = 540;
  const inside = whole.getContext("2d");
  return (context, mediaMs) => {
    if (inside) draw(inside, script, mediaMs);
    context.drawImage(whole, 0, 0, WIDTH, HEIGHT);
    return Promise.resolve();
  };
}

async function decoded(video: RecordingView): Promise<Paint> {
  const element = document.createElement("video");
  element.muted = true;
  element.preload = "auto";
  element.src = `/api/recordings/${video.id}/media`;
  await once(element, "loadeddata");
  return async (context, mediaMs) => {
    element.currentTime = mediaMs / 1000;
    await once(element, "seeked");
    const scale = Math.min(WIDTH / element.videoWidth, HEIGHT / element.videoHeight);
    const [w, h] = [element.videoWidth * scale, element.videoHeight * scale];
    context.fillRect(0, 0, WIDTH, HEIGHT);
    context.drawImage(element, (WIDTH - w) / 2, (HEIGHT - h) / 2, w, h);
  };
}

function once(element: HTMLVideoElement, event: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const over = setTimeout(() => reject(unseen("The video shows no pictures.")), LONGEST_WAIT_MS);
    element.addEventListener(
      event,
      () => {
        clearTimeout(over);
        resolve();
      },
      { once: true },
    );
    element.addEventListener("error", () => reject(unseen("The video cannot be played.")), { once: true });
  });
}

function unseen(why: string): Error {
  return problem(0, { detail: `${why} Download the card without photos.` });
}
