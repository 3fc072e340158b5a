import { act, screen, waitFor } from "@testing-library/react";
import { useEffect } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { api, type AttemptView, type LogView } from "../api/client";
import { keys, queryClient, useAttempt } from "../api/queries";
import { renderInApp } from "../testing/app";
import { outbox } from "../outbox/outbox";
import { attempt, log, mark } from "../testing/sample";
import { Saved } from "./Saved";
import { type Marks, markBody, useFromElsewhere, useMarks } from "./useMarks";

/** What the server was asked, and what it answers next. */
let asked: { id: string; kind: string }[];
let answers: (() => Promise<unknown>)[];
const desk: { marks: Marks | undefined } = { marks: undefined };

const kept = (known: LogView) => () => Promise.resolve({ data: known, response: new Response() });
const refused = (detail: string) => () =>
  Promise.resolve({ error: { detail, status: 422 }, response: new Response(null, { status: 422 }) });
const away = () => Promise.reject(new TypeError("Failed to fetch"));

function Desk({ view }: { view: AttemptView }) {
  const marks = useMarks(view);
  useEffect(() => {
    desk.marks = marks;
  }, [marks]);
  const elsewhere = useFromElsewhere(view.log, marks.isOwn);
  return (
    <>
      <p>{marks.refusal ?? elsewhere ?? "nothing to say"}</p>
      <Saved marks={marks} />
    </>
  );
}

function Following({ id }: { id: string }) {
  const view = useAttempt(id);
  return view.data ? <Desk view={view.data} /> : null;
}

interface Asking {
  params: { path: { id: string } };
  body: { kind: string } | { marks: { id: string; mark: { kind: string } }[] };
}

const open = (view = attempt()) => {
  queryClient.setQueryData(keys.attempt(view.id), view);
  return renderInApp(<Following id={view.id} />);
};

const send = (id: string) =>
  act(() => desk.marks?.send({ op: "put", id, body: markBody({ kind: "REP", atMs: 1000 }) }));

describe("marks on their way to the server", () => {
  let stop: () => void;
  beforeEach(() => {
    localStorage.clear();
    outbox.sender.heard(undefined);
    stop = outbox.start();
    queryClient.clear();
    asked = [];
    answers = [];
    vi.spyOn(api, "GET").mockImplementation((() => new Promise(() => undefined)) as never);
    vi.spyOn(api, "PUT").mockImplementation(((_path: string, { params, body }: Asking) => {
      if ("marks" in body) asked.push(...body.marks.map(({ id, mark }) => ({ id, kind: mark.kind })));
      else asked.push({ id: params.path.id, kind: body.kind });
      return (answers.shift() ?? away)();
    }) as never);
  });
  afterEach(() => stop());

  it("are sent together, and the log becomes what was answered", async () => {
    answers = [kept(log({ marks: [mark("1"), mark("2")], clockMs: 30_000 }))];
    open();
    send("1");
    send("2");
    expect(screen.getByText("Saving…")).toBeTruthy();
    await screen.findByText("All marks saved.");
    expect(asked.map((one) => one.id)).toEqual(["1", "2"]);
    expect(desk.marks?.log().clockMs).toBe(30_000);
    expect(localStorage).toHaveLength(0);
  });

  it("are dropped with the server's reason when it refuses them", async () => {
    answers = [refused("The athlete is resting.")];
    open();
    send("1");
    await screen.findByText("The athlete is resting.");
    expect(desk.marks?.waiting.ops()).toEqual([]);
  });

  it("wait while the server is away, and are sent again under the same id", async () => {
    answers = [away, kept(log({ marks: [mark("1")] }))];
    open();
    send("1");
    await screen.findByText(/Keep logging: 1 mark is saved on this device/);
    expect(localStorage).toHaveLength(1);
    await screen.findByText("All marks saved.", {}, { timeout: 3000 });
    expect(asked.map((one) => one.id)).toEqual(["1", "1"]);
  });

  it("go on being sent when the step is left", async () => {
    answers = [away, kept(log({ marks: [mark("1")] }))];
    const { unmount } = open();
    send("1");
    await waitFor(() => expect(asked).toHaveLength(1));
    unmount();
    await waitFor(() => expect(asked).toHaveLength(2), { timeout: 3000 });
    await waitFor(() => expect(localStorage).toHaveLength(0));
  });

  it("that are refused while nobody looks are set aside with the reason", async () => {
    let answer: () => void = () => undefined;
    answers = [
      () => new Promise((resolve) => (answer = () => void refused("The athlete is resting.")().then(resolve))),
    ];
    const { unmount } = open();
    send("1");
    await waitFor(() => expect(asked).toHaveLength(1));
    unmount();
    answer();
    await waitFor(() => expect(outbox.queues.setAside().map((one) => one.why)).toEqual(["The athlete is resting."]));
    expect(outbox.queues.count()).toBe(0);
  });

  it("left over from before a reload are sent when the attempt is opened again", async () => {
    answers = [away];
    const { unmount } = open();
    send("1");
    await waitFor(() => expect(asked).toHaveLength(1));
    unmount();
    stop();
    answers = [kept(log({ marks: [mark("1")] }))];
    stop = outbox.start();
    open();
    await screen.findByText("All marks saved.", {}, { timeout: 3000 });
    expect(asked.map((one) => one.id)).toEqual(["1", "1"]);
  });

  it("of another window are told of, one's own are not", async () => {
    answers = [kept(log({ marks: [mark("1"), mark("theirs")] }))];
    open();
    send("1");
    await screen.findByText("A mark from another window came in.");
    act(() => {
      queryClient.setQueryData(
        keys.attempt("a"),
        attempt({ log: log({ marks: ["1", "theirs", "x", "y"].map((id) => mark(id)) }) }),
      );
    });
    await screen.findByText("2 marks from another window came in.");
  });
});
