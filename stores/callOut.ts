import { createStore } from 'zustand/vanilla';
import * as v from 'valibot';
import { readCallOut, type CallOut } from '@/core/formats/callOut';

interface CallOutState {
  /** Whether the line to the other phones is open. */
  on: boolean;
  /** What was heard last, and when, s. */
  heard: { call: CallOut; atS: number } | null;
  /** Phones that heard what was called last; null before the server has said. */
  heardBy: number | null;
}

export const callOutStore = createStore<CallOutState>(() => ({ on: false, heard: null, heardBy: null }));

const AGAIN_MS = 3000;
const AnswerSchema = v.object({ heard: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(1000)) });

let line: WebSocket | null = null;

function take(data: unknown): void {
  if (typeof data !== 'string' || data.length > 1000) return;
  const call = readCallOut(data);
  if (call) return callOutStore.setState({ heard: { call, atS: Date.now() / 1000 } });
  let parsed: unknown;
  try {
    parsed = JSON.parse(data);
  } catch {
    return;
  }
  const answer = v.safeParse(AnswerSchema, parsed);
  if (answer.success) callOutStore.setState({ heardBy: answer.output.heard });
}

/** Opens the line to the other phones on the boat, and keeps it open. Returns how to close it. */
export function openCallOutLine(): () => void {
  let ended = false;
  let again: ReturnType<typeof setTimeout> | null = null;
  const connect = (): void => {
    const scheme = window.location.protocol === 'https:' ? 'wss' : 'ws';
    const socket = new WebSocket(`${scheme}://${window.location.host}/call-out-line`);
    line = socket;
    socket.onopen = () => callOutStore.setState({ on: true });
    socket.onmessage = ({ data }) => take(data);
    socket.onclose = () => {
      callOutStore.setState({ on: false, heardBy: null });
      if (!ended) again = setTimeout(connect, AGAIN_MS);
    };
  };
  connect();
  return () => {
    ended = true;
    if (again !== null) clearTimeout(again);
    line?.close();
    line = null;
  };
}

/** Calls out to the other phones. */
export function callOut(call: CallOut): void {
  callOutStore.setState({ heardBy: null });
  if (line?.readyState === WebSocket.OPEN) line.send(JSON.stringify(call));
}
