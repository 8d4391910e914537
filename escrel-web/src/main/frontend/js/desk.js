// The sound desk: brings sound to the server piece by piece, shows what comes back, and leads through the positions.
(() => {
  "use strict";

  const desk = document.getElementById("desk");
  if (!desk) return;
  const job = desk.dataset.job;
  const $ = (id) => document.getElementById(id);
  const token = JSON.parse(document.body.getAttribute("hx-headers"))["X-XSRF-TOKEN"];
  const { drawStrip, drawBeat } = window.escrelDrawing;

  // ---- state: which positions, where we are, what feeds the desk
  let plan = [];
  let at = -1;
  let phase = "idle"; // idle, lay, listen
  let session = null;
  let feed = null;
  let settledFor = 0;

  // ---- the server's doors
  async function post(path, body, type) {
    const headers = { "X-XSRF-TOKEN": token, "HX-Request": "true" };
    if (type) headers["Content-Type"] = type;
    const answer = await fetch(`/jobs/${job}/desk/${path}`, { method: "POST", headers, body });
    if (!answer.ok) {
      $("trouble").innerHTML = await answer.text();
      throw new Error(`answer ${answer.status}`);
    }
    $("trouble").replaceChildren();
    return (answer.headers.get("Content-Type") || "").includes("json") ? answer.json() : answer.text();
  }

  // ---- sources: a microphone the computer has, or a simulated watch
  async function offerSources() {
    const select = $("desk-device");
    const simulated = await (await fetch("/simulated/watches")).json();
    const group = document.createElement("optgroup");
    group.label = "simulated watches";
    for (const watch of simulated) {
      const option = new Option(`simulated: ${watch.words}`, `simulated:${watch.name}`);
      group.append(option);
    }
    select.append(group);
    const wanted = new URLSearchParams(location.search).get("source");
    if (wanted) select.value = wanted;
    showSource();
  }

  async function nameDevices() {
    const devices = await navigator.mediaDevices.enumerateDevices();
    const select = $("desk-device");
    for (const device of devices) {
      if (device.kind !== "audioinput" || !device.label || select.querySelector(`[value="${CSS.escape(device.deviceId)}"]`)) continue;
      select.insertBefore(new Option(device.label, device.deviceId), select.querySelector("optgroup"));
    }
  }

  function chosen() {
    const value = $("desk-device").value;
    return value.startsWith("simulated:") ? { simulated: value.slice(10) } : { device: value };
  }

  function showSource() {
    const simulated = "simulated" in chosen();
    $("desk-simulated").hidden = !simulated;
    $("desk-pace-label").hidden = !simulated;
    desk.dataset.source = simulated ? "simulated" : "mic";
  }

  async function openMicrophone(deviceId) {
    if (!navigator.mediaDevices) throw new Error("this browser gives no sound here; open Escrel as http://localhost or 127.0.0.1");
    const audio = { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: { ideal: 2 } };
    if (deviceId) audio.deviceId = { exact: deviceId };
    const stream = await navigator.mediaDevices.getUserMedia({ audio });
    const context = new AudioContext();
    await context.audioWorklet.addModule(desk.dataset.worklet || "/assets/desk-worklet.js");
    const node = new AudioWorkletNode(context, "pieces", { numberOfOutputs: 0 });
    context.createMediaStreamSource(stream).connect(node);
    const label = stream.getAudioTracks()[0].label || "microphone";
    await nameDevices();
    return {
      sampleRate: context.sampleRate,
      label,
      simulated: false,
      start(take) {
        node.port.onmessage = (event) => take(event.data);
      },
      lay() {},
      stop() {
        node.port.onmessage = null;
        stream.getTracks().forEach((track) => track.stop());
        context.close();
      },
    };
  }

  function openSimulated(watch) {
    const pace = Number($("desk-pace").value);
    const piece = 0.15;
    const seed = 1 + (Number(job) % 1000);
    let heard = 0;
    let lying = plan[0] || "DIAL_UP";
    let timer = null;
    return {
      sampleRate: 44100,
      label: `simulated: ${watch}`,
      simulated: true,
      start(take) {
        const step = async () => {
          const began = performance.now();
          const query = new URLSearchParams({ watch, position: lying, from: heard, seconds: piece * pace, hours: hours(), seed });
          const laid = lying;
          const answer = await fetch(`/simulated/jobs/${job}/sound?${query}`);
          const samples = new Float32Array(await answer.arrayBuffer());
          if (timer === null) return;
          if (laid === lying) {
            heard += piece * pace;
            await take(samples);
          }
          timer = setTimeout(step, Math.max(0, piece * 1000 - (performance.now() - began)));
        };
        timer = setTimeout(step, 0);
      },
      lay(position) {
        lying = position;
        heard = 0;
      },
      stop() {
        clearTimeout(timer);
        timer = null;
      },
    };
  }

  function hours() {
    const wound = $("desk-what").elements.wound.value;
    if (wound === "AFTER_12_H") return 12;
    if (wound === "AFTER_24_H") return 24;
    return wound === "AFTER_HOURS" ? Number($("desk-what").elements.woundHours.value.replace(",", ".")) || 0 : 0;
  }

  // ---- listening: one piece on the way at a time, what comes meanwhile goes with the next
  let waiting = [];
  let sending = false;

  async function send(piece) {
    if (phase !== "listen") return;
    waiting.push(piece);
    if (sending) return;
    sending = true;
    try {
      while (waiting.length && phase === "listen") {
        const pieces = waiting;
        waiting = [];
        const whole = new Float32Array(pieces.reduce((sum, p) => sum + p.length, 0));
        let offset = 0;
        for (const p of pieces) {
          whole.set(p, offset);
          offset += p.length;
        }
        show(await post(`${session}/sound`, whole.buffer, "application/octet-stream"));
      }
    } catch (error) {
      halt();
    } finally {
      sending = false;
    }
  }

  async function begin() {
    plan = [...document.querySelectorAll(".desk-positions input:checked")].map((box) => box.value);
    if (!plan.length) return say("Nothing to take", "Tick at least one position.");
    const query = new URLSearchParams();
    plan.forEach((p) => query.append("position", p));
    plan = await (await fetch(`/jobs/${job}/desk/order?${query}`)).json();
    const source = chosen();
    try {
      feed = "simulated" in source ? openSimulated(source.simulated) : await openMicrophone(source.device);
    } catch (error) {
      feed = null;
      return say("No sound", `The computer gave no sound (${error.message}). Plug the pick-up in, allow the microphone for this page, or choose a simulated watch with key 8.`);
    }
    const opened = await post("open", new URLSearchParams({ sampleRate: feed.sampleRate, device: feed.label, simulated: feed.simulated }));
    session = opened.id;
    $("desk-clock").textContent = opened.clock;
    feed.start(send);
    go(0);
  }

  function go(index) {
    at = index;
    if (at >= plan.length) return finish();
    phase = "lay";
    clear();
    showPosition();
    say(words(plan[at]), "Lay the watch as drawn, then press 0.");
    $("desk-go-words").textContent = "it lies so";
  }

  async function listen() {
    feed.lay(plan[at]);
    waiting = [];
    await post(`${session}/again`);
    settledFor = 0;
    phase = "listen";
    say(words(plan[at]), "Listening.");
    $("desk-go-words").textContent = "listen again";
  }

  async function take() {
    if (phase !== "listen") return;
    phase = "take";
    const body = new URLSearchParams(new FormData($("desk-what")));
    if (!body.get("woundHours")) body.delete("woundHours");
    body.set("woundHours", (body.get("woundHours") || "").replace(",", "."));
    if (!body.get("woundHours")) body.delete("woundHours");
    body.set("position", plan[at]);
    let row;
    try {
      row = await post(`${session}/take`, body);
    } catch (error) {
      phase = "listen";
      return;
    }
    const line = document.querySelector(`.desk-positions [data-position="${row.position}"]`);
    for (const cell of line.querySelectorAll("[data-cell]")) cell.textContent = row[cell.dataset.cell];
    line.classList.add("taken");
    go(at + 1);
  }

  function finish() {
    halt();
    say("All taken", "The readings are in the job. Key 4 shows them.");
  }

  function halt() {
    if (feed) feed.stop();
    feed = null;
    phase = "idle";
    at = -1;
    if (session) post(`${session}/close`).catch(() => {});
    session = null;
    $("desk-go-words").textContent = "begin";
    showPosition();
  }

  // ---- showing
  function words(position) {
    const line = document.querySelector(`.desk-positions [data-position="${position}"]`);
    const name = line.dataset.words;
    return desk.dataset.pocket === "true" ? name.replace("crown", "pendant") : name;
  }

  function say(title, sentence) {
    $("desk-position").textContent = title;
    $("desk-say").textContent = sentence;
  }

  function showPosition() {
    for (const picture of document.querySelectorAll(".lay")) picture.toggleAttribute("hidden", picture.dataset.lay !== plan[at]);
    for (const line of document.querySelectorAll(".desk-positions li")) {
      if (line.dataset.position === plan[at]) line.setAttribute("aria-current", "step");
      else line.removeAttribute("aria-current");
    }
  }

  function clear() {
    for (const id of ["f-rate", "f-amplitude", "f-beat"]) $(id).textContent = "–";
    for (const id of ["f-rate-doubt", "f-amplitude-doubt", "f-beat-doubt"]) $(id).textContent = "";
    $("desk-strip").replaceChildren();
    $("desk-beat").replaceChildren();
  }

  function percent(decibels) {
    return Math.max(0, Math.min(100, (decibels + 80) / 0.8));
  }

  function show(state) {
    if (phase !== "listen") return;
    $("desk-rms").style.setProperty("--level", `${percent(state.rms)}%`);
    $("desk-peak").style.setProperty("--level", `${percent(state.peak)}%`);
    $("desk-meter").setAttribute("aria-valuenow", Math.round(state.peak));
    $("desk-meter").classList.toggle("clipped", state.clipped);
    $("desk-hint").textContent = state.hint || `Loudest ${Math.round(state.peak)} dB below full scale.`.replace("-", "");
    const f = state.figures;
    if (f) {
      $("f-rate").textContent = f.rate;
      $("f-rate-doubt").textContent = `± ${f.rateDoubt}`;
      $("f-amplitude").textContent = f.amplitude;
      $("f-amplitude-doubt").textContent = `± ${f.amplitudeDoubt}`;
      $("f-beat").textContent = f.beatError;
      $("f-beat-doubt").textContent = `± ${f.beatErrorDoubt}`;
      $("desk-strip-words").textContent = `Drift strip against ${f.beats} beats per hour: rising gains, falling loses. Fine lines: 10 s/d apart.`;
    }
    drawStrip($("desk-strip"), state.strip);
    if (state.heard) drawBeat($("desk-beat"), state.heard);
    if (state.settled) {
      settledFor++;
      say(words(plan[at]), "Settled: taken.");
      take();
    } else {
      settledFor = 0;
      const never = state.never ? " It hardly settles; key 5 takes it as it is." : "";
      say(words(plan[at]), `${state.waitsFor || `Listening: ${state.seconds.toFixed(0)} s`}.${never}`);
    }
  }

  // ---- keys and choices
  $("desk-go").addEventListener("click", () => {
    if (phase === "idle") begin();
    else if (phase === "lay" || phase === "listen") listen().catch(halt);
  });
  $("desk-take").addEventListener("click", take);
  $("desk-back").addEventListener("click", () => {
    if (at > 0) go(at - 1);
  });
  $("desk-skip").addEventListener("click", () => {
    if (at >= 0) go(at + 1);
  });
  $("desk-stop").addEventListener("click", () => {
    halt();
    say("Stopped", "Readings taken are in the job. Press 0 to begin again.");
  });
  $("desk-source").addEventListener("click", () => {
    const select = $("desk-device");
    select.selectedIndex = (select.selectedIndex + 1) % select.options.length;
    halt();
    showSource();
    say("Sound from", select.options[select.selectedIndex].text);
  });
  $("desk-device").addEventListener("change", () => {
    halt();
    showSource();
  });
  // what is taken belongs to one occasion: another one shows its own readings
  $("desk-what").addEventListener("change", (event) => {
    // the keypad belongs to the desk again once something is chosen
    if (event.target.matches("select")) event.target.blur();
    if (event.target === $("desk-device") || event.target === $("desk-pace")) return;
    if (event.target.name === "wound" && event.target.value === "AFTER_HOURS") {
      $("desk-hours").hidden = false;
      $("desk-hours").querySelector("input").focus();
      return;
    }
    const query = new URLSearchParams(new FormData($("desk-what")));
    if (!query.get("woundHours")) query.delete("woundHours");
    if ($("desk-device").value) query.set("source", $("desk-device").value);
    location.search = query;
  });
  window.addEventListener("pagehide", () => feed && feed.stop());
  offerSources();
})();
