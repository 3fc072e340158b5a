import { useMutation, useQuery } from "@tanstack/react-query";
import { type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { api, type GymView, message, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { KeySheet } from "../log/KeySheet";
import { useLogSettingsKept } from "../log/useLogSettingsKept";
import { Input, Label, TextArea } from "../ui/fields";
import { say } from "../ui/notices";
import { Button, Heading, PrimaryButton, Problem, Quiet, Small, SmallButton } from "../ui/primitives";

const Form = styled.form`
  display: grid;
  gap: 14px;
  max-width: 620px;
`;

const Credits = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  > div {
    width: 130px;
  }
`;

/** What is chosen for the whole gym, as it is asked for. */
export function useGym() {
  return useQuery({
    queryKey: keys.gym,
    queryFn: async () => orProblem(await api.GET("/api/settings/gym")),
  });
}

/** Units and plates, what evidence counts, phrases and keys. */
export function GymSettings() {
  const gym = useGym();
  return (
    <>
      {gym.isError && <Problem>{message(gym.error)}</Problem>}
      {gym.data && <Gym key={JSON.stringify(gym.data)} gym={gym.data} />}
      <Phrases />
      <Keys />
    </>
  );
}

function Gym({ gym }: { gym: GymView }) {
  const [bar, setBar] = useState(gym.bar);
  const [plates, setPlates] = useState(gym.plates);
  const [credits, setCredits] = useState(() => gym.credits.map((one) => `${one.percent}`));
  const keep = useMutation({
    mutationFn: async () =>
      orProblem(
        await api.PUT("/api/settings/gym", {
          body: {
            bar,
            plates,
            creditPercents: Object.fromEntries(
              gym.credits.map((one, index) => [one.evidence, Number((credits[index] ?? "").replace("%", ""))]),
            ),
          },
        }),
      ),
    onSuccess: async (kept) => {
      say("Settings saved.");
      queryClient.setQueryData(keys.gym, kept);
      await queryClient.invalidateQueries({ queryKey: ["attempt"], refetchType: "none" });
      await queryClient.invalidateQueries({ queryKey: keys.athletes, refetchType: "none" });
    },
  });
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <section aria-label="Bar, plates and credits" style={{ marginTop: 32 }}>
      <Heading>Units, bar and plates</Heading>
      <Quiet>Used for new lift plans. Existing plans keep theirs.</Quiet>
      <Form onSubmit={submit} style={{ marginTop: 10 }}>
        <div style={{ display: "flex", gap: 8 }}>
          {gym.racks.map((rack) => (
            <SmallButton
              key={rack.unit}
              onPress={() => {
                setBar(rack.bar);
                setPlates(rack.plates);
              }}
            >
              Standard {rack.unit} set
            </SmallButton>
          ))}
        </div>
        <TextField value={bar} onChange={setBar} style={{ maxWidth: 140 }}>
          <Label>Bar + collars</Label>
          <Input />
        </TextField>
        <TextField value={plates} onChange={setPlates}>
          <Label>Plates (pairs)</Label>
          <Input />
        </TextField>
        <Heading style={{ marginTop: 10 }}>How much is proven</Heading>
        <Quiet>
          Share of each projected gain counted as proven, in %. Assumed values; checked retests adjust them per athlete.
        </Quiet>
        <Credits>
          {gym.credits.map((one, index) => (
            <TextField
              key={one.evidence}
              value={credits[index] ?? ""}
              onChange={(value) => setCredits(credits.map((old, at) => (at === index ? value : old)))}
            >
              <Label>{one.words}</Label>
              <Input inputMode="decimal" />
              <Small>usually {one.usualPercent}</Small>
            </TextField>
          ))}
        </Credits>
        {keep.isError && <Problem>{message(keep.error)}</Problem>}
        <div>
          <PrimaryButton type="submit" isDisabled={keep.isPending}>
            Save
          </PrimaryButton>
        </div>
      </Form>
    </section>
  );
}

/** Quick notes, one per line. */
function Phrases() {
  const { settings, keep, problem } = useLogSettingsKept();
  const [text, setText] = useState<string>();
  const shown = text ?? settings.phrases.join("\n");
  return (
    <section aria-label="Phrases" style={{ marginTop: 32, maxWidth: 620 }}>
      <Heading>Quick notes</Heading>
      <TextField value={shown} onChange={setText}>
        <Label>One per line, up to nine. In the note box, Alt+1 to Alt+9 adds one.</Label>
        <TextArea rows={4} />
      </TextField>
      {problem && <Problem>{problem}</Problem>}
      <p style={{ marginTop: 8 }}>
        <Button
          isDisabled={text === undefined}
          onPress={() => {
            const phrases = shown
              .split("\n")
              .map((line) => line.trim())
              .filter((line) => line !== "");
            keep({ ...settings, phrases });
            setText(undefined);
          }}
        >
          Save quick notes
        </Button>
      </p>
    </section>
  );
}

function Keys() {
  const { settings, keep, problem } = useLogSettingsKept();
  return (
    <section aria-label="Keys" style={{ marginTop: 32, maxWidth: 720 }}>
      <Heading>Keys of the log</Heading>
      <KeySheet keys={settings.keys} onKeys={(all) => keep({ ...settings, keys: all })} problem={problem} />
    </section>
  );
}
