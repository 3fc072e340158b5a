import { useQuery } from "@tanstack/react-query";
import { TextField } from "react-aria-components";
import { api, orProblem } from "../api/client";
import { Label, TextArea } from "../ui/fields";
import { Problem, Small } from "../ui/primitives";

const EXAMPLE =
  "max clean 85 kg\nunbroken toes-to-bar 14\nbest run 1 mi 6:40\ntest row 300 m: 1:02 1:03 1:03\ntest air bike 30 cal: 1:00 1:05\nlimiter push press";

interface Props {
  value: string;
  onChange: (value: string) => void;
}

/** Maxes, unbroken sets and tests, a line each; what they say, and what cannot be read, as they are typed. */
export function FiguresField({ value, onChange }: Props) {
  const read = useQuery({
    queryKey: ["figures", value],
    enabled: value.trim() !== "",
    placeholderData: (previous) => previous,
    queryFn: async () => orProblem(await api.POST("/api/athletes/figures", { body: { figures: value } })),
  });
  const said = value.trim() === "" ? undefined : read.data;
  return (
    <div>
      <TextField value={value} onChange={onChange}>
        <Label>Bests and tests, one per line</Label>
        <TextArea rows={6} placeholder={EXAMPLE} />
      </TextField>
      {said?.problems.map((problem) => (
        <Problem key={problem}>{problem}</Problem>
      ))}
      {said?.advice.map((line) => (
        <Small key={line} style={{ display: "block" }}>
          {line}
        </Small>
      ))}
    </div>
  );
}
