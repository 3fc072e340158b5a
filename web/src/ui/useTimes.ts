import { createContext, useContext } from "react";
import { type Digits, type Times, told } from "./time";

/** How far the times of the attempt on screen are told. */
export const Told = createContext<Digits>("TENTHS");

/** Prints times as far as they are told. */
export function useTimes(): Times {
  return told(useContext(Told));
}
