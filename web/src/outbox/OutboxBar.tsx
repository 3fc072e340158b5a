import { useState, useSyncExternalStore } from "react";
import { Link, useLocation } from "react-router";
import styled from "styled-components";
import { Button, Quiet } from "../ui/primitives";
import { clock } from "../ui/time";
import { outbox } from "./outbox";
import type { Aside, Op } from "./queue";
import { troubleWords, unkeptWords } from "./sender";
import { KINDS } from "../log/kinds";

const Bar = styled.section`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  padding: 7px 20px;
  border-bottom: 1px solid var(--line);
  background: var(--panel);
  color: var(--ink);
  ul {
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    display: grid;
    gap: 6px;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    align-items: center;
  }
`;

/** Over every screen, while something waits that cannot be sent, or was set aside. */
export function OutboxBar() {
  const { queues, sender } = outbox;
  const trouble = useSyncExternalStore(sender.subscribe, sender.trouble);
  const count = useSyncExternalStore(queues.subscribe, queues.count);
  const unkept = useSyncExternalStore(queues.subscribe, queues.unkept);
  const aside = useSyncExternalStore(queues.subscribe, queues.setAside);
  const [open, setOpen] = useState(false);
  // The log says by itself what waits.
  const said = useLocation().pathname.endsWith("/log");
  const waits = trouble !== undefined && count > 0 && !said;
  const atRisk = unkept > 0 && !said;
  if (!waits && !atRisk && aside.length === 0) return null;
  return (
    <Bar aria-label="Not saved yet">
      {atRisk && <span role="status">{unkeptWords(unkept)}</span>}
      {waits && <span role="status">{troubleWords(trouble, count)}</span>}
      {aside.length > 0 && (
        <>
          <span role="status">{aside.length === 1 ? "One mark" : `${aside.length} marks`} couldn’t be saved.</span>
          <Button onPress={() => setOpen(!open)} aria-expanded={open}>
            {open ? "Close" : "Show"}
          </Button>
        </>
      )}
      {open && (
        <ul>
          {aside.map((one) => (
            <Row key={one.place} aside={one} />
          ))}
        </ul>
      )}
    </Bar>
  );
}

function Row({ aside }: { aside: Aside }) {
  return (
    <li>
      <Link to={`/attempts/${aside.attemptId}/log`}>{words(aside.op)}</Link>
      <Quiet as="span">{aside.why}</Quiet>
      <Button onPress={() => outbox.queues.again(aside)}>Try again</Button>
      <Button onPress={() => outbox.queues.letGo(aside)}>Discard</Button>
    </li>
  );
}

function words(op: Op): string {
  switch (op.op) {
    case "put":
      return `${KINDS[op.body.kind]} at ${clock(op.body.atMs)} of the video`;
    case "remove":
      return "Mark deleted";
    case "join":
      return "Sets joined";
    case "undo":
      return "An undo";
    case "redo":
      return "A redo";
    case "go":
      return "Start";
    case "forgetGo":
      return "Start removed";
  }
}
