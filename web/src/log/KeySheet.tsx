import { type KeyboardEvent, useState } from "react";
import styled from "styled-components";
import { Button, Problem, Quiet } from "../ui/primitives";
import { type Command, FIXED, holder, type KeyMap, keyOf, LEFT_HANDED, OTHER, SEEN } from "./keys";
import { Key } from "./Keypad";

const Sheet = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr auto 1fr;
  gap: 5px 12px;
  margin: 0;
  font-size: 14px;
  dd {
    margin: 0;
  }
`;

const Change = styled.button`
  all: unset;
  cursor: pointer;
  &:focus-visible {
    outline: 2px solid var(--focus);
    outline-offset: 2px;
    border-radius: 4px;
  }
`;

interface Props {
  keys: KeyMap;
  onKeys: (keys: KeyMap) => void;
  problem: string | undefined;
}

/** All keys, for `?`; the letters can be changed. */
export function KeySheet({ keys, onKeys, problem }: Props) {
  const [changing, setChanging] = useState<Command>();
  const [said, setSaid] = useState<string>();
  const press = (command: Command, event: KeyboardEvent) => {
    if (changing !== command || event.key === "Tab") return;
    event.preventDefault();
    event.stopPropagation();
    setChanging(undefined);
    if (event.key === "Escape") return;
    const key = event.key.toLowerCase();
    if (key.length !== 1 || /[\d\s?]/.test(key)) {
      setSaid("Use a letter or symbol. Digits, Space and ? are taken.");
      return;
    }
    const taken = holder(key, command, keys);
    if (taken) {
      setSaid(`${key.toUpperCase()} is taken by “${taken.text}”. Change that one first.`);
      return;
    }
    setSaid(undefined);
    onKeys({ ...keys, [command.name]: key });
  };
  return (
    <>
      <Quiet style={{ marginBottom: 10 }}>
        {changing ? `Press the key for “${changing.text}”, or Escape.` : "Press a letter’s button to change it."}
      </Quiet>
      {(said ?? problem) && <Problem style={{ marginBottom: 10 }}>{said ?? problem}</Problem>}
      <Sheet>
        {[...SEEN, ...OTHER].map((command) => [
          <dt key={command.name}>
            <Change
              type="button"
              aria-label={`Key for ${command.text}: ${keyOf(command, keys)}`}
              onClick={() => setChanging(command)}
              onKeyDown={(event) => press(command, event)}
            >
              <Key>{changing === command ? "…" : keyOf(command, keys).toUpperCase()}</Key>
            </Change>
          </dt>,
          <dd key={`${command.name} text`}>{command.text}</dd>,
        ])}
        {FIXED.map(([key, text]) => [
          <dt key={key}>
            <Key>{key}</Key>
          </dt>,
          <dd key={`${key} text`}>{text}</dd>,
        ])}
      </Sheet>
      <div style={{ display: "flex", gap: 8, marginTop: 14 }}>
        <Button onPress={() => onKeys(LEFT_HANDED)}>Left-handed</Button>
        <Button onPress={() => onKeys({})}>Reset to default</Button>
      </div>
    </>
  );
}
