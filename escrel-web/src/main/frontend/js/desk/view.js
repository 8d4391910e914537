// What the desk shows. Figures may change seven times a second; what is told to a screen reader changes when something
// happens.
import { announce } from "../page/words.js";
import { drawBeat } from "./beat.js";
import { drawRibbon } from "./ribbon.js";

export function deskView(desk) {
  const $ = (id) => document.getElementById(id);
  const rowOf = (position) => document.querySelector(`.desk-positions [data-position="${position}"]`);

  function say(title, sentence) {
    $("desk-position").textContent = title;
    $("desk-say").textContent = sentence;
  }

  return {
    ticked() {
      return [...document.querySelectorAll(".desk-positions input:checked")].map((box) => box.value);
    },
    words(position) {
      const name = rowOf(position)?.dataset.words ?? "";
      return desk.dataset.pocket === "true" ? name.replace("crown", "pendant") : name;
    },
    /** Says what has happened: to be read, and to be heard once. */
    tell(title, sentence) {
      say(title, sentence);
      announce(document, `${title}. ${sentence}`);
    },
    /** Says what is going on: to be read only. */
    say,
    trouble(page) {
      if (page) $("trouble").innerHTML = page;
      else $("trouble").replaceChildren();
    },
    phase(state) {
      $("desk-go-words").textContent = { idle: "begin", asking: "wait", lay: "it lies so", taking: "wait" }[state.phase] ?? "listen again";
      const position = state.plan[state.at];
      for (const picture of document.querySelectorAll(".lay")) picture.toggleAttribute("hidden", picture.dataset.lay !== position);
      for (const line of document.querySelectorAll(".desk-positions li")) {
        if (line.dataset.position === position) line.setAttribute("aria-current", "step");
        else line.removeAttribute("aria-current");
      }
    },
    /** Nothing of the position before is shown for this one. */
    clear() {
      for (const id of ["f-rate", "f-amplitude", "f-beat"]) $(id).textContent = "–";
      for (const id of ["f-rate-doubt", "f-amplitude-doubt", "f-beat-doubt"]) $(id).textContent = "";
      $("desk-strip").replaceChildren();
      $("desk-beat").replaceChildren();
    },
    heard(state) {
      const level = (decibels) => `${Math.max(0, Math.min(100, (decibels + 80) / 0.8))}%`;
      $("desk-rms").style.setProperty("--level", level(state.rms));
      $("desk-peak").style.setProperty("--level", level(state.peak));
      $("desk-meter").setAttribute("aria-valuenow", Math.round(state.peak));
      $("desk-meter").classList.toggle("clipped", state.clipped);
      $("desk-hint").textContent = state.hint || `Loudest ${Math.abs(Math.round(state.peak))} dB below full scale.`;
      const f = state.figures;
      if (f) {
        $("f-rate").textContent = f.rate;
        $("f-rate-doubt").textContent = `± ${f.rateDoubt}`;
        $("f-amplitude").textContent = f.amplitude;
        $("f-amplitude-doubt").textContent = `± ${f.amplitudeDoubt}`;
        $("f-beat").textContent = f.beatError;
        $("f-beat-doubt").textContent = `± ${f.beatErrorDoubt}`;
        $("desk-strip-words").textContent = `Against ${f.beats} beats per hour: rising gains, falling loses; ` +
          "as wide as the beat error. Paler: what the rate may also be.";
      }
      drawRibbon($("desk-strip"), state.strip, f ? f.rateStandardError : 0);
      if (state.heard) drawBeat($("desk-beat"), state.heard);
    },
    taken(row) {
      const line = rowOf(row.position);
      for (const cell of line.querySelectorAll("[data-cell]")) cell.textContent = row[cell.dataset.cell];
      line.classList.add("taken");
    },
    rows(piece) {
      const ticked = this.ticked();
      $("desk-rows").innerHTML = piece;
      for (const box of document.querySelectorAll(".desk-positions input")) box.checked = ticked.includes(box.value);
    },
  };
}
