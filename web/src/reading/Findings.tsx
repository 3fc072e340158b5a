import { useState } from "react";
import styled from "styled-components";
import type { ReadingView } from "../api/client";
import { Quiet, Small, SmallButton } from "../ui/primitives";
import { span } from "../ui/time";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

const List = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 74px 1fr;
    padding: 12px 0;
    border-top: 1px solid var(--line);
  }
`;

const Lost = styled.span`
  font-size: 22px;
  line-height: 1.2;
  font-weight: 620;
  font-stretch: 82%;
  color: var(--behind);
`;

const Moments = styled.div`
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  margin-top: 6px;
`;

const Working = styled.ul`
  list-style: none;
  margin: 8px 0 0;
  padding: 8px 12px;
  background: var(--selected);
  border-radius: 6px;
  font-size: 13px;
  font-stretch: 88%;
  li {
    display: block;
    border: 0;
    padding: 1px 0;
  }
`;

type Finding = ReadingView["findings"][number];

interface Props {
  findings: Finding[];
  /** What to say where there are none. */
  silence: string;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** What cost most, each with the moments that show it and how its figure was worked out. */
export function Findings({ findings, silence, onPlay }: Props) {
  if (findings.length === 0) return <Quiet>{silence}</Quiet>;
  return (
    <List>
      {findings.map((finding) => (
        <One key={`${finding.kind} ${finding.movement} ${finding.cause}`} finding={finding} onPlay={onPlay} />
      ))}
    </List>
  );
}

function One({ finding, onPlay }: { finding: Finding; onPlay: Props["onPlay"] }) {
  const { lostSpan } = useTimes();
  const [open, setOpen] = useState(false);
  return (
    <li>
      <Lost>{lostSpan(finding.lostMs)}</Lost>
      <div>
        {finding.sentence}{" "}
        {finding.readingErrorMs >= 50 && <Small title="timing error">± {span(finding.readingErrorMs)}</Small>}
        <Moments>
          {finding.moments.slice(0, 5).map((moment) => (
            <Play key={moment.fromMs} what={moment.label} fromMs={moment.fromMs} toMs={moment.toMs} onPlay={onPlay} />
          ))}
          <SmallButton aria-expanded={open} onPress={() => setOpen(!open)}>
            {open ? "Hide" : "How this is calculated"}
          </SmallButton>
        </Moments>
        {open && (
          <Working>
            {finding.working.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Working>
        )}
      </div>
    </li>
  );
}
