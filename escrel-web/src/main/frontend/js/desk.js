// The sound desk: brings sound to the server piece by piece, shows what comes back, and leads through the positions. What may
// follow on what stands in machine.js.
import { door, Refused } from "./desk/door.js";
import { IDLE, listens, next } from "./desk/machine.js";
import { microphoneSource, queue, simulatedSource } from "./desk/sources.js";
import { deskView } from "./desk/view.js";

const desk = document.getElementById("desk");
const $ = (id) => document.getElementById(id);
const token = JSON.parse(document.body.getAttribute("hx-headers"))["X-XSRF-TOKEN"];
const server = door(desk.dataset.job, token);
const view = deskView(desk);

let state = IDLE;
let session = null;
let feed = null;
let clean = true;

const pieces = queue(async (samples) => {
  if (!listens(state)) return;
  try {
    const heard = await server.post(`${session}/sound`, samples.buffer, "application/octet-stream");
    happen({ type: "heard", settled: heard.settled, heard });
  } catch (error) {
    happen({ type: "lost", words: wordsOf(error) });
  }
});

const wordsOf = (error) => (error instanceof Refused ? error.page : "");
const laid = () => view.words(state.plan[state.at]);

function happen(event) {
  const [after, effects] = next(state, event);
  state = after;
  view.trouble(state.trouble);
  view.phase(state);
  for (const effect of effects) EFFECTS[effect](event);
}

const EFFECTS = {
  async open() {
    const ticked = view.ticked();
    if (!ticked.length) return happen({ type: "notOpened", words: "", title: "Nothing to take", sentence: "Tick at least one position." });
    view.tell("Asking for sound", "The browser may ask whether this page may use the microphone.");
    let opening = null;
    try {
      const plan = await server.order(ticked);
      opening = await source(plan[0]);
      const opened = await server.post("open", new URLSearchParams({ sampleRate: opening.sampleRate, device: opening.label, simulated: opening.simulated }));
      feed = opening;
      session = opened.id;
      $("desk-clock").textContent = opened.clock;
      if (state.phase === "asking") feed.start((piece) => pieces.add(piece), (error) => happen({ type: "lost", words: "", error }));
      happen({ type: "opened", plan });
    } catch (error) {
      opening?.stop();
      const sentence = error instanceof Refused ? "See below." : `The computer gave no sound (${error.message}). ` +
        "Plug the pick-up in, allow the microphone for this page, or choose a simulated watch with key 8.";
      happen({ type: "notOpened", words: wordsOf(error), title: "No sound", sentence });
    }
  },
  close() {
    feed?.stop();
    feed = null;
    pieces.clear();
    if (session) server.leave(`${session}/close`);
    session = null;
  },
  async listen() {
    feed.lay(state.plan[state.at]);
    pieces.clear();
    clean = false;
    view.tell(laid(), "Listening.");
    try {
      await server.post(`${session}/again`);
    } catch (error) {
      happen({ type: "lost", words: wordsOf(error) });
    }
  },
  async take() {
    const body = new URLSearchParams(new FormData($("desk-what")));
    const hours = (body.get("woundHours") || "").replace(",", ".");
    if (hours) body.set("woundHours", hours);
    else body.delete("woundHours");
    body.set("position", state.plan[state.at]);
    try {
      const row = await server.post(`${session}/take`, body);
      view.taken(row);
      happen({ type: "taken" });
    } catch (error) {
      happen({ type: "notTaken", words: wordsOf(error) });
    }
  },
  show({ heard }) {
    // the last picture stays until there is another
    if (!clean) view.clear();
    clean = true;
    view.heard(heard);
  },
  sayLay: () => view.tell(laid(), "Lay the watch as drawn, then press 0."),
  sayListening({ heard }) {
    const never = heard.never ? " It hardly settles; key 5 takes it as it is." : "";
    view.say(laid(), `${heard.waitsFor || `Listening: ${heard.seconds.toFixed(0)} s`}.${never}`);
  },
  sayNotTaken: () => view.tell(laid(), "This reading was not taken; why stands below. Press 0 to listen again."),
  sayNoSound: ({ title, sentence }) => view.tell(title, sentence),
  sayFinished: () => view.tell("All taken", "The readings are in the job. Key 4 shows them."),
  sayStopped: () => view.tell("Stopped", "Readings taken are in the job. Press 0 to begin again."),
  sayLost: () => view.tell("The sound broke off", "Readings taken are in the job. Press 0 to begin again."),
};

async function source(position) {
  const value = $("desk-device").value;
  if (value.startsWith("simulated:")) return simulatedSource(desk.dataset.job, value.slice(10), { pace: Number($("desk-pace").value), position, hours });
  const microphone = await microphoneSource(value, desk.dataset.worklet);
  await nameDevices();
  return microphone;
}

function hours() {
  const what = $("desk-what").elements;
  const typed = { AFTER_12_H: 12, AFTER_24_H: 24, AFTER_HOURS: Number(what.woundHours.value.replace(",", ".")) };
  return typed[what.wound.value] || 0;
}

async function offerSimulated() {
  const select = $("desk-device");
  const group = document.createElement("optgroup");
  group.label = "simulated watches";
  for (const watch of await (await fetch("/simulated/watches")).json()) group.append(new Option(`simulated: ${watch.words}`, `simulated:${watch.name}`));
  select.append(group);
  const wanted = new URLSearchParams(location.search).get("source");
  if (wanted) select.value = wanted;
  showSource();
}

async function nameDevices() {
  const select = $("desk-device");
  for (const device of await navigator.mediaDevices.enumerateDevices()) {
    if (device.kind !== "audioinput" || !device.label || select.querySelector(`[value="${CSS.escape(device.deviceId)}"]`)) continue;
    select.insertBefore(new Option(device.label, device.deviceId), select.querySelector("optgroup"));
  }
}

function showSource() {
  const simulated = $("desk-device").value.startsWith("simulated:");
  $("desk-simulated").hidden = !simulated;
  $("desk-pace-label").hidden = !simulated;
  desk.dataset.source = simulated ? "simulated" : "mic";
}

// what is taken belongs to one occasion: another one shows its own readings, in their place
async function showOccasion() {
  const query = new URLSearchParams(new FormData($("desk-what")));
  if (!query.get("woundHours")) query.delete("woundHours");
  try {
    view.rows(await server.rows(query));
    if ($("desk-device").value) query.set("source", $("desk-device").value);
    history.replaceState(null, "", `?${query}`);
    view.phase(state);
  } catch (error) {
    view.trouble(wordsOf(error));
  }
}

for (const type of ["go", "take", "back", "skip", "stop"]) $(`desk-${type}`).addEventListener("click", () => happen({ type }));
$("desk-source").addEventListener("click", () => {
  const select = $("desk-device");
  select.selectedIndex = (select.selectedIndex + 1) % select.options.length;
  happen({ type: "stop" });
  showSource();
  view.tell("Sound from", select.options[select.selectedIndex].text);
});
$("desk-device").addEventListener("change", () => {
  happen({ type: "stop" });
  showSource();
});
$("desk-what").addEventListener("change", (event) => {
  if (event.target === $("desk-device") || event.target === $("desk-pace")) return;
  const hours = $("desk-what").elements.wound.value === "AFTER_HOURS";
  $("desk-hours").hidden = !hours;
  if (!hours) $("desk-hours").querySelector("input").value = "";
  showOccasion();
});
window.addEventListener("pagehide", () => {
  feed?.stop();
  if (session) server.leave(`${session}/close`);
});
offerSimulated();
