// Where the desk's sound comes from: a microphone the computer has, or a simulated watch. Both give pieces of raw samples.

/** Sound of a simulated watch, fetched piece by piece from the server as fast as it would come. */
export function simulatedSource(job, watch, { pace, position, hours }) {
  const piece = 0.15;
  const seed = 1 + (Number(job) % 1000);
  let heard = 0;
  let lying = position;
  let timer = null;
  return {
    sampleRate: 44100,
    label: `simulated: ${watch}`,
    simulated: true,
    start(take, lost) {
      const step = async () => {
        const began = performance.now();
        const laid = lying;
        const query = new URLSearchParams({ watch, position: laid, from: heard, seconds: piece * pace, hours: hours(), seed });
        try {
          const answer = await fetch(`/simulated/jobs/${job}/sound?${query}`);
          if (!answer.ok) throw new Error(`answer ${answer.status}`);
          const samples = new Float32Array(await answer.arrayBuffer());
          if (timer === null) return;
          if (laid === lying) {
            heard += piece * pace;
            await take(samples);
          }
          timer = setTimeout(step, Math.max(0, piece * 1000 - (performance.now() - began)));
        } catch (error) {
          if (timer !== null) lost(error);
        }
      };
      timer = setTimeout(step, 0);
    },
    lay(next) {
      lying = next;
      heard = 0;
    },
    stop() {
      clearTimeout(timer);
      timer = null;
    },
  };
}

/** Sound of a microphone, unfiltered; the browser asks the person first. */
export async function microphoneSource(deviceId, worklet) {
  if (!navigator.mediaDevices) throw new Error("this browser gives no sound here; open Escrel as http://localhost or 127.0.0.1");
  const audio = { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: { ideal: 2 } };
  if (deviceId) audio.deviceId = { exact: deviceId };
  const stream = await navigator.mediaDevices.getUserMedia({ audio });
  const context = new AudioContext();
  await context.audioWorklet.addModule(worklet);
  const node = new AudioWorkletNode(context, "pieces", { numberOfOutputs: 0 });
  context.createMediaStreamSource(stream).connect(node);
  const track = stream.getAudioTracks()[0];
  return {
    sampleRate: context.sampleRate,
    label: track.label || "microphone",
    simulated: false,
    start(take, lost) {
      node.port.onmessage = (event) => take(event.data);
      track.onended = () => lost(new Error("the sound device was taken away"));
    },
    lay() {},
    stop() {
      node.port.onmessage = null;
      track.onended = null;
      stream.getTracks().forEach((t) => t.stop());
      context.close();
    },
  };
}

/** Pieces one after the other: one is on its way at a time, what comes meanwhile goes with the next. */
export function queue(send) {
  let waiting = [];
  let sending = false;
  return {
    clear() {
      waiting = [];
    },
    async add(piece) {
      waiting.push(piece);
      if (sending) return;
      sending = true;
      try {
        while (waiting.length) {
          const whole = joined(waiting);
          waiting = [];
          await send(whole);
        }
      } finally {
        sending = false;
      }
    },
  };
}

export function joined(pieces) {
  const whole = new Float32Array(pieces.reduce((sum, p) => sum + p.length, 0));
  let offset = 0;
  for (const p of pieces) {
    whole.set(p, offset);
    offset += p.length;
  }
  return whole;
}
