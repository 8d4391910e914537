// Clocks that run: counted on in the page and its title, with a sound when a stretch is over. What they count is kept on the
// server: a page that was closed, or a restart, loses nothing.

export function stand(courses, now) {
  const at = courses.findIndex((c) => now < c.ends);
  if (at < 0) return { stretch: courses.length - 1, words: courses.at(-1).words, left: 0, over: true };
  return { stretch: at, words: courses[at].words, left: courses[at].ends - now, over: false };
}

export function left(ms) {
  const seconds = Math.ceil(ms / 1000);
  const two = (n) => String(n).padStart(2, "0");
  if (seconds < 3600) return `${Math.floor(seconds / 60)}:${two(seconds % 60)}`;
  return `${Math.floor(seconds / 3600)} h ${two(Math.floor(seconds / 60) % 60)}`;
}

function sound(window) {
  const Context = window.AudioContext ?? window.webkitAudioContext;
  if (!Context) return;
  try {
    const audio = new Context();
    const tone = audio.createOscillator();
    const loud = audio.createGain();
    tone.frequency.value = 880;
    loud.gain.setValueAtTime(0.15, audio.currentTime);
    loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.8);
    tone.connect(loud).connect(audio.destination);
    tone.onended = () => audio.close();
    tone.start();
    tone.stop(audio.currentTime + 0.8);
  } catch {
    // a browser that gives no sound before the first key still shows the time
  }
}

export function startClocks(document, window = globalThis.window) {
  const title = document.title;
  const shown = new Map();
  const tick = () => {
    const now = Date.now();
    let nearest = null;
    let over = null;
    for (const clock of document.querySelectorAll("[data-clock]")) {
      const courses = JSON.parse(clock.dataset.courses);
      const so = stand(courses, now);
      const key = clock.dataset.courses;
      const before = shown.get(key);
      if (before !== undefined && before !== so.stretch + (so.over ? 1 : 0)) {
        sound(window);
        const live = document.getElementById("live");
        if (live) live.textContent = `${courses[before]?.words ?? so.words} is over`;
      }
      shown.set(key, so.stretch + (so.over ? 1 : 0));
      clock.classList.toggle("over", so.over);
      const time = clock.querySelector("[data-left]");
      if (time) time.textContent = so.over ? "over" : left(so.left);
      const words = clock.querySelector("[data-stretch]");
      if (words) words.textContent = so.words;
      if (so.over) over ??= so.words;
      else if (!nearest || so.left < nearest.left) nearest = so;
    }
    const head = over ? `● ${over} is over · ` : nearest ? `${left(nearest.left)} ${nearest.words} · ` : "";
    if (document.title !== head + title) document.title = head + title;
  };
  if (document.querySelector("[data-clock]")) {
    tick();
    window.setInterval(tick, 1000);
  }
}
